import { fireEvent, screen, within } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { BenchView } from "../../api/client";
import { queries } from "../../api/queries";
import { type Answer, desk, fig, figure, say, shown } from "../../test/views";
import { Foot } from "./Foot";
import { Ledger } from "./Ledger";
import { Strip } from "./Strip";
import { Stuck } from "./Stuck";

const row = (figureId: string, was: string | null, now: string) => ({
  figureId,
  label: "valley",
  detail: "left door | back",
  mark: "v",
  was: was === null ? null : figure(fig(was)),
  now: figure(fig(now, 7, 16)),
  also: fig("6.2"),
  changed: was !== null,
  setting: say(fig("", 1, 16), " inside ", fig("2", 1, 2)),
  how: "between",
  because: was === null ? null : say("Relief goes from ", fig("", 1, 8), " to ", fig("", 1, 16)),
});
const view = (atHome: boolean) =>
  ({
    unit: "in",
    target: { atHome, size: say("5 × 5 in") },
    compared: null,
    pieces: [
      {
        id: "base",
        order: [
          { lay: "asItLies", words: "as it lies", scores: [{ figureId: "base.scores[0]", text: say(fig("2", 7, 16)) }] },
          { lay: "turnedRound", words: "turn it round", scores: [{ figureId: "base.scores[1]", text: say(fig("", 1, 2)) }] },
          { lay: "asItLies", words: "as it lies", scores: [{ figureId: "base.scores[2]", text: say(fig("3")) }] },
        ],
      },
    ],
    ledger: [{ id: "base", title: "Base", detail: "Oat 216, cut 1", rows: [row("base.scores[0]", atHome ? null : "3", "2")] }],
    summary: say("It does not fit yet."),
    verdict: "stuck",
    checks: [{ id: "larger-sheet", severity: "note" as const, text: say("Base is 12 × 6: cut it from 12 × 12 in.") }],
    closed: null,
    stuck: null,
  }) as unknown as BenchView;

const answers: Answer[] = [
  [
    queries.safe(desk).queryKey,
    [{ figureId: "base.scores[0]", side: "full", text: say("If in doubt, full: scant, it stands out of the closed card") }],
  ],
  [
    queries.explain(desk, "base.scores[0]").queryKey,
    {
      figureId: "base.scores[0]",
      said: say(fig("2", 7, 16), " = half of the width 5, so that the doors do not touch"),
      ways: [say("turned, ", fig("7", 7, 16))],
      reasons: [
        { why: say("Half the card's width."), from: fig("2", 1, 2), to: fig("2", 7, 16), moves: true },
        { why: say("The relief."), from: fig("2", 7, 16), to: fig("2", 7, 16), moves: false },
      ],
    },
  ],
];
const ledger = (shows: BenchView, more: { both?: boolean; open?: string; onOpen?: (f: string | null) => void } = {}) => (
  <Ledger view={shows} desk={desk} both={more.both ?? false} open={more.open ?? null} onOpen={more.onOpen ?? (() => {})} />
);
const part = (container: HTMLElement, name: string) => container.querySelector(`[data-part="${name}"]`)?.textContent;

