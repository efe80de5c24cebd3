import type { Schemas } from "../../api/client";

export type ShelfCard = Schemas["ShelfCard"];

/** What one looks for a card by. Empty means that it does not matter. */
export type Wanted = { does: string; difficulty: string; flat: boolean; oneSheet: boolean; turns: boolean; words: string };

export const anything: Wanted = { does: "", difficulty: "", flat: false, oneSheet: false, turns: false, words: "" };

/** The cards that have all that is wanted, in the shelf's order. */
export const choose = (cards: ShelfCard[], wanted: Wanted) => {
  const words = wanted.words.toLowerCase().split(/\s+/).filter(Boolean);
  return cards.filter(
    (c) =>
      (wanted.does === "" || c.does === wanted.does) &&
      (wanted.difficulty === "" || c.difficulty === wanted.difficulty) &&
      (!wanted.flat || c.goesFlat) &&
      (!wanted.oneSheet || c.sheets === 1) &&
      (!wanted.turns || c.turns) &&
      words.every((w) => `${c.name} ${c.opens} ${c.doesWords} ${c.watch.join(" ")}`.toLowerCase().includes(w)),
  );
};

/** What there is to choose from, each once, in the order in which it comes on the shelf. */
export const kinds = (cards: ShelfCard[], key: "does" | "difficulty", words: "doesWords" | "difficultyWords") =>
  [...new Map(cards.map((c) => [c[key], c[words]]))].map(([value, label]) => ({ value, label }));
