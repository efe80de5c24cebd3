import { describe, expect, it } from "vitest";
import type { Schemas } from "../api/client";
import { columnsOf, onRule, roomRight } from "./Piece";

const piece = (name: string, width: number, scores: [string, number, string][]) =>
  ({
    name,
    width: { units: width, text: "7" },
    scores: scores.map(([figureId, units, runs]) => ({ figureId, at: { units }, runs })),
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
    expect(roomRight(box, 0.5)).toBe(12 + 2 * 46);
    expect(roomRight(piece("A very long name of a piece", 10, []), 0.5)).toBeGreaterThan(180);
    expect(roomRight(piece("Tile", 1000, []), 0.5)).toBe(12);
  });
  it("leave the rule to what it reads", () => expect(onRule(box).map((s) => s.figureId)).toEqual(["a"]));
});
