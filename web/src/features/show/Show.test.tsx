import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { api, type Schemas } from "../../api/client";
import { desk, fig, say, shown } from "../../test/views";
import { CameOut } from "./CameOut";
import { MakerList } from "./MakerList";
import { OneScreen } from "./OneScreen";
import { StepPicture } from "./StepPicture";
import { Timers } from "./Timers";

type Screen = Schemas["ScreenView"];
const base: Schemas["DrawnStep"] = {
  name: "Base",
  width: 2000,
  height: 1000,
  marks: [
    { kind: "edge", lines: [[0, 0, 2000, 0, 2000, 1000, 0, 1000]], closed: true, new: false, tint: null, light: 1 },
    { kind: "valley", lines: [[500, 0, 500, 1000]], closed: false, new: false, tint: null, light: 1 },
    { kind: "mountain", lines: [[900, 0, 900, 1000]], closed: false, new: true, tint: null, light: 1 },
  ],
};
const step = (more: Partial<Screen> = {}): Screen => ({
  id: "score-base-1.2",
  step: 1,
  phase: "score",
  title: "Score the base, as it lies",
  big: say(fig("2", 1, 4)),
  bigOther: say(fig("5.7")),
  say: say("Mountain, on the groove."),
  why: say("it is half of the centre"),
  lookFor: say("each is felt with a nail"),
  tip: null,
  tool: "score board",
  seconds: 10,
  holds: 0,
  holdsFor: null,
  waits: false,
  cautions: ["Fingers behind the guard."],
  drawings: [base],
  figures: [
    { id: "base.width", name: "Base, width", text: fig("10") },
    { id: "base.height", name: "Base, height", text: fig("5") },
  ],
  ...more,
});
const view = {
  name: "Kite",
  construction: "Plain fold",
  size: say("5 × 7 in"),
  unit: "in",
  other: "cm",
  steps: 2,
  minutes: 9,
  ready: [],
  screens: [step()],
};

describe("one screen", () => {
  it("has its figure in both systems, why, what to look for and what to beware of", () => {
    const { container } = shown(<OneScreen view={view} screen={step()} timers={[]} beside={[]} />);
    expect(container.querySelector("[data-part=big]")?.textContent).toContain("2 1/4 in");
    expect(screen.getByText("5.7")).toBeTruthy();
    expect(screen.getByText(/it is half of the centre/)).toBeTruthy();
    expect(screen.getByText(/felt with a nail/)).toBeTruthy();
    expect(screen.getByRole("list", { name: "Take care" }).textContent).toContain("Fingers behind the guard.");
  });

  it("shows the piece before and after, and only one where nothing was there before", () => {
    const first = shown(<OneScreen view={view} screen={step()} timers={[]} beside={[]} />);
    expect(screen.getAllByRole("img")).toHaveLength(2);
    first.unmount();
    const cut = { ...base, marks: base.marks.slice(0, 1).map((m) => ({ ...m, new: true })) };
    shown(<OneScreen view={view} screen={step({ drawings: [cut] })} timers={[]} beside={[]} />);
    expect(screen.getAllByRole("img")).toHaveLength(1);
  });

  it("counts down where there is nothing to do but wait", () => {
    const { container } = shown(
      <OneScreen
        view={view}
        screen={step({ waits: true, big: [] })}
        timers={[{ id: "paper", label: "glue sets", ends: Date.now() + 90_500 }]}
        beside={[]}
      />,
    );
    expect(container.querySelector("[data-part=big]")?.textContent).toBe("1:31");
  });
});

describe("a step's picture", () => {
  it("has nothing of the step in it as it was before", () => {
    const { container, unmount } = shown(<StepPicture drawing={base} />);
    expect(container.querySelectorAll("path")).toHaveLength(3);
    expect(container.querySelectorAll("[data-new]")).toHaveLength(1);
    unmount();
    const was = shown(<StepPicture drawing={base} before />);
    expect([...was.container.querySelectorAll("path")].map((p) => p.getAttribute("data-kind"))).toEqual(["edge", "valley"]);
  });
});

describe("timers", () => {
  it("say what is left, call when they are due, and are put away", () => {
    const away = vi.fn();
    shown(
      <Timers
        timers={[
          { id: "ink", label: "the ink dries", ends: Date.now() - 60_000 },
          { id: "glue", label: "wet glue sets", ends: Date.now() + 200_000 },
        ]}
        quiet
        onPutAway={away}
      />,
    );
    expect(screen.getByRole("timer").textContent).toMatch(/3:(19|20) wet glue sets/);
    expect(screen.getByRole("alert").textContent).toContain("Done: the ink dries");
    fireEvent.click(screen.getByRole("button", { name: /the ink dries/ }));
    expect(away).toHaveBeenCalledWith("ink");
  });
});

describe("the maker's own list", () => {
  it("opens the step at hand, ticks what is done, and goes on", () => {
    const go = vi.fn();
    const screens = [step({ id: "cut", title: "Cut" }), step(), step({ id: "fold", title: "Fold", big: [] })];
    shown(<MakerList view={view} screens={screens} at="score-base-1.2" onGo={go} />);
    const items = screen.getAllByRole("listitem");
    expect(items[0]?.hasAttribute("data-done")).toBe(true);
    expect(items[1]?.textContent).toContain("Mountain, on the groove.");
    expect(items[2]?.textContent).not.toContain("Mountain");
    fireEvent.click(screen.getByRole("button", { name: "done, next" }));
    expect(go).toHaveBeenCalledWith("fold");
  });
});

describe("a figure that came out otherwise", () => {
  it("is asked about, and what can be done is taken", async () => {
    const taken = vi.fn();
    const edit = { edit: "lock", parameter: "frontShort", value: "1/8 in" };
    const post = vi.spyOn(api, "POST").mockResolvedValue({
      data: {
        kind: "sizedAgain",
        say: say("It can be saved."),
        edits: [edit],
        changes: [{ name: "Base, valley", was: fig("5"), now: fig("4", 7, 8) }],
      },
      response: new Response(),
    } as never);
    shown(<CameOut screen={step()} desk={desk} done={["a"]} onTake={taken} onClose={() => {}} />);
    fireEvent.change(screen.getByRole("textbox", { name: "What it is now" }), { target: { value: "9 7/8" } });
    fireEvent.click(screen.getByRole("button", { name: "What now?" }));
    await waitFor(() => expect(screen.getByRole("status").textContent).toContain("It can be saved."));
    expect(screen.getByRole("status").textContent).toContain("5 → 4 7/8");
    expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { figure: "base.width", real: "9 7/8", done: ["a"] } });
    fireEvent.click(screen.getByRole("button", { name: "Go on with that" }));
    expect(taken).toHaveBeenCalledWith([edit]);
    post.mockRestore();
  });
});
