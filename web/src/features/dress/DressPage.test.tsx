import { fireEvent, screen, within } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { Problem, type Schemas } from "../../api/client";
import { fig, say, shown } from "../../test/views";
import { Dress } from "./DressPage";
import { mirrored, newId } from "./edits";
import { scaleFor } from "./fit";

const square = (x: number, size: number) => [
  { x, y: 0 },
  { x: x + size, y: 0 },
  { x: x + size, y: size },
  { x, y: size },
];
const face = (id: string, name: string, poses: string[], more = {}) => ({
  id,
  role: id,
  name,
  poses,
  outline: square(0, 1000),
  box: { x: 0, y: 0, width: 1000, height: 1000 },
  layers: [],
  keepOuts: [],
  things: [],
  seen: null,
  hidden: [],
  ...more,
});
const moon = {
  id: "moon",
  window: false,
  name: "moon",
  colour: "#efe6cf",
  raised: true,
  ink: false,
  outline: square(100, 200),
  box: { x: 100, y: 0, width: 200, height: 200 },
  distances: [{ edge: "the left edge", distance: fig("", 1, 2), from: { x: 0, y: 100 }, to: { x: 100, y: 100 } }],
};
const view = {
  name: "Kite",
  construction: "Plain fold",
  size: say("5 × 5 in"),
  atHome: true,
  unit: "in",
  poses: [
    { id: "closed", name: "closed", faces: 1, frame: 0 },
    { id: "shown", name: "shown", faces: 1, frame: 1 },
  ],
  sides: [
    {
      id: "base.up",
      name: "Base",
      colour: "#cccccc",
      width: 1000,
      height: 1000,
      plates: [square(0, 1000)],
      creases: [{ from: { x: 500, y: 0 }, to: { x: 500, y: 1000 }, valley: true, working: true }],
      faces: [
        face("base.back.up", "inside", ["shown"], {
          things: [moon],
          layers: [
            {
              id: "inside",
              level: 1,
              stockId: "night",
              colour: "#2f455c",
              pattern: "stars",
              outline: square(50, 900),
              holes: [square(300, 100)],
            },
          ],
          keepOuts: [{ kind: "workingCrease", outline: square(480, 40), why: "the crease works" }],
        }),
      ],
    },
    {
      id: "base.down",
      name: "Base, outer side",
      colour: "#cccccc",
      width: 1000,
      height: 1000,
      plates: [square(0, 1000)],
      creases: [],
      faces: [face("base.front.down", "front, outside", ["closed"])],
    },
  ],
  looks: {
    moves: true,
    left: 0,
    top: 0,
    width: 10,
    height: 10,
    frames: [
      { share: 0, name: "closed", shapes: [] },
      { share: 1, name: "shown", shapes: [] },
    ],
  },
  rows: [
    {
      kind: "layer",
      id: "inside",
      name: "Night print",
      detail: "inside",
      size: say("4 × 4"),
      count: 2,
      was: null,
      why: say("the panel, less a reveal"),
      colour: "#2f455c",
      pattern: "stars",
      faces: ["base.back.up"],
      role: "inside",
      level: 1,
    },
    {
      kind: "element",
      id: "moon",
      name: "Moon",
      detail: "inside · raised",
      size: say("1 × 1"),
      count: 1,
      was: say("2 × 2"),
      why: say("keeps its size"),
      colour: "#efe6cf",
      pattern: null,
      faces: ["base.back.up"],
      role: "base.back.up",
      level: 0,
    },
  ],
  roles: [{ id: "inside", name: "inside", levels: 1, faces: ["base.back.up"] }],
  papers: [{ id: "night", name: "Night print", colour: "#2f455c", pattern: "stars", wayUp: true }],
  dies: [],
  motifs: ["star"],
  dressing: {
    layers: [],
    windows: [],
    elements: [
      { id: "moon", role: "base.back.up", size: ["1 in", "1 in"], shape: "circle", fixed: true, made: "die-cut", held: "face" },
    ],
    contours: [],
    soft: [],
  },
  found: [
    {
      check: {
        id: "sticks-out",
        severity: "caution",
        text: say("The moon stands out."),
        fix: { text: say("put it in the middle"), edit: { edit: "element", id: "moon", element: null } },
      },
      side: "base.up",
      box: { x: 100, y: 0, width: 200, height: 200 },
    },
  ],
  summary: say("One thing to settle."),
} as unknown as Schemas["DressView"];

function laid(onCommit = vi.fn()) {
  shown(<Dress {...asking} view={view} onCommit={onCommit} format={null} />);
  return onCommit;
}

