import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { shown } from "../../test/views";
import { freeId, idOf, ThingForm, written } from "./ThingForm";

const field = (id: string, type: string, optional = false, options: string[] | null = null): Schemas["KindField"] => ({
  id,
  name: id,
  type,
  example: "1/8",
  optional,
  options,
});
const fields = [
  field("name", "text"),
  field("units", "option", false, ["in", "mm"]),
  field("grams", "number"),
  field("groove", "length", true),
  field("wet", "yes", true),
];

describe("a thing of one's own", () => {
  it("gets an id that can be said, and none that another has", () => {
    expect(idOf("Board by the Window!")).toBe("board-by-the-window");
    expect(idOf("Crème 250")).toBe("cre-me-250");
    expect(freeId("Moss", ["moss", "moss-2"])).toBe("moss-3");
    expect(freeId("…", [])).toBe("unnamed");
  });
  it("is written down without what was left empty, a number as one", () => {
    expect(written(fields, { name: " Moss ", units: "mm", grams: "250", groove: "", wet: false }, "moss")).toEqual({
      id: "moss",
      name: "Moss",
      units: "mm",
      grams: 250,
      wet: false,
    });
    expect(written(fields, { name: "", units: "mm", grams: "heavy" }, "x")).toEqual({
      id: "x",
      name: "",
      units: "mm",
      grams: "heavy",
    });
  });
  it("is asked for by its kind's own fields, filled where it is changed", () => {
    const kind = { id: "stocks", name: "Stocks", one: "stock", meaning: "", fields, things: [] };
    const thing = {
      id: "moss",
      name: "Moss",
      detail: "",
      own: true,
      toHand: true,
      written: { name: "Moss", grams: 250, wet: true },
    };
    shown(<ThingForm kind={kind} thing={thing as never} onDone={() => {}} />);
    expect((screen.getByRole("textbox", { name: /^name/ }) as HTMLInputElement).value).toBe("Moss");
    expect((screen.getByRole("textbox", { name: /^grams/ }) as HTMLInputElement).value).toBe("250");
    expect((screen.getByRole("checkbox", { name: "wet" }) as HTMLInputElement).checked).toBe(true);
    fireEvent.change(screen.getByRole("combobox", { name: /^units/ }), { target: { value: "mm" } });
    expect((screen.getByRole("combobox", { name: /^units/ }) as HTMLSelectElement).value).toBe("mm");
  });
});
