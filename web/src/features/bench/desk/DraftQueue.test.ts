import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type DesignView, type Desk, type Edit, Problem } from "../../../api/client";
import { DraftQueue, type Store } from "./DraftQueue";

const set = (value: string): Edit => ({ edit: "set", parameter: "relief", value });
const design = (version: number, undo: string | null = null) =>
  ({ id: "kite", version, undo, state: { name: `v${version}` } }) as unknown as DesignView;
const away = () => new Problem("Away", "The studio does not answer.", "studio.away");
const stale = (current: DesignView) => new Problem("Changed", "Somebody was before you.", "design.stale", null, null, current);

/** A store of one design that can be away, refuse, or have been changed by somebody else. */
function studio() {
  let version = 1;
  const kept: Edit[][] = [];
  const fail: Problem[] = [];
  const marks: string[] = [];
  const put = async (from: number, edits: Edit[], mark = "") => {
    marks.push(mark);
    const problem = fail.shift();
    if (problem) {
      throw problem;
    }
    if (from !== version) {
      throw stale(design(version, "theirs"));
    }
    kept.push(edits);
    return design(++version);
  };
  const store: Store = { save: put, step: (from, way) => put(from, [{ edit: way } as unknown as Edit]) };
  return { store, kept, fail, marks, somebodyElse: () => version++ };
}

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());
const settle = () => vi.advanceTimersByTimeAsync(0);

function opened() {
  const at = studio();
  const arrived = vi.fn();
  const queue = new DraftQueue(at.store, arrived);
  queue.read(design(1));
  return { ...at, queue, arrived };
}

describe("what is done to a design", () => {
  it("is shown at once, stored one after the other, each on what the one before it gave", async () => {
    const { queue, kept, arrived } = opened();
    queue.commit([set("1")]);
    queue.commit([set("2")]);
    expect(queue.snapshot().edits).toEqual([set("1"), set("2")]);
    await settle();
    expect(kept).toEqual([[set("1")], [set("2")]]);
    expect(queue.snapshot()).toMatchObject({ edits: [], stored: { version: 3 }, problem: null });
    expect(arrived).toHaveBeenCalledTimes(2);
  });

  it("waits until the design has been read", async () => {
    const { store, kept } = studio();
    const queue = new DraftQueue(store);
    queue.commit([set("1")]);
    await settle();
    expect(kept).toEqual([]);
    queue.read(design(1));
    await settle();
    expect(kept).toEqual([[set("1")]]);
  });

  it("can be tried out, and is then not stored", async () => {
    const { queue, kept } = opened();
    queue.tryOut([set("3")]);
    expect(queue.snapshot().edits).toEqual([set("3")]);
    queue.commit([set("4")]);
    await settle();
    expect(kept).toEqual([[set("4")]]);
    expect(queue.snapshot().edits).toEqual([]);
  });

  it("is not put back by an older reading that comes in between", async () => {
    const { queue } = opened();
    queue.commit([set("1")]);
    queue.read(design(1));
    await settle();
    expect(queue.snapshot().stored?.version).toBe(2);
  });
});

describe("a studio that is away", () => {
  it("is tried again, each time later, and loses nothing", async () => {
    const { queue, kept, fail } = opened();
    fail.push(away(), away());
    queue.commit([set("1")]);
    queue.commit([set("2")]);
    await settle();
    expect(queue.snapshot()).toMatchObject({ away: true, edits: [set("1"), set("2")] });
    await vi.advanceTimersByTimeAsync(1_000);
    expect(kept).toEqual([]);
    await vi.advanceTimersByTimeAsync(1_999);
    expect(kept).toEqual([]);
    await vi.advanceTimersByTimeAsync(1);
    expect(kept).toEqual([[set("1")], [set("2")]]);
    expect(queue.snapshot()).toMatchObject({ away: false, problem: null, edits: [] });
  });
});

