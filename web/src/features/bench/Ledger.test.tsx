import { MantineProvider } from "@mantine/core";
import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, beforeAll, describe, expect, it, vi } from "vitest";
import type { BenchView, Figure } from "../../api/client";
import { Foot } from "./Foot";
import { Ledger } from "./Ledger";
import { Strip } from "./Strip";
import { Stuck } from "./Stuck";

afterEach(cleanup);
beforeAll(() => {
  // jsdom has no media queries; Mantine asks for them.
  window.matchMedia = ((query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => {},
    removeEventListener: () => {},
  })) as never;
});

const figure = (text: string, also: string): Figure => ({ units: 1, text, also, exact: "1 mm" });
const row = (figureId: string, was: string | null, now: string) => ({
  figureId,
  label: "valley",
  detail: "left door | back",
  mark: "v",
  was: was === null ? null : figure(was, "1"),
  now: figure(now, "6.2 scant"),
  changed: was !== null && was !== now,
  setting: "1/16 inside 2 1/2",
  how: "between",
  said: "2 7/16 = half of the width 5, less the relief 1/16 so that the doors do not touch",
  safe: { side: "full", text: "Rather full: scant, it stands out of the closed card" },
  because: was !== null && was !== now ? "Relief goes from 1/8 to 1/16" : null,
  ways: ["turned, 7 7/16"],
  reasons: [{ why: "Half the card's width: half of the width 5.", from: "2 1/2", to: "2 7/16", moves: true }],
});
const view = (atHome: boolean) =>
  ({
    unit: "in",
    atHome,
    targetSize: "5 × 5 in",
    compared: null,
    pieces: [
      {
        id: "base",
        order: [
          { lay: "asItLies", words: "as it lies", scores: [{ figureId: "base.scores[0]", text: "2 7/16" }] },
          { lay: "turnedRound", words: "turn it round", scores: [{ figureId: "base.scores[1]", text: "1/2" }] },
        ],
      },
    ],
    ledger: [
      { id: "base", title: "Base", detail: "Oat 216, cut 1", rows: [row("base.scores[0]", atHome ? null : "2 3/8", "2 7/16")] },
    ],
    summary: "It does not go yet.",
    verdictKind: "stuck",
    checks: [{ id: "larger-sheet", severity: "note", text: "Base is 12 × 6: cut it from 12 × 12 in." }],
    closed: null,
    stuck: {
      text: "",
      conflicts: [{ text: "pad set to 5/8 in" }, { text: "the left wing would be too narrow" }],
      remedies: [{ text: "let the pad go; it becomes 1/4", state: { construction: "gatefold" } }],
    },
  }) as unknown as BenchView;

describe("the list of figures", () => {
  it("shows was and now when converted, and only now at home", () => {
    const { rerender, container } = render(<Ledger view={view(false)} both={false} open={null} onOpen={() => {}} />);
    expect(container.querySelector(".was")?.textContent).toBe("2 3/8");
    expect(container.querySelector(".now .fig")?.textContent).toBe("2 7/16");
    rerender(<Ledger view={view(true)} both={false} open={null} onOpen={() => {}} />);
    expect(container.querySelector(".was")).toBeNull();
  });

  it("shows the other system beside when both are asked for", () => {
    const { container } = render(<Ledger view={view(false)} both={true} open={null} onOpen={() => {}} />);
    expect(container.querySelector(".row .also")?.textContent).toBe("6.2 scant");
  });

  it("opens a row to its reasons and closes it again", () => {
    const opened = vi.fn();
    const { rerender } = render(<Ledger view={view(false)} both={false} open={null} onOpen={opened} />);
    fireEvent.click(screen.getByRole("button", { expanded: false }));
    expect(opened).toHaveBeenLastCalledWith("base.scores[0]");
    rerender(<Ledger view={view(false)} both={false} open="base.scores[0]" onOpen={opened} />);
    expect(screen.getByText(/Half the card's width/)).toBeTruthy();
    expect(screen.getByText(/so that the doors do not touch/)).toBeTruthy();
    expect(screen.getByText(/scant, it stands out/)).toBeTruthy();
    expect(document.body.textContent).toContain("It could also be set: turned, 7 7/16");
    fireEvent.click(screen.getByRole("button", { expanded: true }));
    expect(opened).toHaveBeenLastCalledWith(null);
  });
});

describe("a change that is looked at", () => {
  it("puts what was before beside what is now, with the reason in the row", () => {
    const compared = {
      ...view(true),
      ledger: view(false).ledger,
      compared: { text: "1 figure changes of 4.", gone: [] },
    } as BenchView;
    const { container } = render(<Ledger view={compared} both={false} open="base.scores[0]" onOpen={() => {}} />);
    expect(container.querySelector(".ledger-head")?.textContent).toContain("before");
    expect(container.querySelector(".was")?.textContent).toBe("2 3/8");
    expect(container.querySelector(".because")?.textContent).toBe("Changed: Relief goes from 1/8 to 1/16");
  });
});

describe("the order of setting", () => {
  it("is told piece by piece, with how it lies", () => {
    const { container } = render(<Ledger view={view(true)} both={false} open={null} onOpen={() => {}} />);
    expect(container.querySelector(".order")?.textContent).toMatch(/as it lies 2 7\/16 turn it round 1\/2/);
  });
  it("goes with a mark for the safe side", () => {
    const { container } = render(<Ledger view={view(true)} both={false} open={null} onOpen={() => {}} />);
    expect(container.querySelector(".safe")?.textContent).toBe("≥");
  });
});

describe("what is stuck", () => {
  it("is mended in one click", () => {
    const mended = vi.fn();
    render(
      <MantineProvider>
        <Stuck view={view(false)} onRemedy={mended} />
        <Foot view={view(false)} />
      </MantineProvider>,
    );
    expect(document.querySelector(".foot")?.textContent).toContain("would be too narrow");
    const buttons = screen.getAllByRole("button");
    expect(buttons).toHaveLength(1);
    expect(buttons[0]?.textContent).toBe("let the pad go; it becomes 1/4");
    fireEvent.click(buttons[0] as HTMLElement);
    expect(mended).toHaveBeenCalledWith(expect.objectContaining({ state: { construction: "gatefold" } }));
  });
});

describe("the strip", () => {
  const format = (key: string, target: boolean) => ({
    key,
    format: key,
    turn: false,
    name: key,
    system: "in",
    size: "5 × 7 in",
    width: 40640,
    height: 56896,
    home: key === "a",
    target,
    verdict: "eased",
    verdictText: "2 scores by ruler",
    envelope: "A7 envelope",
  });

  it("draws all formats to one scale, marks the target, and picks what is pressed", () => {
    const picked = vi.fn();
    render(
      <MantineProvider>
        <Strip formats={[format("a", true), { ...format("b", false), width: 20320 }]} onPick={picked} onTyped={() => {}} />
      </MantineProvider>,
    );
    const a = screen.getByRole("button", { name: /^a/ });
    const b = screen.getByRole("button", { name: /^b/ });
    expect(a.getAttribute("aria-pressed")).toBe("true");
    expect(within(a).getByText(/from here/)).toBeTruthy();
    const width = (e: HTMLElement) => Number.parseInt((e.querySelector(".paper") as HTMLElement).style.width, 10);
    expect(Math.abs(width(a) - 2 * width(b))).toBeLessThanOrEqual(1);
    fireEvent.click(b);
    expect(picked).toHaveBeenCalledWith(expect.objectContaining({ key: "b" }));
  });
});
