import type { BenchView, DesignState } from "../../api/client";

/** Sets a parameter by hand, for the format that is on the bench; null lets it go back to its rule. */
export function withParameter(
  state: DesignState,
  view: Pick<BenchView, "atHome" | "targetKey">,
  parameter: string,
  value: string | null,
): DesignState {
  const change = (had: Record<string, string> | undefined) => {
    const next = { ...had };
    if (value === null) {
      delete next[parameter];
    } else {
      next[parameter] = value;
    }
    return next;
  };
  if (view.atHome) {
    return { ...state, set: change(state.set) };
  }
  const adjustments = { ...state.adjustments };
  adjustments[view.targetKey] = change(adjustments[view.targetKey]);
  // Letting go must also free what was set at home, which a fixed parameter carries into every format.
  return { ...state, adjustments, set: value === null ? change(state.set) : (state.set ?? {}) };
}

/** A choice belongs to the design as such, in every format. */
export function withChoice(state: DesignState, choice: string, value: string): DesignState {
  return { ...state, set: { ...state.set, [choice]: value } };
}

/** The format that a design is being made in: its home where no other was chosen. */
export function targetOf(state: DesignState): { format: string; turn: boolean } {
  return state.target
    ? { format: state.target, turn: state.targetTurn ?? false }
    : { format: state.format ?? "", turn: state.turn ?? false };
}

export function withTarget(state: DesignState, format: string, turn: boolean): DesignState {
  const home = format === state.format && turn === (state.turn ?? false);
  return { ...state, target: home ? null : format, targetTurn: home ? false : turn };
}

/** Inches, centimetres, both: in this order, round and round. */
export function nextUnits(state: DesignState, unit: string): DesignState {
  if (state.bothSystems) {
    return { ...state, bothSystems: false, units: "in" };
  }
  return unit === "in" ? { ...state, units: "cm" } : { ...state, bothSystems: true };
}

/** A preference in the other position. */
export function withPreference(state: DesignState, id: string, on: boolean): DesignState {
  const others = (state.prefer ?? []).filter((p) => p !== id);
  return { ...state, prefer: on ? [...others, id] : others };
}

/** One piece cut from a stock of its own; from the design's card again where none is given. */
export function withPieceStock(state: DesignState, piece: string, stock: string): DesignState {
  const pieceStocks = { ...state.pieceStocks };
  if (stock) {
    pieceStocks[piece] = stock;
  } else {
    delete pieceStocks[piece];
  }
  return { ...state, pieceStocks };
}
