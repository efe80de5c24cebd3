import { fireEvent, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api, type Schemas } from "../../api/client";
import { fig, say, shown } from "../../test/views";
import { OwnPage } from "./OwnPage";

type OwnView = Schemas["OwnView"];
const view = (more: Partial<OwnView> = {}): OwnView => ({
  says: say("This is a tier scene, ", fig("7"), " × ", fig("5"), "."),
  pieces: [
    {
      line: 1,
      name: "base",
      kind: "piece",
      quantity: 1,
      width: 800,
      height: 500,
      scores: [100, 700],
      mountains: [],
      cross: [],
      alongWidth: true,
      size: "8 × 5",
    },
    {
      line: 2,
      name: "tier",
      kind: "piece",
      quantity: 2,
      width: 300,
      height: 700,
      scores: [350],
      mountains: [350],
      cross: [350],
      alongWidth: false,
      size: "3 × 7",
    },
    {
      line: 3,
      name: "mat",
      kind: "paper",
      quantity: 1,
      width: 500,
      height: 275,
      scores: [],
      mountains: [],
      cross: [],
      alongWidth: true,
      size: "5 × 2 3/4",
    },
  ],
  figures: [
    {
      line: 1,
      name: "base",
      figure: "width",
      value: fig("8"),
      now: fig("9", 1, 2),
      rule: say("the width and the depth"),
      sure: 98,
      key: "1.base.width",
      next: [],
    },
    {
      line: 3,
      name: "mat",
      figure: "width",
      value: fig("5"),
      now: null,
      rule: say("its share of the width"),
      sure: 41,
      key: "3.mat.width",
      next: [say("always ", fig("5")), say("the width less ", fig("2"))],
    },
  ],
  questions: [say("Does ", fig("5"), " grow with the card?")],
  contradictions: [],
  left: [
    { line: 4, text: "with love", would: "a size", inPart: false },
    { line: 5, text: "base 4 x 4, bend 1, 2", would: "scores", inPart: true },
  ],
  noted: [{ line: 6, name: "rails", value: fig("7/8") }],
  design: { name: "Tier scene", construction: "tier-scene", format: "7x5in" },
  aside: [],
  answers: [],
  isKnown: true,
  ...more,
});

const given = (list: string, answer: OwnView) => {
  localStorage.setItem("wholefold.own", JSON.stringify(list));
  return shown(<OwnPage />, [
    [["worked", "own", list, "in", "", []], answer],
    [["inventory"], { kinds: [], acceptsCaliper: "", reveals: [] }],
  ]);
};

