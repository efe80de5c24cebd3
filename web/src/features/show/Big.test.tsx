import { describe, expect, it } from "vitest";
import { fig, say, shown } from "../../test/views";
import { Big, lines } from "./Big";

const ems = (box: HTMLElement) => Number(box.querySelector<HTMLElement>("[data-part=big]")?.style.getPropertyValue("--ems"));

describe("the big figure", () => {
  it("is one line, and two where several stand side by side", () => {
    expect(lines(say(fig("9"), " × ", fig("6", 1, 4)))).toHaveLength(2);
    expect(lines(say(fig("2", 1, 4)))).toHaveLength(1);
  });

  it("is set in the width that is there: the more it says, the more of its own size it takes", () => {
    const short = ems(shown(<Big parts={say(fig("2", 1, 4))} unit="in" />).container);
    const { container } = shown(<Big parts={say(fig("11", 11, 16), " × ", fig("8", 1, 4))} unit="in" />);
    expect(ems(container)).toBeGreaterThan(short * 1.8);
    expect(container.textContent).toContain("11/16");
  });
});
