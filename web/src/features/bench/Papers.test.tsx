import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { DesignState } from "../../api/client";
import { shown } from "../../test/views";
import { nextUnits, showIn } from "./edits";
import { Papers } from "./Papers";

const item = (id: string) => ({ id, name: id.toUpperCase(), detail: "0.3 mm" });
const state = {
  stock: "oat",
  layerStock: "ember",
  matStock: "oat",
  adhesive: "glue",
  grain: null,
  pieceStocks: {},
} as unknown as DesignState;

async function papers() {
  const changed = vi.fn();
  shown(
    <Papers
      button={<button type="button">Card</button>}
      state={state}
      stocks={[item("oat"), item("moss")]}
      all={[item("oat"), item("moss"), item("ember")]}
      adhesives={[item("glue"), item("tape")]}
      sheets={[item("letter"), item("a4")]}
      accepted="0.33mm or 13pt"
      pieces={[
        { id: "base", name: "Base" },
        { id: "tier1", name: "Tier 1" },
      ]}
      onChange={changed}
    />,
  );
  await screen.findByLabelText("Bonded with");
  return changed;
}
const pick = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label, { selector: "select" }), { target: { value } });

describe("card and papers", () => {
  it("another card takes back the caliper that was measured of the one before", async () => {
    const changed = await papers();
    pick("Card", "moss");
    expect(changed).toHaveBeenLastCalledWith(
      [
        { edit: "take", what: "stock", value: "moss" },
        { edit: "take", what: "caliper", value: null },
      ],
      "MOSS",
    );
  });
  it("a measured caliper is sent as it was written, an empty one goes back to the usual", async () => {
    const changed = await papers();
    fireEvent.change(screen.getByLabelText("Its thickness, measured"), { target: { value: " 3.4mm/10 " } });
    fireEvent.click(screen.getByText("use it"));
    expect(changed).toHaveBeenLastCalledWith([{ edit: "take", what: "caliper", value: "3.4mm/10" }], "card of 3.4mm/10");
    fireEvent.change(screen.getByLabelText("Its thickness, measured"), { target: { value: "" } });
    fireEvent.click(screen.getByText("use it"));
    expect(changed).toHaveBeenLastCalledWith([{ edit: "take", what: "caliper", value: null }], "usual caliper");
  });
  it("one piece can be of another card, and be as the rest again", async () => {
    const changed = await papers();
    pick("Tier 1", "moss");
    expect(changed).toHaveBeenLastCalledWith([{ edit: "cutFrom", piece: "tier1", stock: "moss" }], "Tier 1 of MOSS");
    pick("Tier 1", "");
    expect(changed).toHaveBeenLastCalledWith([{ edit: "cutFrom", piece: "tier1", stock: null }], "Tier 1 as the rest");
  });
  it("a sheet that is there is ticked", async () => {
    const changed = await papers();
    fireEvent.click(screen.getByLabelText("A4"));
    expect(changed).toHaveBeenLastCalledWith([{ edit: "useSheets", sheets: ["a4"] }], "from A4");
  });
  it("a bought blank is sent as it was measured, and taken back where nothing is typed", async () => {
    const changed = await papers();
    const field = screen.getByLabelText("Begun with a bought blank");
    fireEvent.change(field, { target: { value: " 125 x 175 mm" } });
    fireEvent.submit(field);
    expect(changed).toHaveBeenLastCalledWith([{ edit: "take", what: "blank", value: "125 x 175 mm" }], "a blank of 125 x 175 mm");
    fireEvent.change(field, { target: { value: "" } });
    fireEvent.submit(field);
    expect(changed).toHaveBeenLastCalledWith([{ edit: "take", what: "blank", value: null }], "no blank");
  });
  it("papers, mats and what holds them are each one edit", async () => {
    const changed = await papers();
    for (const [label, what, value] of [
      ["Papers on it", "layerStock", "moss"],
      ["Mats under them", "matStock", "ember"],
      ["Bonded with", "adhesive", "tape"],
    ] as const) {
      pick(label, value);
      expect(changed.mock.calls.at(-1)?.[0]).toEqual([{ edit: "take", what, value }]);
    }
  });
});

describe("the units", () => {
  it("go round: inches, centimetres, both", () => {
    const inches = { units: "in", bothSystems: false } as DesignState;
    expect(nextUnits(inches, { unit: "in" })).toEqual(showIn("cm", false));
    expect(nextUnits({ ...inches, units: "cm" }, { unit: "cm" })).toEqual(showIn("cm", true));
    expect(nextUnits({ ...inches, bothSystems: true }, { unit: "in" })).toEqual(showIn("in", false));
  });
});
