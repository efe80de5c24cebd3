import { render } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { fig, say } from "../test/views";
import { Fig, figureText, Sentence, sentenceText } from "./Fig";

describe("a figure", () => {
  it.each([
    [fig("5"), "5", undefined],
    [fig("", 7, 16), "7/16", "7/16"],
    [fig("2", 7, 16, "scant"), "2 7/16 scant", "7/16"],
    [{ ...fig("6.2", undefined, undefined, "full"), unit: "cm" }, "6.2 cm full", undefined],
  ])("is read out as it is written: %j", (figure, text, fraction) => {
    const { container } = render(<Fig figure={figure} />);
    expect(container.textContent).toBe(text);
    expect(figureText(figure)).toBe(text);
    expect(container.querySelector("[data-frac]")?.textContent).toBe(fraction);
  });

  it("keeps every word of a sentence around its fractions", () => {
    const parts = say(fig("", 1, 16), " inside the ", fig("2", 1, 2), " groove, of 10");
    const { container } = render(<Sentence parts={parts} />);
    expect(container.textContent).toBe("1/16 inside the 2 1/2 groove, of 10");
    expect(sentenceText(parts)).toBe(container.textContent);
    expect([...container.querySelectorAll("[data-frac]")].map((f) => f.textContent)).toEqual(["1/16", "1/2"]);
  });
});
