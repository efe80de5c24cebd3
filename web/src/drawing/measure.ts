import type { FigureText, Schemas } from "../api/client";
import { figureText } from "../components/Fig";
import { type Flag, flagLanes, type PlacedFlag } from "./layout";

type PieceView = Schemas["PieceView"];
type ScoreView = Schemas["ScoreView"];

/** How much room texts and flags take on the screen, in pixels. Positions, no measures. */
export const LANE = 25;
export const RULE_HEIGHT = 34;
export const FLAG_GAP = 6;
/** A figure beside the piece is about this wide. */
export const COLUMN = 60;

/** How the piece lies for a score, beside its figure on the flag. */
export const lays: Record<string, string> = { turnedRound: "↻", turnedOver: "⇄", headOverHeels: "⇅" };

const labelWidth = ({ whole, numerator, denominator, word }: FigureText) =>
  whole.length * 9 + (numerator != null ? `${numerator}/${denominator}`.length * 6.2 + 2 : 0) + (word ? word.length * 6 + 4 : 0);

export const flagWidth = (score: ScoreView) => 30 + labelWidth(score.label) + (lays[score.lay] ? 16 : 0);

/** Figures beside a piece stand in columns where their lines are too near each other for one. */
export function columnsOf(piece: PieceView, scale: number): Map<string, number> {
  const level = piece.scores.filter((s) => s.runs === "level").sort((a, b) => a.at.units - b.at.units);
  const columns = new Map<string, number>();
  const last: number[] = [];
  for (const score of level) {
    const at = score.at.units * scale;
    const free = last.findIndex((l) => at - l >= 17);
    const column = free >= 0 ? free : last.length;
    last[column] = at;
    columns.set(score.figureId, column);
  }
  return columns;
}

/** What stands over a piece needs this much room, whatever the piece's own width. */
export const titleWidth = (piece: PieceView) => piece.name.length * 7.4 + 12 + figureText(piece.width.text).length * 9;

/** Room that a piece needs on its right for figures and for its name. */
export const roomRight = (piece: PieceView, scale: number) => {
  const columns = [...columnsOf(piece, scale).values()];
  const beside = columns.length > 0 ? 12 + (Math.max(...columns) + 1) * COLUMN : 12;
  const width = piece.width.units * scale;
  const { placed } = flagsOf(piece, scale);
  const flags = onRule(piece).map((score, i) => {
    return placed[i]?.side === "right" ? score.at.units * scale + flagWidth(score) - width : 0;
  });
  return Math.max(beside, titleWidth(piece) - width, ...flags);
};

/** The scores that the rule under the piece reads; the others have theirs beside the piece, or ticks. */
export const onRule = (piece: PieceView) => piece.scores.filter((s) => s.runs === "upright");

/** Where each flag of a piece hangs at a scale, and how many lanes that takes. */
export function flagsOf(piece: PieceView, scale: number): { placed: PlacedFlag[]; lanes: number } {
  const flags: Flag[] = onRule(piece).map((s) => ({ at: s.at.units * scale, width: flagWidth(s) }));
  const placed = flagLanes(flags, piece.width.units * scale + 40);
  return { placed, lanes: placed.reduce((most, f) => Math.max(most, f.lane + 1), 0) };
}

/** Room that a piece needs under itself for flags and rule. */
export const roomBelow = (lanes: number) => (lanes > 0 ? FLAG_GAP + lanes * LANE + RULE_HEIGHT + 8 : 26);

/** The same piece turned by a quarter: only what no rule reads may lie so. */
export function onItsSide(piece: PieceView): PieceView {
  const spot = ({ x, y }: { x: number; y: number }) => ({ x: y, y: piece.width.units - x });
  const plate = (box: PieceView["plates"][number]["nameIn"]) => ({
    x: box.y,
    y: piece.width.units - box.x - box.width,
    width: box.height,
    height: box.width,
  });
  return {
    ...piece,
    width: piece.height,
    height: piece.width,
    plates: piece.plates.map((p) => ({ ...p, nameIn: plate(p.nameIn) })),
    layers: piece.layers.map((l) => ({ ...l, outline: l.outline.map(spot) })),
    glue: piece.glue.map((g) => ({ ...g, outline: g.outline.map(spot) })),
    cuts: piece.cuts.map((c) => ({ ...c, line: c.line.map(spot) })),
  };
}
