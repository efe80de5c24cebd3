import { fireEvent, screen, waitFor } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api, type Edit, type Schemas } from "../../api/client";
import { fig, say, shown } from "../../test/views";
import { BuildPage } from "./BuildPage";

type BuildView = Schemas["BuildView"];
const view = (more: Partial<BuildView> = {}): BuildView => ({
  name: "Kite",
  construction: "Gatefold, changed",
  isOwn: true,
  mark: 10,
  closes: true,
  says: say("It closes to ", fig("6"), " × ", fig("6"), "."),
  pieces: [
    {
      id: "base",
      name: "Base",
      quantity: 1,
      upright: false,
      across: "height",
      acrossNow: fig("6"),
      along: 1200,
      broad: 600,
      panels: [
        { id: "left", name: "left door", rule: "width / 2", now: fig("3"), extent: 300, window: null, windowNow: null },
        { id: "back", name: "back", rule: "width", now: fig("6"), extent: 600, window: "1/2 in", windowNow: fig("", 1, 2) },
      ],
      creases: [
        { number: 0, name: "between left door and back", at: fig("3"), place: 300, fold: "valley", closed: 180, shown: 90 },
      ],
      lines: [],
      openings: [{ left: 350, foot: 50, width: 500, height: 500 }],
      canMove: true,
      canChange: true,
    },
  ],
  parameters: [{ id: "relief", name: "relief", rule: "1/16 in or 1.5 mm", now: fig("", 1, 16) }],
  bonds: [{ id: "b", words: "tile on the base: in the middle", loose: false }],
  proposals: [{ words: "strip: flush at its start", edit: { edit: "bond", id: "s", bond: null } }],
  ...more,
});
const stored = {
  id: "kite",
  version: 3,
  state: { name: "Kite", construction: "own-gatefold", format: "6x6" },
  undo: null,
  redo: null,
};

const given = (answer: BuildView) => {
  return shown(
    <Routes>
      <Route path="/build/:id" element={<BuildPage />} />
    </Routes>,
    [
      [["design", "kite"], stored],
      [["worked", "build", { design: stored.state, edits: [] }], answer],
    ],
    "/build/kite",
  );
};

