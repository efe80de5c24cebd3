import { render } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../api/client";
import { fig, figure } from "../test/views";
import { COLUMN, columnsOf, onRule, roomRight } from "./measure";
import { Piece } from "./Piece";

const piece = (name: string, width: number, scores: [string, number, string][]) =>
  ({
    name,
    width: figure(fig("7"), width),
    scores: scores.map(([figureId, units, runs]) => ({ figureId, at: { units }, runs, lay: "asItLies", label: fig("1") })),
  }) as unknown as Schemas["PieceView"];

describe("figures beside a piece", () => {
  const box = piece("Box envelope", 1000, [
    ["a", 100, "upright"],
    ["b", 300, "level"],
    ["c", 310, "level"],
    ["d", 600, "level"],
    ["e", 0, "slanting"],
  ]);
  it("stand in one column, and in another only where two lines are near", () => {
    expect([...columnsOf(box, 0.5)]).toEqual([
      ["b", 0],
      ["c", 1],
      ["d", 0],
    ]);
    expect(Math.max(...columnsOf(box, 2).values())).toBe(0);
  });
  it("take their room on the right, and so does a name longer than its piece", () => {
    expect(roomRight(box, 0.5)).toBe(12 + 2 * COLUMN);
    expect(roomRight(piece("A very long name of a piece", 10, []), 0.5)).toBeGreaterThan(180);
    expect(roomRight(piece("Tile", 1000, []), 0.5)).toBe(12);
    // A flag that hangs over the right edge takes its room as well.
    expect(roomRight(piece("Tile", 1000, [["a", 990, "upright"]]), 0.5)).toBeGreaterThan(25);
  });
  it("leave the rule to what it reads", () => expect(onRule(box).map((s) => s.figureId)).toEqual(["a"]));
});

describe("a score that runs along the rule", () => {
  const drawn = (lay: string) => {
    const score = {
      figureId: "a",
      at: figure(fig("9"), 900),
      runs: "level",
      direction: "valley",
      kind: "working",
      how: "direct",
      lay,
      label: fig("1"),
      words: [],
      between: "",
      parts: [{ from: { x: 0, y: 900 }, to: { x: 1000, y: 900 } }],
    };
    const flap = {
      ...piece("Flap", 1000, []),
      height: figure(fig("10"), 1000),
      scores: [score],
      plates: [],
      layers: [],
      cuts: [],
      glue: [],
    };
    const rule = { name: "", hasGrooves: true, end: 0, ticks: [] };
    const { container } = render(
      <svg>
        <title>table</title>
        <Piece piece={flap as never} rule={rule as never} x={0} y={0} scale={0.1} selected={null} onSelect={() => {}} />
      </svg>,
    );
    return [...container.querySelectorAll("[data-part=free-figure]")].map((t) => t.textContent);
  };
  it("says what is read on the board, and that the piece is turned for it", () => {
    expect(drawn("asItLies")).toEqual(["1v"]);
    expect(drawn("turnedRound")).toEqual(["↻", "1v"]);
  });
});
