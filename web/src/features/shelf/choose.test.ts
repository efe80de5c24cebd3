import { describe, expect, it } from "vitest";
import { anything, choose, kinds, type ShelfCard } from "./choose";

const card = (id: string, more: Partial<ShelfCard>) =>
  ({
    id,
    name: id,
    opens: "opens like a book",
    does: "opens",
    doesWords: "opens",
    sheets: 1,
    goesFlat: true,
    difficulty: "simple",
    difficultyWords: "simple",
    turns: true,
    watch: [],
    ...more,
  }) as ShelfCard;
const cards = [
  card("fold", {}),
  card("scene", { does: "stands", doesWords: "stands", sheets: 2, opens: "stands in tiers" }),
  card("twist", { does: "popsUp", doesWords: "pops up", goesFlat: false, difficulty: "takesPatience", turns: false }),
  card("large", { sheets: null }),
];
const ids = (wanted: Partial<typeof anything>) => choose(cards, { ...anything, ...wanted }).map((c) => c.id);

describe("choosing from the shelf", () => {
  it("shows everything where nothing is asked for", () => expect(ids({})).toHaveLength(4));
  it("asks for what it does, how hard it is, how it goes and what it takes", () => {
    expect(ids({ does: "stands" })).toEqual(["scene"]);
    expect(ids({ difficulty: "takesPatience" })).toEqual(["twist"]);
    expect(ids({ flat: true })).toEqual(["fold", "scene", "large"]);
    expect(ids({ oneSheet: true })).toEqual(["fold", "twist"]);
    expect(ids({ turns: true, oneSheet: true })).toEqual(["fold"]);
  });
  it("finds by words, all of them, in any order", () => {
    expect(ids({ words: "Tiers stands" })).toEqual(["scene"]);
    expect(ids({ words: "tiers book" })).toEqual([]);
  });
  it("offers each kind once", () =>
    expect(kinds(cards, "does", "doesWords").map((k) => k.label)).toEqual(["opens", "stands", "pops up"]));
});