const asking = { onAsk: vi.fn(), failed: null, onAgain: vi.fn(), onLetGo: vi.fn() };

describe("Dress", () => {
  it("shows the faces of one pose at a time, each with what it wears", () => {
    laid();
    expect(screen.getByRole("button", { name: /^inside: one paper, with moon/ })).toBeTruthy();
    expect(screen.queryByRole("button", { name: /^front, outside/ })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: /closed/ }));
    expect(screen.getByRole("button", { name: /^front, outside: bare/ })).toBeTruthy();
  });

  it("opens a thing in place, with its distances drawn, and changes it", () => {
    const commit = laid();
    fireEvent.click(screen.getByRole("button", { name: /^Moon/ }));
    expect(screen.getByText("keeps its size")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "head, left" }));
    expect(commit).toHaveBeenLastCalledWith([
      expect.objectContaining({
        edit: "element",
        element: expect.objectContaining({ place: { anchor: "head-left", from: null } }),
      }),
    ]);
    fireEvent.blur(screen.getByLabelText("Wide"), { target: { value: "1 1/2 in" } });
    expect(commit).toHaveBeenLastCalledWith([
      expect.objectContaining({ element: expect.objectContaining({ size: ["1 1/2 in", "1 in"] }) }),
    ]);
    fireEvent.change(screen.getByLabelText("Shape"), { target: { value: "motif:star" } });
    expect(commit).toHaveBeenLastCalledWith([
      expect.objectContaining({ element: expect.objectContaining({ shape: "polygon", motif: "star" }) }),
    ]);
  });

  it("nudges through the queue, each press for itself, and says beside a thing what went wrong with it", () => {
    const ask = vi.fn();
    const again = vi.fn();
    const problem = new Problem("This was not understood", "the moon lies on no face", "input.invalid");
    shown(
      <Dress
        {...asking}
        view={view}
        onCommit={vi.fn()}
        onAsk={ask}
        failed={{ about: "moon", problem }}
        onAgain={again}
        format={null}
      />,
    );
    const moonOnFace = screen.getByRole("button", { name: /^moon: / });
    fireEvent.keyDown(moonOnFace, { key: "ArrowRight" });
    fireEvent.keyDown(moonOnFace, { key: "ArrowRight" });
    expect(ask.mock.calls.map(([about]) => about)).toEqual(["moon", "moon"]);
    const row = screen.getByRole("button", { name: /^Moon/ }).closest("li") as HTMLElement;
    expect(row.textContent).toContain("the moon lies on no face");
    fireEvent.click(within(row).getByRole("button", { name: "Try again" }));
    expect(again).toHaveBeenCalledOnce();
  });

  it("takes a thing off with a key, mends with a click, puts on what is asked for on the face that is chosen", () => {
    const commit = laid();
    fireEvent.keyDown(screen.getByRole("button", { name: /^moon: / }), { key: "Delete" });
    expect(commit).toHaveBeenLastCalledWith([{ edit: "element", id: "moon", element: null }]);
    fireEvent.click(screen.getByRole("button", { name: "put it in the middle" }));
    expect(commit).toHaveBeenCalledTimes(2);
    fireEvent.click(screen.getByRole("button", { name: /^inside: / }));
    fireEvent.click(screen.getByRole("button", { name: "+ paper" }));
    expect(commit).toHaveBeenLastCalledWith([expect.objectContaining({ edit: "wear", role: "base.back.up", level: 2 })]);
    fireEvent.click(screen.getByRole("button", { name: "+ window" }));
    expect(commit).toHaveBeenLastCalledWith([expect.objectContaining({ edit: "window", id: "window" })]);
  });

  it("names, mirrors and fits", () => {
    expect(newId("moon", ["moon", "moon-2"])).toBe("moon-3");
    expect(
      mirrored({
        anchor: "head-left",
        from: [
          { edge: "left", distance: "1 in" },
          { edge: "head", distance: "2 in" },
        ],
      }),
    ).toEqual({
      anchor: "head-right",
      from: [
        { edge: "right", distance: "1 in" },
        { edge: "head", distance: "2 in" },
      ],
    });
    const one = scaleFor([{ width: 40000, height: 40000 }], 500, 500);
    expect(40000 * one).toBeGreaterThan(400);
    expect(40000 * one + 52).toBeLessThanOrEqual(500);
    expect(
      scaleFor(
        [
          { width: 40000, height: 40000 },
          { width: 40000, height: 40000 },
        ],
        500,
        500,
      ),
    ).toBeLessThan(one);
  });
});
