import { fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { fig, say } from "../../test/views";
import { type CutPlanView, Sheets } from "./CutPage";
import { Order } from "./CutSide";

const sheet: Schemas["CutSheetView"] = {
  heading: "2 sheets alike",
  detail: say("Oat, Letter"),
  width: 400,
  height: 800,
  wayUp: false,
  parts: [{ name: "Base", size: say("4 × 6"), box: { x: 0, y: 0, width: 400, height: 600 } }],
  left: [{ size: say("4 × 2"), box: { x: 0, y: 600, width: 400, height: 200 }, keep: true }],
  lines: [{ step: 1, first: true, line: { from: { x: 0, y: 600 }, to: { x: 400, y: 600 } } }],
  steps: [
    {
      step: 1,
      text: say("Cut 6 in off the bottom of the sheet."),
      lies: say("Short side at the stop."),
      at: fig("6"),
      byHand: false,
    },
  ],
  pieces: say("Pieces from both: Base, 2 at 4 × 6 in."),
  note: null,
};
const stock = {
  id: "oat",
  name: "Oat",
  colour: "#eee",
  state: "planned",
  sheetCount: 2,
  proof: "",
  problem: null,
  sheets: [sheet],
};
const view = {
  stocks: [stock, { ...stock, id: "foil", name: "Foil", sheets: [], problem: say("No sheet is large enough.") }],
  cautions: ["Fingers behind the guard."],
} as unknown as CutPlanView;

function Both() {
  const [lit, setLit] = useState<string | null>(null);
  return (
    <>
      <Sheets view={view} lit={lit} onLit={setLit} />
      <Order view={view} lit={lit} onLit={setLit} />
    </>
  );
}

describe("a cut plan", () => {
  it("draws a piece from the sheet's lower left corner, and the cut above it", () => {
    const { container } = render(<Both />);
    const [whole, left, part] = [...container.querySelectorAll("svg rect")].map((r) => ({
      y: Number(r.getAttribute("y") ?? 0),
      height: Number(r.getAttribute("height")),
    }));
    expect(part?.y).toBeCloseTo((whole?.height ?? 0) / 4);
    expect(left?.y).toBeCloseTo(0);
    expect(Number(container.querySelector("svg line")?.getAttribute("y1"))).toBeCloseTo(part?.y ?? -1);
  });
  it("lights the cut of the step that is pointed at, and ticks it off", () => {
    const { container } = render(<Both />);
    const tick = screen.getByRole("checkbox", { name: /Cut 6 in off/ });
    fireEvent.focus(tick);
    expect(container.querySelector("svg [data-lit]")).not.toBeNull();
    fireEvent.click(tick);
    expect(container.querySelector("li[data-done]")).not.toBeNull();
    fireEvent.click(tick);
    expect(container.querySelector("li[data-done]")).toBeNull();
  });
  it("says of a stock that has no plan why, beside those that have one", () => {
    render(<Both />);
    expect(screen.getByRole("alert").textContent).toBe("Foil: No sheet is large enough.");
  });
});
