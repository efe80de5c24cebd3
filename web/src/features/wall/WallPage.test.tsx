import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../api/client";
import { fig, figure, say } from "../../test/views";
import { Wall } from "./WallPage";

const card = (key: string, width: number, height: number, stuck = false) =>
  ({
    format: {
      key,
      format: key,
      turn: false,
      name: key,
      size: say("5 × 7 in"),
      width,
      height,
      home: key === "a",
      target: key === "a",
      verdict: stuck ? "stuck" : "asDrawn",
      verdictText: say(stuck ? "will not" : "fits"),
      envelope: "A7 envelope",
    },
    closed: stuck
      ? null
      : {
          width: figure(fig("5"), width),
          height: figure(fig("7"), height),
          worn: [],
          panels: [
            {
              id: "p",
              corners: [
                { x: 0, y: 0 },
                { x: width, y: 0 },
                { x: width, y: height },
              ],
            },
          ],
          text: [],
          thickness: "1.2 mm",
          envelopeName: null,
          envelopeWidth: null,
          envelopeHeight: null,
          envelopeText: [],
        },
    sheets: "2 × Letter",
    tools: "",
    changed: say("centre ", fig("", 7, 8), " → ", fig("", 3, 4)),
    problem: stuck ? say("These cannot hold together") : null,
  }) as unknown as Schemas["WallCard"];
const wall = {
  name: "Kite",
  construction: "Gatefold",
  home: say("5 × 7 in"),
  stock: "Oat",
  unit: "in",
  cards: [card("a", 4000, 6000), card("b", 2000, 3000), card("c", 2000, 2000, true)],
};

describe("the wall", () => {
  it("draws every card to one scale, also one that will not go, and tells what it needs and what moved", () => {
    const { container } = render(<Wall wall={wall} onPick={() => {}} />);
    const heights = [...container.querySelectorAll("[data-part=wall-card] svg rect")].map((r) =>
      Number(r.getAttribute("height")),
    );
    expect(heights).toEqual([150, 75, 50]);
    expect(screen.getByRole("button", { name: /^a/ }).textContent).toContain("1.2 mm thick · 2 × Letter");
    expect(screen.getByRole("button", { name: /^b/ }).textContent).toContain("centre 7/8 → 3/4");
  });
  it("says why one will not go, and picks any", () => {
    const picked = vi.fn();
    render(<Wall wall={wall} onPick={picked} />);
    const stuck = screen.getByRole("button", { name: /^c/ });
    expect(stuck.textContent).toContain("These cannot hold together");
    fireEvent.click(stuck);
    expect(picked).toHaveBeenCalledWith(wall.cards[2]);
  });
});
