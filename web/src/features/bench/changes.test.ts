import { describe, expect, it } from "vitest";
import type { DesignState } from "../../api/client";
import { nextUnits, targetOf, withChoice, withParameter, withPieceStock, withPreference, withTarget } from "./changes";

const state = {
  name: "x",
  construction: "gatefold",
  format: "5x5",
  turn: false,
  set: { relief: "1/16" },
  adjustments: {},
} as DesignState;

describe("what is set by hand", () => {
  it("belongs to the design at home, and to the format elsewhere", () => {
    expect(withParameter(state, { atHome: true, targetKey: "5x5" }, "relief", "1/32").set).toEqual({ relief: "1/32" });
    const away = withParameter(state, { atHome: false, targetKey: "a5" }, "relief", "1/32");
    expect(away.set).toEqual({ relief: "1/16" });
    expect(away.adjustments).toEqual({ a5: { relief: "1/32" } });
  });

  it("is freed everywhere it would be carried from", () => {
    const away = withParameter(
      withParameter(state, { atHome: false, targetKey: "a5" }, "relief", "1/32"),
      { atHome: false, targetKey: "a5" },
      "relief",
      null,
    );
    expect(away.set).toEqual({});
    expect(away.adjustments).toEqual({ a5: {} });
  });

  it("leaves the state it came from as it was", () => {
    const before = JSON.stringify(state);
    withParameter(state, { atHome: true, targetKey: "5x5" }, "relief", null);
    withChoice(state, "backKeeps", "sheet");
    withTarget(state, "a5", true);
    expect(JSON.stringify(state)).toBe(before);
  });
});

describe("the target", () => {
  it("is nothing of its own when it is the home format", () => {
    expect(withTarget(state, "5x5", false)).toMatchObject({ target: null, targetTurn: false });
    expect(withTarget(state, "a5", true)).toMatchObject({ target: "a5", targetTurn: true });
  });
});

describe("units", () => {
  it("go round: inches, centimetres, both", () => {
    const cm = nextUnits({ ...state, units: "in" }, "in");
    expect(cm).toMatchObject({ units: "cm" });
    const both = nextUnits(cm, "cm");
    expect(both.bothSystems).toBe(true);
    expect(nextUnits(both, "cm")).toMatchObject({ units: "in", bothSystems: false });
  });
});

describe("the format it is made in", () => {
  it("is the one chosen last, whatever the bench still shows", () => {
    expect(targetOf(state)).toEqual({ format: "5x5", turn: false });
    expect(targetOf(withTarget(state, "a5", true))).toEqual({ format: "a5", turn: true });
    expect(targetOf(withTarget(withTarget(state, "a5", true), "5x5", false))).toEqual({ format: "5x5", turn: false });
  });
});

describe("a piece of another card, and a preference", () => {
  it("can be given and taken back, and others stay", () => {
    const two = withPieceStock(withPieceStock(state, "tier1", "vellum"), "tier2", "card-350");
    expect(two.pieceStocks).toEqual({ tier1: "vellum", tier2: "card-350" });
    expect(withPieceStock(two, "tier1", "").pieceStocks).toEqual({ tier2: "card-350" });
    const liked = withPreference(withPreference(state, "one-stop", true), "no-sixteenths", true);
    expect(liked.prefer).toEqual(["one-stop", "no-sixteenths"]);
    expect(withPreference(withPreference(liked, "one-stop", true), "no-sixteenths", false).prefer).toEqual(["one-stop"]);
  });
});
