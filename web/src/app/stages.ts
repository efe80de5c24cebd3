import type { ComponentType } from "react";
import type { KeyName } from "../keys/registry";

/** A place in the order of work: a tab of the rail, an address, and the view that is loaded when it is first gone to. */
export type Stage = {
  name: string;
  /** Its address; `:id` where it is about one design. */
  path: string;
  key?: KeyName;
  /** Its mark on the rail, in a box of 24 by 24. */
  mark: string;
  load: () => Promise<ComponentType>;
};

export const stages: Stage[] = [
  {
    name: "Shelf",
    path: "/shelf",
    key: "shelf",
    mark: "M3 20h18M5 20V8l4-2v14M12 20V5h5v15",
    load: async () => (await import("../features/shelf/ShelfPage")).ShelfPage,
  },
  {
    name: "Bench",
    path: "/bench/:id",
    key: "bench",
    mark: "M3 5h18v9H3zM8 5v9M16 5v9M3 19h18M6 19v-2M12 19v-2M18 19v-2",
    load: async () => (await import("../features/bench/BenchPage")).BenchPage,
  },
  {
    name: "Wall",
    path: "/wall/:id",
    key: "wall",
    mark: "M3 4h5v7H3zM10 4h4v7h-4zM16 4h5v7h-5zM3 13h6v7H3zM11 13h10v7H11z",
    load: async () => (await import("../features/wall/WallPage")).WallPage,
  },
  {
    name: "Dress",
    path: "/dress/:id",
    key: "dress",
    mark: "M4 4h10v13H4zM8 8h12v12H10zM12 12h4M12 15h5",
    load: async () => (await import("../features/dress/DressPage")).DressPage,
  },
  {
    name: "Fold",
    path: "/folding/:id",
    key: "fold",
    mark: "M4 7l8-3v14l-8 3zM12 4l8 3v14l-8-3",
    load: async () => (await import("../features/folding/FoldingPage")).FoldingPage,
  },
  {
    name: "Cut",
    path: "/cut/:id",
    key: "cut",
    mark: "M3 4h18v16H3zM3 12h18M13 4v8M9 12v8",
    load: async () => (await import("../features/cut/CutPage")).CutPage,
  },
  {
    name: "Show",
    path: "/show/:id",
    key: "show",
    mark: "M3 4h18v12H3zM9 20h6M12 16v4M8 8h5M8 12h8",
    load: async () => (await import("../features/show/ShowPage")).ShowPage,
  },
  {
    name: "Hand out",
    path: "/handout/:id",
    key: "handOut",
    mark: "M5 3h14v18H5zM8 8h8M8 12h8M8 16h5",
    load: async () => (await import("../features/handout/HandOutPage")).HandOutPage,
  },
];

/** The designs and what is to hand: apart from the order of work, below it on the rail. */
export const drawer: Stage = {
  name: "Drawer",
  path: "/drawer",
  key: "drawer",
  mark: "M3 5h18v7H3zM3 12h18v7H3zM10 8.5h4M10 15.5h4",
  load: async () => (await import("../features/drawer/DrawerPage")).DrawerPage,
};
