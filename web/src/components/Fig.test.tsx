import { render } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { Fig, figureParts, Sentence } from "./Fig";

describe("a figure", () => {
  it.each([
    ["5", "5", "", ""],
    ["7/16", "", "7/16", ""],
    ["2 7/16", "2", "7/16", ""],
    ["4 1/8 full", "4", "1/8", "full"],
    ["5 scant", "5", "", "scant"],
    ["12.7", "12.7", "", ""],
    ["6.2 scant", "6.2", "", "scant"],
  ])("%s is taken apart", (text, whole, fraction, word) => {
    expect(figureParts(text)).toEqual({ whole, fraction, word });
  });

  it("is read out as it is written", () => {
    const { container } = render(<Fig text="2 7/16 scant" />);
    expect(container.textContent).toBe("2 7/16 scant");
    expect(container.querySelector(".frac")?.textContent).toBe("7/16");
  });

  it("keeps every word of a sentence around its fractions", () => {
    const text = "1/16 inside the 2 1/2 groove, of 10";
    const { container } = render(<Sentence text={text} />);
    expect(container.textContent).toBe(text);
    expect([...container.querySelectorAll(".frac")].map((f) => f.textContent)).toEqual(["1/16", "1/2"]);
  });
});
