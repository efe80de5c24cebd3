import type { Edit, Schemas } from "../../api/client";

export type Bond = Schemas["WrittenBond"];

/** The edits that building makes. The core knows what they mean; this only names them. */
export const makeOwn = (): Edit => ({ edit: "makeOwn" });
export const extent = (piece: string, panel: string | null, rule: string): Edit => ({ edit: "extent", piece, panel, rule });
export const crease = (piece: string, at: number, fold: "valley" | "mountain", closed: number, shown: number): Edit => ({
  edit: "crease",
  piece,
  crease: at,
  fold,
  closed,
  shown,
});
export const split = (piece: string, panel: string): Edit => ({ edit: "split", piece, panel });
export const join = (piece: string, at: number): Edit => ({ edit: "join", piece, crease: at });
export const parameter = (id: string, rule: string): Edit => ({ edit: "parameter", parameter: id, rule });
export const unbond = (id: string): Edit => ({ edit: "bond", id, bond: null });
export const moveCrease = (piece: string, which: number, from: number, to: number): Edit => ({
  edit: "moveCrease",
  piece,
  crease: which,
  from,
  at: Math.round(to),
});
export const addPiece = (name: string, along: string, across: string): Edit => ({ edit: "addPiece", name, along, across });
export const removePiece = (piece: string): Edit => ({ edit: "removePiece", piece });
export const panelWindow = (piece: string, panel: string, border: string | null): Edit => ({
  edit: "panelWindow",
  piece,
  panel,
  border,
});
