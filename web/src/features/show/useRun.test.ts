import { act, renderHook } from "@testing-library/react";
import { beforeEach, describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { clock, fresh, moved, useRun } from "./useRun";

type Screen = Schemas["ScreenView"];
const screen = (id: string, step: number, more: Partial<Screen> = {}): Screen => ({
  id,
  step,
  phase: "cut",
  title: id,
  big: [],
  bigOther: [],
  say: [{ text: id }],
  why: null,
  lookFor: null,
  tip: null,
  tool: "by hand",
  seconds: 10,
  holds: 0,
  holdsFor: null,
  waits: false,
  cautions: [],
  drawings: [],
  figures: [],
  ...more,
});
const screens = [
  screen("cut", 0),
  screen("score.1", 1, { phase: "score" }),
  screen("score.2", 1, { phase: "score" }),
  screen("paper", 2, { phase: "decorate", holds: 300, holdsFor: "wet glue sets" }),
  screen("wait-1", 3, { phase: "finish", holds: 300, holdsFor: "wet glue sets", waits: true, seconds: 0 }),
  screen("shut", 4, { phase: "finish" }),
];

describe("a run", () => {
  beforeEach(() => localStorage.clear());

  it("begins a timer where something is left to set, once, and none on the way back", () => {
    const after = moved({ ...fresh, at: "paper" }, screens, "wait-1", 1000);
    expect(after.timers).toEqual([{ id: "paper", label: "wet glue sets", ends: 301_000 }]);
    expect(moved({ ...after, at: "paper" }, screens, "wait-1", 5000).timers).toHaveLength(1);
    expect(moved({ ...fresh, at: "paper" }, screens, "score.2", 1000).timers).toEqual([]);
  });

  it("waits for what runs already, and begins to wait where nothing does", () => {
    expect(moved({ ...fresh, at: "shut", timers: [] }, screens, "wait-1", 0).timers).toEqual([
      { id: "wait-1", label: "wet glue sets", ends: 300_000 },
    ]);
  });

  it("notes when what was shown, from the first screen on", () => {
    const first = moved(fresh, screens, "cut", 10_000);
    const second = moved(first, screens, "score.1", 22_500);
    expect(second.shown).toEqual([
      { screen: "cut", seconds: 0 },
      { screen: "score.1", seconds: 12.5 },
    ]);
  });

  it("goes on and back, skips what was done before, ends, and is where it was after a reload", () => {
    const run = renderHook(() => useRun("kite", screens));
    expect(run.result.current.screen).toBeNull();
    act(() => run.result.current.setReady(["cut"]));
    act(() => run.result.current.next());
    expect(run.result.current.screen?.id).toBe("score.1");
    act(() => run.result.current.next());
    act(() => run.result.current.next());
    expect(run.result.current.screen?.id).toBe("paper");
    act(() => run.result.current.before());
    expect(run.result.current.screen?.id).toBe("score.2");
    run.unmount();
    const again = renderHook(() => useRun("kite", screens));
    expect(again.result.current.screen?.id).toBe("score.2");
    for (const _ of screens) {
      act(() => again.result.current.next());
    }
    expect(again.result.current.run.at).toBe("end");
    act(() => again.result.current.before());
    expect(again.result.current.screen?.id).toBe("shut");
    act(() => again.result.current.again());
    expect(again.result.current.run).toEqual(fresh);
  });

  it("follows another window", () => {
    const run = renderHook(() => useRun("kite", screens));
    localStorage.setItem("wholefold.show.kite", JSON.stringify({ ...fresh, at: "paper" }));
    act(() => void window.dispatchEvent(new StorageEvent("storage", { key: "wholefold.show.kite" })));
    expect(run.result.current.screen?.id).toBe("paper");
  });

  it("tells the time that is left in minutes and seconds", () => {
    expect([clock(300_000), clock(61_200), clock(0), clock(-5)]).toEqual(["5:00", "1:02", "0:00", "0:00"]);
  });
});
