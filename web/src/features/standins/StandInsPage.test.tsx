import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import { shown } from "../../test/views";
import { StandInsPage } from "./StandInsPage";

const stored = {
  id: "kite",
  version: 1,
  state: { name: "Kite", construction: "gatefold", format: "6x6" },
  undo: null,
  redo: null,
};
const given = () =>
  shown(
    <Routes>
      <Route path="/stand-ins/:id" element={<StandInsPage />} />
    </Routes>,
    [[["design", "kite"], stored]],
    "/stand-ins/kite",
  );

describe("stand-ins", () => {
  const post = vi.spyOn(api, "POST");
  beforeEach(() => {
    post.mockReset();
  });
  const asked = () =>
    (post.mock.calls as unknown as [string, { body: { fault: string; mat: string | null } }][]).filter(([path]) =>
      path.startsWith("/api/stand-ins"),
    );

  it("say that they are simulated, and what a real one would do, with a caution at the blade", async () => {
    post.mockResolvedValue({
      data: {
        machine: "cutting machine (simulated)",
        mats: ["A4 mat"],
        size: "10 × 5 in",
        free: "1 in on the left",
        passes: [{ tool: "blade", lines: 4, length: "30 in", travel: "2 in" }],
        drops: [],
      },
      response: new Response(),
    } as never);
    given();
    expect(screen.getAllByText(/^simulated/)).toHaveLength(3);
    fireEvent.click(screen.getByRole("button", { name: "send it the templates" }));
    await screen.findByText(/blade: 4 lines/);
    expect(screen.getByText(/Nothing drops out/)).toBeTruthy();
    expect(screen.getByText(/until the blade is parked/)).toBeTruthy();
    expect(asked()[0]?.[0]).toBe("/api/stand-ins/cut");
  });

  it("put a caliper’s reading into the card where one says so", async () => {
    post.mockResolvedValue({
      data: { machine: "caliper (simulated)", line: "CALIPER 0.34 mm", reading: "0.34 mm" },
      response: new Response(),
    } as never);
    const put = vi.spyOn(api, "PUT").mockResolvedValue({ data: { ...stored, version: 2 }, response: new Response() } as never);
    given();
    fireEvent.click(screen.getByRole("button", { name: "take a reading" }));
    fireEvent.click(await screen.findByRole("button", { name: "work this card out for it" }));
    await waitFor(() => expect(put).toHaveBeenCalled());
    const [, sent] = (put.mock.calls as unknown as [string, { body: { edits: unknown[] } }][])[0] ?? [];
    expect(sent?.body.edits).toEqual([{ edit: "take", what: "caliper", value: "0.34 mm" }]);
  });

  it("fail as they are told to, say how, and leave the others alone", async () => {
    post.mockResolvedValue({
      error: { title: "It failed", detail: "the caliper sent half a line", status: 400 },
      response: new Response(null, { status: 400 }),
    } as never);
    given();
    fireEvent.change(screen.getByLabelText("What happens on the way"), { target: { value: "halfAMessage" } });
    fireEvent.click(screen.getByRole("button", { name: "take a reading" }));
    await waitFor(() => expect(asked()[0]?.[1].body.fault).toBe("halfAMessage"));
    const caliper = screen.getByRole("region", { name: "Caliper" });
    await within(caliper).findByText(/half a line/);
    expect(within(screen.getByRole("region", { name: "Postal counter" })).queryByText(/half a line/)).toBeNull();
  });
});