describe("building", () => {
  const put = vi.spyOn(api, "PUT");
  beforeEach(() => put.mockReset().mockResolvedValue({ data: { ...stored, version: 4 }, response: new Response() } as never));
  const sent = () => (put.mock.calls as unknown as [string, { body: { edits: Edit[] } }][])[0]?.[1].body.edits[0];

  it("shows each panel by its rule and what that comes to, and whether the card closes", () => {
    given(view());
    expect((screen.getByLabelText("left door") as HTMLInputElement).value).toBe("width / 2");
    expect(screen.getByText(/It closes to/)).toBeTruthy();
    expect(screen.getByText(/tile on the base/)).toBeTruthy();
  });

  it("takes a rule at Enter, a fold by choosing it, and a bond that is proposed", async () => {
    given(view());
    const door = screen.getByLabelText("left door");
    fireEvent.change(door, { target: { value: "width / 3" } });
    fireEvent.keyDown(door, { key: "Enter" });
    await waitFor(() => expect(put).toHaveBeenCalled());
    expect(sent()).toEqual({ edit: "extent", piece: "base", panel: "left", rule: "width / 3" });
  });

  it("changes a fold and keeps the rest of it", async () => {
    given(view());
    fireEvent.change(screen.getByLabelText(/Which way the score between left door/), { target: { value: "mountain" } });
    await waitFor(() => expect(put).toHaveBeenCalled());
    expect(sent()).toEqual({ edit: "crease", piece: "base", crease: 0, fold: "mountain", closed: 180, shown: 90 });
  });

  it("draws scores across the chain and folds them otherwise; where creases slant its panels are only shown", async () => {
    const [piece] = view().pieces;
    const across = {
      number: 1,
      name: "between panels and lower flaps",
      at: fig("1"),
      scored: [{ fromX: 0, fromY: 100, toX: 1200, toY: 100 }],
      fold: "valley",
      closed: 90,
      shown: 90,
    };
    if (!piece) {
      throw new Error("no piece");
    }
    const { unmount } = given(view({ pieces: [{ ...piece, lines: [across], canChange: false }] }));
    expect((screen.getByLabelText("left door") as HTMLInputElement).readOnly).toBe(false);
    expect(screen.queryByRole("button", { name: /Score left door in two/ })).toBeNull();
    expect(document.querySelectorAll("[data-part=piece-drawing] line").length).toBe(2 + 3);
    fireEvent.change(screen.getByLabelText(/^Closed, the score between panels/), {
      target: { value: "0" },
    });
    await waitFor(() => expect(put).toHaveBeenCalled());
    expect(sent()).toEqual({ edit: "crease", piece: "base", crease: 1, fold: "valley", closed: 0, shown: 90 });
    unmount();
    given(
      view({
        pieces: [
          { ...piece, lines: [{ ...across, at: null, name: "between face and first flap" }], canMove: false, canChange: false },
        ],
      }),
    );
    expect((screen.getByLabelText("left door") as HTMLInputElement).readOnly).toBe(true);
    expect(screen.getByText(/Its creases slant/)).toBeTruthy();
    expect(screen.getByText("score between face and first flap")).toBeTruthy();
  });

  it("scores a panel in two, leaves a score out, bonds what is proposed and takes a bond away", async () => {
    given(view());
    const ways: [RegExp, Edit][] = [
      [/Score left door in two/, { edit: "split", piece: "base", panel: "left" }],
      [/No score between left door/, { edit: "join", piece: "base", crease: 0 }],
      [/Bond strip: flush/, { edit: "bond", id: "s", bond: null }],
      [/No bond: tile/, { edit: "bond", id: "b", bond: null }],
    ];
    for (const [name] of ways) {
      fireEvent.click(screen.getByRole("button", { name }));
    }
    const all = () => (put.mock.calls as unknown as [string, { body: { edits: Edit[] } }][]).flatMap((c) => c[1].body.edits);
    await waitFor(() => expect(all()).toEqual(ways.map(([, edit]) => edit)));
  });

  it("moves a crease by a key or by dragging it, and cuts a window or none", async () => {
    given(view());
    const grip = screen.getByRole("slider", { name: /Crease 1/ });
    fireEvent.keyDown(grip, { key: "ArrowRight" });
    fireEvent.keyDown(grip, { key: "ArrowLeft", shiftKey: true });
    const drawing = grip.closest("svg") as SVGSVGElement;
    drawing.getBoundingClientRect = () => ({ left: 0, top: 0, width: 406, height: 206 }) as DOMRect;
    fireEvent.pointerDown(grip, { pointerId: 1, clientX: 103 });
    fireEvent.pointerMove(grip, { pointerId: 1, clientX: 203 });
    fireEvent.pointerUp(grip, { pointerId: 1, clientX: 203 });
    fireEvent.click(screen.getByRole("button", { name: "Cut a window in left door" }));
    fireEvent.click(screen.getByRole("button", { name: "No window in back" }));
    const all = () => (put.mock.calls as unknown as [string, { body: { edits: Edit[] } }][]).flatMap((c) => c[1].body.edits);
    await waitFor(() => expect(all()).toHaveLength(5));
    expect(all().slice(0, 2)).toEqual([
      { edit: "moveCrease", piece: "base", crease: 0, from: 300, at: 310 },
      { edit: "moveCrease", piece: "base", crease: 0, from: 300, at: 220 },
    ]);
    expect(all()[2]).toMatchObject({ edit: "moveCrease", crease: 0 });
    expect(all()[3]).toEqual({ edit: "panelWindow", piece: "base", panel: "left", border: "1/2 in or 12 mm" });
    expect(all()[4]).toEqual({ edit: "panelWindow", piece: "base", panel: "back", border: null });
  });

  it("adds a piece by its name and two rules, and does not offer to take the first away", async () => {
    given(view());
    expect(screen.queryByRole("button", { name: "take this piece away" })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "add a piece" }));
    fireEvent.change(screen.getByLabelText(/What it is called/), { target: { value: "Sail" } });
    fireEvent.change(screen.getByLabelText(/How long/), { target: { value: "width / 3" } });
    fireEvent.click(screen.getByRole("button", { name: "add it" }));
    await waitFor(() => expect(put).toHaveBeenCalled());
    expect(sent()).toEqual({ edit: "addPiece", name: "Sail", along: "width / 3", across: "height / 2" });
  });

  it("adds nothing without a name, and nothing where one thinks better of it", () => {
    given(view());
    fireEvent.click(screen.getByRole("button", { name: "add a piece" }));
    expect((screen.getByRole("button", { name: "add it" }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.click(screen.getByRole("button", { name: "not now" }));
    expect(screen.queryByLabelText(/What it is called/)).toBeNull();
    expect(put).not.toHaveBeenCalled();
  });

  it("moves no crease that is let go where it was, or whose drag is broken off", () => {
    given(view());
    const grip = screen.getByRole("slider", { name: /Crease 1/ });
    fireEvent.pointerDown(grip, { pointerId: 1, clientX: 103 });
    fireEvent.pointerUp(grip, { pointerId: 1, clientX: 103 });
    fireEvent.pointerDown(grip, { pointerId: 1, clientX: 103 });
    fireEvent.pointerCancel(grip, { pointerId: 1 });
    fireEvent.keyDown(grip, { key: "a" });
    expect(put).not.toHaveBeenCalled();
    expect(grip.getAttribute("aria-valuenow")).toBe("300");
  });

  it("takes a parameter on leaving it, and nothing where it is as it was", async () => {
    given(view({ closes: false, says: say("Closed it stands out.") }));
    const relief = screen.getByLabelText("relief");
    fireEvent.blur(relief);
    expect(put).not.toHaveBeenCalled();
    fireEvent.change(relief, { target: { value: " 1/8 in " } });
    fireEvent.blur(relief);
    await waitFor(() => expect(put).toHaveBeenCalled());
    expect(sent()).toEqual({ edit: "parameter", parameter: "relief", rule: "1/8 in" });
    expect(screen.getByText(/stands out/).closest("[data-bad]")).not.toBeNull();
  });

  it("copies a construction of the library before anything of it is changed", async () => {
    given(view({ isOwn: false, proposals: [] }));
    expect((screen.getByLabelText("left door") as HTMLInputElement).readOnly).toBe(true);
    expect(screen.queryByRole("button", { name: /Score/ })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "make a copy my own" }));
    await waitFor(() => expect(put).toHaveBeenCalled());
    expect(sent()).toEqual({ edit: "makeOwn" });
  });
});