describe("what has to be asked for first", () => {
  it("is asked on the state that will be: the second of two quick ones on what the first came to", async () => {
    const { queue, kept } = opened();
    const asked: number[] = [];
    const ask = async ({ design }: Desk) => {
      const name = design.name ?? "";
      asked.push(Number(name.slice(1)));
      return [set(name)];
    };
    queue.ask("moon", ask);
    queue.ask("moon", ask);
    await settle();
    expect(asked).toEqual([1, 2]);
    expect(kept).toEqual([[set("v1")], [set("v2")]]);
  });
  it("waits for a studio that is away, and is not lost", async () => {
    const { queue, kept } = opened();
    const ask = vi
      .fn<() => Promise<Edit[]>>()
      .mockRejectedValueOnce(away())
      .mockResolvedValue([set("1")]);
    queue.ask("moon", ask);
    await settle();
    expect(queue.snapshot()).toMatchObject({ away: true, waiting: 1 });
    await vi.advanceTimersByTimeAsync(1_000);
    expect(kept).toEqual([[set("1")]]);
    expect(queue.snapshot()).toMatchObject({ away: false, waiting: 0 });
  });
  it("is told where it was refused, with what follows done, and can be tried again", async () => {
    const { queue, kept } = opened();
    const ask = vi
      .fn<() => Promise<Edit[]>>()
      .mockRejectedValueOnce(new Problem("Refused", "it lies on no face", "input.invalid", "x"))
      .mockResolvedValue([set("2")]);
    queue.ask("moon", ask);
    queue.commit([set("1")]);
    await settle();
    expect(kept).toEqual([[set("1")]]);
    expect(queue.snapshot()).toMatchObject({
      failed: { about: "moon", problem: { detail: "it lies on no face" } },
      problem: null,
    });
    queue.tryAgain();
    await settle();
    expect(kept).toEqual([[set("1")], [set("2")]]);
    expect(queue.snapshot().failed).toBeNull();
  });
  it("comes to nothing where the core finds nothing to be done, and that is told", async () => {
    const { queue, kept } = opened();
    const told = vi.fn();
    queue.ask("moon", async () => [], told);
    await settle();
    expect(kept).toEqual([]);
    expect(told).toHaveBeenCalledWith(false);
    expect(queue.snapshot().waiting).toBe(0);
  });
});

describe("a change that is sent again", () => {
  it("has the same name as before, so that it cannot be done twice", async () => {
    const { queue, fail, marks } = opened();
    fail.push(away());
    queue.commit([set("1")]);
    queue.commit([set("2")]);
    await settle();
    await vi.advanceTimersByTimeAsync(1_000);
    expect(marks).toHaveLength(3);
    expect(marks[0]).toBe(marks[1]);
    expect(marks[2]).not.toBe(marks[1]);
  });
});

describe("a change that came too late", () => {
  it("waits for a decision: put on top of the other", async () => {
    const { queue, kept, somebodyElse } = opened();
    somebodyElse();
    queue.commit([set("1")]);
    queue.commit([set("2")]);
    await settle();
    expect(queue.snapshot().clash).toMatchObject({ mine: [set("1")], theirs: { version: 2, undo: "theirs" } });
    expect(kept).toEqual([]);
    queue.keepMine();
    await settle();
    expect(kept).toEqual([[set("1")], [set("2")]]);
    expect(queue.snapshot()).toMatchObject({ clash: null, stored: { version: 4 } });
  });
  it("or let go", async () => {
    const { queue, kept, somebodyElse } = opened();
    somebodyElse();
    queue.commit([set("1")]);
    await settle();
    queue.takeTheirs();
    await settle();
    expect(kept).toEqual([]);
    expect(queue.snapshot()).toMatchObject({ clash: null, edits: [], stored: { version: 2 } });
  });
  it("is dropped where it was a step back: what is there now is shown first", async () => {
    const { queue, kept, somebodyElse } = opened();
    somebodyElse();
    queue.step("undo");
    await settle();
    expect(queue.snapshot()).toMatchObject({ clash: null, stored: { version: 2 } });
    expect(kept).toEqual([]);
  });
});

describe("a change that is refused", () => {
  it("is told, and does not stop what follows", async () => {
    const { queue, kept, fail } = opened();
    fail.push(new Problem("Refused", "relief: 9 in is too much", "input.invalid", "relief"));
    queue.commit([set("9")]);
    await settle();
    expect(queue.snapshot()).toMatchObject({ edits: [], problem: { field: "relief" } });
    queue.commit([set("1")]);
    await settle();
    expect(kept).toEqual([[set("1")]]);
    expect(queue.snapshot().problem).toBeNull();
  });
});
