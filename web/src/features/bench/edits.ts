import type { BenchView, DesignState, Edit } from "../../api/client";

/** The edits that the bench makes. The core knows what they mean; this only names them. */
export const setFigure = (parameter: string, value: string): Edit => ({ edit: "set", parameter, value });
export const freeFigure = (parameter: string): Edit => ({ edit: "free", parameter });
export const lockFigure = (parameter: string, value: string): Edit => ({ edit: "lock", parameter, value });
export const unlockFigure = (parameter: string): Edit => ({ edit: "free", parameter, for: "lock" });
export const choose = (choice: string, option: string): Edit => ({ edit: "choose", choice, option });
export const convert = (format: string, turn: boolean): Edit => ({ edit: "convert", format, turn });
/** The size of a design that nothing was done to yet: its home, and no conversion. */
export const beginIn = (format: string): Edit => ({ edit: "begin", format, turn: false });
export const take = (what: string, value: string | null): Edit => ({ edit: "take", what, value });
export const cutFrom = (piece: string, stock: string | null): Edit => ({ edit: "cutFrom", piece, stock });
export const sheetsThere = (sheets: string[]): Edit => ({ edit: "useSheets", sheets });
export const prefer = (preference: string, on: boolean): Edit => ({ edit: "prefer", preference, on });
export const showIn = (units: string | null, both: boolean): Edit => ({ edit: "showIn", units, both });

/** Inches, centimetres, both: in this order, round and round. */
export const nextUnits = (state: DesignState, view: Pick<BenchView, "unit">): Edit =>
  state.bothSystems ? showIn("in", false) : view.unit === "in" ? showIn("cm", false) : showIn(state.units ?? null, true);
