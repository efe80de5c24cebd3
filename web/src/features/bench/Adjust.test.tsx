import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { BenchView } from "../../api/client";
import { queries } from "../../api/queries";
import { desk, fig, figure, say, shown } from "../../test/views";
import { Adjust } from "./Adjust";

const relief = (hold: string) => ({
  id: "relief",
  name: "relief",
  meaning: "how far the doors stand apart",
  value: figure(fig("", 1, 16), 2),
  ideal: figure(fig("", 1, 16), 2),
  hold,
  least: "doors closer",
  most: "doors freer",
});
const view = (hold = "free") => ({ unit: "in", stuck: null, choices: [], parameters: [relief(hold)] }) as unknown as BenchView;
const stops = [figure(fig("", 1, 32), 1), figure(fig("", 1, 16), 2), figure(fig("", 1, 8), 4)];

function adjust(answers = true, hold = "free") {
  const does = { onTry: vi.fn(), onSet: vi.fn(), onLock: vi.fn(), onChoice: vi.fn(), onOpens: vi.fn(), onPriority: vi.fn() };
  shown(
    <Adjust view={view(hold)} desk={desk} curves={null} {...does} />,
    answers
      ? [
          [queries.ranges(desk).queryKey, [{ parameter: "relief", min: stops[0], max: stops[2], stops }]],
          [
            queries.alternatives(desk).queryKey,
            [
              { priority: "format", name: "keep the format", current: true, same: false, gives: say("full size") },
              { priority: "grooves", name: "keep to the grooves", current: false, same: true, gives: say("full size") },
            ],
          ],
        ]
      : [],
  );
  fireEvent.click(screen.getByRole("button", { name: "Adjust relief" }));
  return does;
}

describe("a slider", () => {
  it("stands at what is set, says it as a figure, and goes from stop to stop", () => {
    const does = adjust();
    const slider = screen.getByRole("slider", { name: /relief/ });
    expect(slider.getAttribute("aria-valuetext")).toBe("1/16 in");
    expect(slider.getAttribute("aria-valuenow")).toBe("1");
    fireEvent.keyDown(slider, { key: "ArrowRight" });
    expect(does.onTry).toHaveBeenLastCalledWith("relief", "4 mm");
    expect(does.onSet).toHaveBeenLastCalledWith("relief", "4 mm");
  });
  it("sets nothing where it does not move", () => {
    const does = adjust();
    fireEvent.keyDown(screen.getByRole("slider", { name: /relief/ }), { key: "ArrowUp", altKey: true });
    fireEvent.keyDown(screen.getByRole("slider", { name: /relief/ }), { key: "Tab" });
    expect(does.onSet.mock.calls.every(([, value]) => value === "4 mm")).toBe(true);
  });
  it("is not there before its stops are known, and the figure is", () => {
    adjust(false, "set");
    expect(screen.queryByRole("slider")).toBeNull();
    expect(screen.getByText("set by you")).toBeTruthy();
  });
  it("is let go in one click where it was set by hand", () => {
    const does = adjust(true, "set");
    fireEvent.click(screen.getByRole("button", { name: "let go" }));
    expect(does.onSet).toHaveBeenCalledWith("relief", null);
  });
});

describe("what is traded off", () => {
  it("is one line until it is opened", () => {
    adjust();
    fireEvent.click(screen.getByRole("button", { name: "Adjust relief", expanded: true }));
    expect(screen.queryByRole("slider")).toBeNull();
    expect(screen.getByRole("button", { name: "Adjust relief", expanded: false }).textContent).toContain("in");
  });
});

describe("a lock", () => {
  it("is put on at the value there is, by its button or K on the slider", () => {
    const does = adjust();
    fireEvent.click(screen.getByRole("button", { name: "lock" }));
    fireEvent.keyDown(screen.getByRole("slider", { name: /relief/ }), { key: "K" });
    expect(does.onLock.mock.calls).toEqual([
      ["relief", "2 mm"],
      ["relief", "2 mm"],
    ]);
  });
  it("shows that it is on, and is taken off", () => {
    const does = adjust(true, "locked");
    fireEvent.click(screen.getByRole("button", { name: "locked", pressed: true }));
    expect(does.onLock).toHaveBeenCalledWith("relief", null);
    expect(screen.queryByRole("button", { name: "let go" })).toBeNull();
  });
});

describe("which wish comes first", () => {
  it("says what each gives, or that it is the same, and is picked", () => {
    const does = adjust();
    expect(screen.queryByRole("button", { name: /grooves/ })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: /If it can't all fit/ }));
    expect(screen.getByRole("button", { pressed: true, name: /keep the format/ }).textContent).toBe("keep the formatfull size");
    const other = screen.getByRole("button", { pressed: false, name: /grooves/ });
    expect(other.textContent).toBe("keep to the groovesthe same figures");
    fireEvent.click(other);
    expect(does.onPriority).toHaveBeenCalledWith("grooves", "keep to the grooves");
  });
});
