import { createBrowserRouter, RouterProvider } from "react-router";
import { Lost } from "../features/help/Lost";
import { Shell, Waiting } from "./Shell";

/** Every view is loaded when it is first gone to; the shell round them stays. A new stage is one line here and its folder. */
const router = createBrowserRouter([
  {
    element: <Shell />,
    hydrateFallbackElement: <Waiting />,
    children: [
      { path: "/", lazy: async () => ({ Component: (await import("../features/drawer/Start")).Start }) },
      { path: "/bench/:id", lazy: async () => ({ Component: (await import("../features/bench/BenchPage")).BenchPage }) },
      { path: "/wall/:id", lazy: async () => ({ Component: (await import("../features/wall/WallPage")).WallPage }) },
      { path: "/folding/:id", lazy: async () => ({ Component: (await import("../features/folding/FoldingPage")).FoldingPage }) },
      { path: "/sheet/:id", lazy: async () => ({ Component: (await import("../features/sheet/SheetPage")).SheetPage }) },
      { path: "/shelf", lazy: async () => ({ Component: (await import("../features/shelf/ShelfPage")).ShelfPage }) },
      { path: "/drawer", lazy: async () => ({ Component: (await import("../features/drawer/DrawerPage")).DrawerPage }) },
      { path: "*", element: <Lost /> },
    ],
  },
]);

export function App() {
  return <RouterProvider router={router} />;
}
