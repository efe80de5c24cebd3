import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../api/client";
import { frameAt } from "../../drawing/Pose";
import { shown as inside, say } from "../../test/views";
import { Folding, onTheTable } from "./FoldingPage";

const shape = (x: number, more = {}) => ({
  outline: [x, 0, x + 10, 0, x + 10, 10],
  holes: [],
  light: 0.5,
  inside: true,
  layer: false,
  plate: "base.front",
  ...more,
});
const square = [
  { x: 0, y: 0 },
  { x: 100, y: 0 },
  { x: 100, y: 100 },
  { x: 0, y: 100 },
];
const view = (moves: boolean) =>
  ({
    name: "Kite",
    construction: "Tier scene",
    size: say("5 × 7 in"),
    poses: {
      moves,
      left: 0,
      top: 0,
      width: 40,
      height: 10,
      frames: (moves ? [0, 0.5, 1] : [0, 1]).map((share) => ({
        name: share === 0 ? "closed" : share === 1 ? "shown" : null,
        share,
        shapes: [shape(share * 10), shape(20, { layer: true, holes: [[21, 1, 22, 1, 22, 2]] })],
      })),
    },
    closed: {
      width: { units: 100 },
      height: { units: 100 },
      worn: [],
      panels: [{ id: "p", corners: square }],
      text: say("5 × 7"),
      size: say("5 × 7"),
      thickness: "1.8 mm",
      weight: "12 g",
      envelopeText: say("A7 envelope"),
    },
    map: { greatest: "1.8 mm", mean: "1.1 mm", thickestAt: { x: 50, y: 50 }, spots: [{ corners: square, share: 0.6 }] },
    section: {
      acrossX: true,
      width: 100,
      rows: 2,
      plies: [
        { plate: "base.back", name: "back", from: 0, to: 100, row: 0 },
        { plate: "base.front", name: "front", from: 0, to: 60, row: 1 },
      ],
      folds: [{ from: 0, to: 0, low: 0, high: 1 }],
      stuck: [],
    },
    states: [
      { id: "cross", name: "cross", how: "fold the ends", width: 100, height: 100, panels: [{ id: "p", corners: square }] },
    ],
    steps: [
      { id: "cut-base", say: say("Cut base: 5 × 7."), lights: [], cautions: ["Fingers behind the guard."] },
      { id: "make-1", say: say("Bond it: 1 1/2 from the crease."), lights: ["base.front"], cautions: [] },
    ],
    troubles: [{ sign: "it leans", cause: "a skew tab", remedy: "set it again" }],
    watch: ["Mind the tabs."],
    envelopes: [
      { name: "Box envelope", design: { construction: "box-envelope", format: "127x177.8mm", set: { thick: "1.8 mm" } } },
    ],
    cautions: [{ id: "knife-work", severity: "caution", text: say("Cut away from the hand.") }],
  }) as unknown as Schemas["FoldingView"];

const made = vi.fn();
const turn = vi.fn();
const shown = (moves = true) => inside(<Folding view={view(moves)} from={onTheTable} onTurn={turn} onEnvelope={made} />);

describe("how a card folds", () => {
  it("draws what is behind first, windows cut out, and moves with the slider", () => {
    const { container } = shown();
    const shapes = () =>
      [...container.querySelectorAll("[data-part=folding-main] [data-part=shape]")].map((s) => s.getAttribute("d"));
    expect(shapes()).toEqual(["M10 0L20 0L20 10z", "M20 0L30 0L30 10zM21 1L22 1L22 2z"]);
    fireEvent.keyDown(screen.getByRole("slider", { name: "From closed to shown" }), { key: "ArrowLeft" });
    expect(shapes()[0]).toBe("M5 0L15 0L15 10z");
    expect(screen.getByRole("img", { name: "The card on the way" })).toBeTruthy();
  });
  it("draws the plies of the closed card in their order, and lights those of the step that is looked at", () => {
    const { container } = shown();
    const plies = () => [...container.querySelectorAll("[data-part=ply]")] as SVGLineElement[];
    expect(screen.getByRole("img", { name: /plies of the closed card, from the table up: back, front/ })).toBeTruthy();
    const [back, front] = plies().map((p) => Number(p.getAttribute("y1")));
    expect(front).toBeLessThan(back as number);
    const before = plies()[1]?.getAttribute("class");
    fireEvent.click(screen.getByRole("button", { name: "Step 2" }));
    expect(plies()[1]?.getAttribute("class")).not.toBe(before);
  });
  it("shows two poses and no slider where rigid panels cannot go from one to the other", () => {
    shown(false);
    expect(screen.queryByRole("slider")).toBeNull();
    expect(screen.getByRole("img", { name: "The card closed" })).toBeTruthy();
    expect(screen.getByText(/nothing is drawn there/)).toBeTruthy();
    expect([0, 0.4, 0.6, 1].map((s) => frameAt(view(false).poses, s))).toEqual([0, 0, 1, 1]);
  });
  it("tells each step with its figures and cautions, and lights what it bonds", () => {
    const { container } = shown();
    expect(screen.getByText("Bond it: 1 1/2 from the crease.")).toBeTruthy();
    expect(screen.getByText("Fingers behind the guard.")).toBeTruthy();
    const lit = () => container.querySelectorAll("[data-part=folding-main] [class*=lit]").length;
    expect(lit()).toBe(0);
    fireEvent.click(screen.getByRole("button", { name: "Step 2" }));
    expect(lit()).toBe(1);
    expect(screen.getByRole("button", { name: "Step 2", pressed: true })).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Step 2" }));
    expect(lit()).toBe(0);
    expect(screen.getByText("Cut away from the hand.")).toBeTruthy();
    expect(screen.getByText("it leans").parentElement?.textContent).toBe("it leansa skew tab: set it again.");
  });
  it("is turned about with the arrow keys and by dragging, and put back", () => {
    shown();
    const card = screen.getByRole("group", { name: /arrow keys/ });
    fireEvent.keyDown(card, { key: "ArrowRight" });
    expect(turn).toHaveBeenLastCalledWith({ aside: 43, above: 22 });
    fireEvent.keyDown(card, { key: "ArrowDown" });
    expect(turn).toHaveBeenLastCalledWith({ aside: 28, above: 7 });
    fireEvent.pointerDown(card, { clientX: 100, clientY: 100 });
    fireEvent.pointerMove(card, { clientX: 40, clientY: 100 });
    expect(turn).toHaveBeenLastCalledWith({ aside: 58, above: 22 });
    fireEvent.pointerUp(card);
    fireEvent.keyDown(card, { key: "Home" });
    expect(turn).toHaveBeenLastCalledWith(onTheTable);
  });
  it("says where it is thickest, what it weighs, and each other state", () => {
    const { container } = shown();
    expect(screen.getByRole("img", { name: /1.8 mm at the most, 1.1 mm on average/ })).toBeTruthy();
    expect(container.querySelector("polygon[style*=opacity]")?.getAttribute("style")).toContain("0.6");
    expect(screen.getByText("cross").parentElement?.textContent).toBe("cross: fold the ends");
  });
  it("begins the envelope to make as a design of its own", () => {
    shown();
    fireEvent.click(screen.getByRole("button", { name: "make the box envelope" }));
    expect(made).toHaveBeenCalledWith(view(true).envelopes[0]?.design);
  });
});
