import { MantineProvider } from "@mantine/core";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { describe, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import { HandOutPage } from "./HandOutPage";

const design = {
  id: "kite",
  version: 1,
  state: { name: "Kite", construction: "plain-fold", format: "5x7" },
  undo: null,
  redo: null,
};
const page = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 210 297"><text>Kite</text></svg>';
const ask = (kind: string, more: object = {}) => ({
  kind,
  paper: null,
  units: null,
  cards: 1,
  step: null,
  background: true,
  ...more,
});
const desk = { design: design.state, edits: [] };

/** The page at an address, with what the studio would answer. */
function at(address: string, answers: [unknown[], unknown][]) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Number.POSITIVE_INFINITY } } });
  client.setQueryData(["design", "kite"], design);
  for (const [key, answer] of answers) {
    client.setQueryData(key, answer);
  }
  render(
    <QueryClientProvider client={client}>
      <MantineProvider>
        <MemoryRouter initialEntries={[address]}>
          <Routes>
            <Route path="/handout/:id" element={<HandOutPage />} />
            <Route path="/bench/:id" element={<p>the bench</p>} />
          </Routes>
        </MemoryRouter>
      </MantineProvider>
    </QueryClientProvider>,
  );
}

const sheet: [unknown[], unknown] = [
  ["worked", "handout", desk, ask("sheet")],
  { name: "measure sheet", pages: [page], count: 1, text: null, forms: ["pdf", "svg"] },
];
const text: [unknown[], unknown] = [
  ["worked", "handout", desk, ask("text")],
  { name: "plain text", pages: [], count: 0, text: "Measures\n- Base", forms: ["txt"] },
];

describe("what is handed out", () => {
  it("is seen as it prints, with the forms it can be kept in", () => {
    at("/handout/kite", [sheet]);
    expect(screen.getByRole("group", { name: "Page 1 of 1" }).querySelector("svg")).toBeTruthy();
    expect(screen.getByRole("button", { name: "Save as PDF" })).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Save as CSV table" })).toBeNull();
  });

  it("is another kind at one click, which the address keeps", () => {
    at("/handout/kite", [sheet, text]);
    fireEvent.click(screen.getByRole("button", { name: /^Plain text/ }));
    expect(screen.getByText(/- Base/)).toBeTruthy();
    expect(screen.queryByLabelText("Paper")).toBeNull();
  });

  it("says how many more pages there are than it shows", () => {
    at("/handout/kite?as=kit&cards=40", [
      [
        ["worked", "handout", desk, ask("kit", { cards: 40 })],
        { name: "kit list", pages: [page, page], count: 40, text: null, forms: ["pdf"] },
      ],
    ]);
    expect(screen.getByText("And 38 more pages in the file.")).toBeTruthy();
    expect((screen.getByRole("textbox", { name: "For how many cards" }) as HTMLInputElement).value).toBe("40");
  });

  it("is kept under the name that the studio gives it, and says what was wrong where it is not", async () => {
    URL.createObjectURL = vi.fn(() => "blob:kite");
    URL.revokeObjectURL = vi.fn();
    const names: string[] = [];
    const click = vi.spyOn(HTMLAnchorElement.prototype, "click").mockImplementation(function (this: HTMLAnchorElement) {
      names.push(this.download);
    });
    const post = vi
      .spyOn(api, "POST")
      .mockResolvedValueOnce({
        data: new Blob(["%PDF"]),
        response: new Response("", { headers: { "content-disposition": "attachment; filename=kite-sheet.pdf" } }),
      } as never)
      .mockResolvedValueOnce({
        error: { title: "No", detail: "the paper is too small", code: "print.paper" },
        response: new Response(),
      } as never);
    at("/handout/kite", [sheet]);
    fireEvent.click(screen.getByRole("button", { name: "Save as PDF" }));
    await waitFor(() => expect(names).toEqual(["kite-sheet.pdf"]));
    fireEvent.click(screen.getByRole("button", { name: "Save as SVG" }));
    await screen.findByText(/the paper is too small/);
    expect(names).toHaveLength(1);
    click.mockRestore();
    post.mockRestore();
  });

  it("leads back to the bench with Escape", () => {
    at("/handout/kite", [sheet]);
    fireEvent.keyDown(document.documentElement, { key: "Escape" });
    expect(screen.getByText("the bench")).toBeTruthy();
  });
});
