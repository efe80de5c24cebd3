import { fireEvent, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api, Problem } from "../../api/client";
import { Trouble } from "../../components/Trouble";
import { fig, say, shown } from "../../test/views";
import { CheckList } from "./CheckList";
import { Designs } from "./Designs";
import { Things } from "./Things";

const card = (id: string, more = {}) => ({
  id,
  name: id,
  construction: "Gatefold",
  opens: "two doors open from the middle",
  worn: [],
  panels: [
    {
      id: "base.front",
      corners: [
        { x: 0, y: 0 },
        { x: 100, y: 0 },
        { x: 100, y: 140 },
      ],
    },
  ],
  home: say(fig("5"), " × ", fig("7"), " in"),
  width: 40640,
  height: 56896,
  stock: "Oat 216",
  changed: "25 Nov 2026",
  latest: false,
  problem: null,
  version: 4,
  undo: null,
  ...more,
});
const asked = vi.spyOn(api, "POST");
const kept = vi.spyOn(api, "PUT");
const thrown = vi.spyOn(api, "DELETE");
const answers = (data: unknown) => ({ data, response: new Response() }) as never;

beforeEach(() => {
  for (const spy of [asked, kept, thrown]) {
    spy.mockReset();
  }
});

describe("the designs in the drawer", () => {
  it("each lead to their bench, drawn to one scale", () => {
    const { container } = shown(<Designs designs={[card("kite"), card("boat", { width: 56896, height: 28448 })]} />);
    expect(screen.getByRole("link", { name: /kite/ }).getAttribute("href")).toBe("/bench/kite");
    const heights = [...container.querySelectorAll("svg rect")].map((p) => Math.round(Number(p.getAttribute("height"))));
    expect(heights).toEqual([112, 56]);
    expect(container.querySelectorAll("svg polygon")).toHaveLength(2);
  });
  it("say where one cannot be read, give its file out, and hide none of the others", async () => {
    thrown.mockResolvedValue(answers(undefined));
    shown(<Designs designs={[card("kite"), card("boat", { problem: "stock: “gone” is not a stock." })]} />);
    expect(screen.getByRole("link", { name: /^kite/ })).toBeTruthy();
    expect(screen.getByText(/a problem with this one. stock: “gone”/)).toBeTruthy();
    expect(screen.queryByRole("button", { name: /^undo/ })).toBeNull();
    const file = screen.getByRole("link", { name: "take its file out" });
    expect([file.getAttribute("href"), file.getAttribute("download")]).toEqual(["/api/designs/boat/file", "boat.json"]);
    expect(thrown).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole("button", { name: "throw it away" }));
    await waitFor(() => expect(thrown.mock.calls[0]?.[1]).toMatchObject({ params: { path: { id: "boat" } } }));
  });
  it("have their last change undone where it spoilt them", async () => {
    asked.mockResolvedValue(answers({ id: "boat", version: 5 }));
    shown(<Designs designs={[card("boat", { problem: "This card could not be worked out.", undo: "a window" })]} />);
    fireEvent.click(screen.getByRole("button", { name: "undo the last change: a window" }));
    await waitFor(() =>
      expect(asked.mock.calls[0]).toMatchObject([
        "/api/designs/{id}/undo",
        { params: { path: { id: "boat" } }, body: { version: 4 } },
      ]),
    );
  });
});

describe("what is to hand", () => {
  const thing = (id: string, own: boolean, toHand = true) => ({
    id,
    name: id,
    detail: "0.3 mm",
    own,
    toHand,
    written: own ? {} : null,
  });
  const kind = {
    id: "stocks",
    name: "Stocks",
    one: "stock",
    meaning: "card and paper",
    fields: [],
    things: [thing("moss", true), thing("oat", false, false)],
  };

  it("is put away or laid out by a switch, and only one's own can be changed or removed", async () => {
    kept.mockResolvedValue(answers({ lies: true }));
    shown(<Things kinds={[kind]} />);
    expect(screen.queryByLabelText("Remove oat")).toBeNull();
    expect(screen.getByLabelText("Change moss")).toBeTruthy();
    fireEvent.click(screen.getAllByRole("switch", { hidden: true })[1] as HTMLElement);
    await waitFor(() =>
      expect(kept.mock.calls[0]?.[1]).toMatchObject({ params: { path: { kind: "stocks", id: "oat" } }, body: { lies: true } }),
    );
  });
  it("says why one cannot be removed", async () => {
    thrown.mockResolvedValue({
      error: { title: "In use", detail: "“Teapot row” was made with it.", code: "drawer.used" },
      response: new Response(),
    } as never);
    shown(<Things kinds={[kind]} />);
    fireEvent.click(screen.getByLabelText("Remove moss"));
    expect((await screen.findByRole("alert")).textContent).toContain("Teapot row");
  });
});

describe("a measure list", () => {
  const look = (text: string) => {
    fireEvent.change(screen.getByRole("textbox", { name: "Measure list" }), { target: { value: text } });
    fireEvent.click(screen.getByRole("button", { name: "Look through it" }));
  };
  it("is looked through, each finding with its line and what would be right", async () => {
    asked.mockResolvedValue(
      answers([
        {
          id: "pattern",
          line: 2,
          text: say("Score 3 at ", fig("4", 3, 8), " breaks the pattern."),
          likely: [{ value: say(fig("4", 1, 2)), because: say(fig("4", 1, 2), " would keep it") }],
        },
      ]),
    );
    shown(<CheckList />);
    look("width 10\nscores 1/2");
    const said = await screen.findByText("line 2");
    expect(said.parentElement?.textContent).toBe("line 2 Score 3 at 4 3/8 breaks the pattern.4 1/2 would keep it");
    expect(asked.mock.calls[0]?.[1]).toMatchObject({ body: { text: "width 10\nscores 1/2", units: "in" } });
    // What was found of another list is not left standing under this one.
    fireEvent.change(screen.getByRole("textbox", { name: "Measure list" }), { target: { value: "width 9" } });
    expect(screen.queryByText("line 2")).toBeNull();
  });
  it("says so where nothing contradicts itself", async () => {
    asked.mockResolvedValue(answers([]));
    shown(<CheckList />);
    look("width 10");
    expect(await screen.findByText("Nothing in this list contradicts itself.")).toBeTruthy();
  });
});

describe("what was wrong", () => {
  it("is told with its place, and can be put away where that is offered", () => {
    const away = vi.fn();
    const problem = new Problem("This was not understood", "1 in is too much. Accepted: 1/32 in.", "parameter.limit", "relief");
    const { rerender } = shown(<Trouble problem={problem} onClose={away} />);
    expect(screen.getByRole("alert").textContent).toContain("relief: 1 in is too much");
    fireEvent.click(screen.getByRole("button", { name: "Put this away" }));
    expect(away).toHaveBeenCalled();
    rerender(<Trouble problem={new TypeError("x is undefined")} />);
    // A sentence of the runtime's reaches nobody.
    expect(screen.getByRole("alert").textContent).not.toContain("undefined");
    expect(screen.queryByRole("button")).toBeNull();
  });
});