describe("a list of one's own", () => {
  beforeEach(() => localStorage.clear());

  it("says what to do while there is none, and shows it with one", async () => {
    given("", view({ pieces: [], figures: [], questions: [], left: [], design: null, says: say("Type a piece a line.") }));
    expect(screen.getByText(/drawn here as you type/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "show me with one" }));
    expect((screen.getByRole("textbox") as HTMLTextAreaElement).value).toContain("base 8 x 5");
  });

  it("draws every piece to one scale with its scores across the side that they are read along", () => {
    given("base", view());
    const pieces = screen.getAllByRole("img");
    expect(pieces.map((p) => p.getAttribute("aria-label"))).toEqual([
      "base, 8 × 5, 2 scores",
      "tier, 3 × 7, 1 score",
      "mat, 5 × 2 3/4",
    ]);
    const [base, tier] = pieces;
    const upright = base?.querySelector("line");
    expect(upright?.getAttribute("x1")).toBe(upright?.getAttribute("x2"));
    const level = tier?.querySelector("line");
    expect(level?.getAttribute("y1")).toBe(level?.getAttribute("y2"));
    expect(tier?.querySelectorAll("line")).toHaveLength(2);
    expect([level?.classList.length, upright?.classList.length]).toEqual([1, 0]);
    expect(screen.getByText(/tier, 3 × 7 × 2/)).toBeTruthy();
  });

  it("says what it is, the rule of each figure, what it becomes, and where it is not sure", () => {
    given("base", view());
    expect(screen.getByText(/This is a tier scene/)).toBeTruthy();
    const rows = screen.getAllByRole("row").map((r) => r.textContent);
    expect(rows[0]).toContain("the width and the depth");
    expect(rows[0]).toContain("→ 9 1/2");
    expect(rows[1]).toContain("not sure");
    expect(screen.getByText(/grow with the card/)).toBeTruthy();
    expect(screen.getByText(/Line 4 is kept but not understood/)).toBeTruthy();
    expect(screen.getByText(/Line 5 is kept but not wholly understood/)).toBeTruthy();
    expect(screen.getByText(/Line 6 names a figure that is no side and no score: rails/).textContent).toContain("7/8");
  });

  it("takes another rule for a figure at one key, and says whose it is", () => {
    given("base", view());
    fireEvent.click(screen.getByRole("button", { name: /Another rule for mat, width: always 5/ }));
    fireEvent.click(screen.getByRole("button", { name: /Another rule for mat, width: the width less/ }));
    const kept = () => JSON.parse(localStorage.getItem("wholefold.own.said") ?? "[]");
    expect(kept()).toEqual([
      { key: "3.mat.width", which: 1 },
      { key: "3.mat.width", which: 2 },
    ]);
    expect(screen.queryByRole("button", { name: /Another rule for base/ })).toBeNull();
    expect(screen.queryByRole("button", { name: /it opens/ })).toBeNull();
  });

  it("keeps what was said of a line while that stands, and forgets it with the line", () => {
    localStorage.setItem(
      "wholefold.own.said",
      JSON.stringify([
        { key: "1.base.width", which: 1 },
        { key: "2.mat.width", which: 1 },
        { key: "opens", which: 1 },
      ]),
    );
    given("base 5 x 5\nmat 4 x 4", view());
    fireEvent.change(screen.getByRole("textbox"), { target: { value: "base 5 x 5\nmat 4 x 3" } });
    const keys = () => JSON.parse(localStorage.getItem("wholefold.own.said") ?? "[]").map((r: { key: string }) => r.key);
    expect(keys()).toEqual(["1.base.width", "opens"]);
    fireEvent.change(screen.getByRole("textbox"), { target: { value: "another 6 x 3\nand 4 x 4" } });
    expect(keys()).toEqual([]);
  });

  it("asks of a square card which way it opens, and turns it", () => {
    given("base", view({ isKnown: false, answers: [{ key: "opens", text: "it opens upwards" }] }));
    fireEvent.click(screen.getByRole("button", { name: "it opens upwards" }));
    expect(JSON.parse(localStorage.getItem("wholefold.own.said") ?? "[]")).toEqual([{ key: "opens", which: 1 }]);
  });

  it("asks of a card that may be of several sizes which it is, and takes it", () => {
    given("base", view({ isKnown: false, answers: [{ key: "size 1 2", text: "it is 4 × 5 in" }] }));
    fireEvent.click(screen.getByRole("button", { name: "it is 4 × 5 in" }));
    expect(JSON.parse(localStorage.getItem("wholefold.own.said") ?? "[]")).toEqual([{ key: "size 1 2", which: 1 }]);
  });

  it("makes a card of one's own where nothing explains it", () => {
    given("base", view({ isKnown: false }));
    expect(screen.getByRole("button", { name: "make it a card of my own" })).toBeTruthy();
  });

  it("says what of the list the card that is begun does not hold", () => {
    given(
      "base",
      view({ aside: [say("What line 6 lists as tag, ", fig("2"), " × ", fig("3"), ", is no part of the card that is begun.")] }),
    );
    expect(screen.getByText(/What line 6 lists as tag/).closest("p")?.textContent).toContain("2 × 3");
  });

  it("takes it by one key, and only where something explains it", async () => {
    const post = vi
      .spyOn(api, "POST")
      .mockResolvedValue({ error: { title: "No", detail: "not now" }, response: new Response() } as never);
    const first = given("base", view());
    fireEvent.keyDown(screen.getByRole("textbox"), { key: "Enter", ctrlKey: true });
    await waitFor(() => expect(post).toHaveBeenCalled());
    first.unmount();
    given("base", view({ design: null }));
    expect(screen.queryByRole("button", { name: /take it/ })).toBeNull();
    post.mockRestore();
  });
});
