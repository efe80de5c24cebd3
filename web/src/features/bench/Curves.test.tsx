import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../api/client";
import { fig, figure, say } from "../../test/views";
import { CurveDrawing } from "./Curves";

const point = (units: number, x: number, y: number, current = false, costly = false) => ({
  value: figure(fig(String(units)), units),
  one: fig(`${units}`),
  other: fig(`${9 - units}`),
  x,
  y,
  costs: say(costly ? "1 score by ruler" : "all on grooves"),
  costly,
  current,
});
const curve: Schemas["CurveView"] = {
  parameter: "depth",
  parameterName: "depth",
  oneName: "depth",
  otherName: "window",
  points: [point(1, 0, 1), point(2, 0.5, 0.5, true), point(3, 1, 0, false, true)],
};

describe("a trade-off", () => {
  it("draws its points where the studio put them, and says which is in use", () => {
    const { container } = render(<CurveDrawing curve={curve} unit="in" onPick={() => {}} />);
    expect(container.querySelector("polyline")?.getAttribute("points")).toBe("0,0 150,75 300,150");
    expect(screen.getByRole("button", { pressed: true }).getAttribute("aria-label")).toContain("depth 2 in");
    expect(screen.getByRole("button", { name: /depth 3 in/ }).className).not.toBe(
      screen.getByRole("button", { name: /depth 1 in/ }).className,
    );
  });
  it("tells what a point costs when it is looked at, and picks it", () => {
    const picked = vi.fn();
    const { container } = render(<CurveDrawing curve={curve} unit="in" onPick={picked} />);
    const last = screen.getByRole("button", { name: /depth 3 in/ });
    fireEvent.focus(last);
    expect(container.querySelector("p:last-of-type")?.textContent).toContain("1 score by ruler");
    fireEvent.click(last);
    expect(picked).toHaveBeenCalledWith(curve.points[2]);
  });
});