describe("the list of figures", () => {
  it("shows was and now when converted, and only now at home", () => {
    const { rerender, container } = shown(ledger(view(false)), answers);
    expect(part(container, "was")).toBe("3");
    expect(container.querySelector('[data-part="now"] [data-fig]')?.textContent).toBe("2 7/16");
    rerender(ledger(view(true)));
    expect(part(container, "was")).toBeUndefined();
  });

  it("shows the other system beside when both are asked for", () => {
    const { container, rerender } = shown(ledger(view(false)), answers);
    expect(container.textContent).not.toContain("6.2");
    rerender(ledger(view(false), { both: true }));
    expect(container.textContent).toContain("6.2");
  });

  it("opens a row to its reasons and closes it again", () => {
    const opened = vi.fn();
    const { rerender, container } = shown(ledger(view(false), { onOpen: opened }), answers);
    fireEvent.click(screen.getByRole("button", { expanded: false }));
    expect(opened).toHaveBeenLastCalledWith("base.scores[0]");
    rerender(ledger(view(false), { open: "base.scores[0]", onOpen: opened }));
    expect(part(container, "said")).toContain("so that the doors do not touch");
    expect(container.textContent).toContain("scant, it stands out");
    expect(container.textContent).toContain("It could also be set: turned, 7 7/16");
    // Only a reason that moves the figure shows from where to where.
    expect(container.querySelector("ol")?.textContent).toBe(
      "Half the card's width. 2 1/2 → 2 7/16The relief.So: 2 7/16 in · 6.2 cm.",
    );
    fireEvent.click(screen.getByRole("button", { expanded: true }));
    expect(opened).toHaveBeenLastCalledWith(null);
  });

  it("puts what was before a change beside what is now, with the reason in the row", () => {
    const compared = { ...view(true), ledger: view(false).ledger, compared: { text: "1 figure changes of 4.", gone: [] } };
    const { container } = shown(ledger(compared, { open: "base.scores[0]" }), answers);
    expect(part(container, "ledger-head")).toContain("before");
    expect(part(container, "because")).toBe("Changed: Relief goes from 1/8 to 1/16");
  });

  it("tells the order of setting piece by piece, also where a piece lies the same way twice", () => {
    const heard = vi.spyOn(console, "error");
    const { container } = shown(ledger(view(true)), answers);
    expect(part(container, "order")).toMatch(/as it lies 2 7\/16 turn it round 1\/2 as it lies 3/);
    expect(heard).not.toHaveBeenCalled();
  });

  it("goes with a mark for the safe side", () => {
    const { container } = shown(ledger(view(true)), answers);
    expect(container.querySelector('[data-part="now"]')?.textContent).toBe("2 7/16≥");
  });
});

describe("what is stuck", () => {
  it("is mended in one click", () => {
    const mended = vi.fn();
    const stuck = {
      text: say("These cannot hold together."),
      conflicts: [say("pad set to ", fig("", 5, 8), " in"), say("the left wing would be too narrow")],
    };
    const edits = [{ edit: "free", parameter: "pad" }];
    const { container } = shown(
      <>
        <Stuck desk={desk} view={view(false)} stuck={stuck} onRemedy={mended} />
        <Foot view={{ ...view(false), stuck }} desk={desk} onFix={mended} />
      </>,
      [
        [
          queries.ways(desk, null).queryKey,
          { none: null, ways: [{ text: say("let the pad go; it becomes ", fig("", 1, 4)), costs: say("from Letter"), edits }] },
        ],
      ],
    );
    expect(part(container, "foot")).toContain("would be too narrow");
    const remedy = screen.getByRole("button");
    expect(remedy.textContent).toBe("let the pad go; it becomes 1/4from Letter");
    fireEvent.click(remedy);
    expect(mended).toHaveBeenCalledWith(edits);
  });
});

describe("what was found", () => {
  it("is put right by its own button, where there is one", () => {
    const fixed = vi.fn();
    const edit = { edit: "prefer", preference: "not-eased", on: true } as const;
    const checks = [
      {
        id: "eased-to-sheet",
        severity: "note" as const,
        text: say("Base was 12 1/2 long."),
        fix: { text: say("leave it as it was"), edit },
      },
      { id: "blank", severity: "note" as const, text: say("Base is a bought blank."), fix: null },
    ];
    shown(<Foot view={{ ...view(false), checks }} desk={desk} onFix={fixed} />);
    fireEvent.click(screen.getByRole("button", { name: "leave it as it was" }));
    expect(fixed).toHaveBeenCalledWith([edit]);
  });
});

describe("the strip", () => {
  const format = (key: string, target: boolean, width = 40640) => ({
    key,
    format: key,
    turn: false,
    name: key,
    size: say("5 × 7 in"),
    width,
    height: 56896,
    home: key === "a",
    target,
    verdict: "eased" as const,
    verdictText: say("2 scores by ruler"),
    envelope: "A7 envelope",
  });

  it("draws all formats to one scale, marks the target, and picks what is pressed", () => {
    const picked = vi.fn();
    shown(<Strip formats={[format("a", true), format("b", false, 20320)]} onPick={picked} onTyped={() => {}} />);
    const a = screen.getByRole("button", { name: /^a/ });
    const b = screen.getByRole("button", { name: /^b/ });
    expect(a.getAttribute("aria-pressed")).toBe("true");
    expect(within(a).getByText(/from here/)).toBeTruthy();
    const width = (e: HTMLElement) => Number.parseInt((e.querySelector("[style*=width]") as HTMLElement).style.width, 10);
    expect(Math.abs(width(a) - 2 * width(b))).toBeLessThanOrEqual(1);
    fireEvent.click(b);
    expect(picked).toHaveBeenCalledWith(expect.objectContaining({ key: "b" }));
  });
});
