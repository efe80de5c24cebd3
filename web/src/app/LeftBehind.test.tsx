import { QueryClient } from "@tanstack/react-query";
import { act, fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { api, type DesignView } from "../api/client";
import { lookAt, queueOf, unstored } from "../features/bench/desk/desks";
import { shown } from "../test/views";
import { LeftBehind } from "./LeftBehind";

const design = (id: string, version: number) => ({ id, version, undo: null, state: { name: "Kite" } }) as unknown as DesignView;
const answers = (data: unknown) => ({ data, response: new Response() }) as never;

it("tells what went wrong only where its view has been left, and loses nothing that waits", async () => {
  const put = vi.spyOn(api, "PUT").mockRejectedValue(new TypeError("no network"));
  const queue = queueOf("kite", new QueryClient());
  const leave = lookAt("kite");
  queue.read(design("kite", 1));
  shown(<LeftBehind />);
  await act(async () => queue.commit([{ edit: "convert", format: "5x7", turn: false }]));
  await waitFor(() => expect(queue.snapshot().away).toBe(true));
  expect(screen.queryByText(/not stored yet/)).toBeNull();
  expect(unstored()).toBe(true);

  // Closing the window would lose it: the browser asks.
  const closing = new Event("beforeunload", { cancelable: true });
  window.dispatchEvent(closing);
  expect(closing.defaultPrevented).toBe(true);

  act(leave);
  expect(screen.getByText(/One change is not stored yet/)).toBeTruthy();
  expect(screen.getByRole("link", { name: "Open it" }).getAttribute("href")).toBe("/bench/kite");

  // Coming back finds the same queue, and the studio the same gesture.
  expect(queueOf("kite", new QueryClient())).toBe(queue);
  put.mockResolvedValue(answers(design("kite", 2)));
  await act(async () => void fireEvent.click(screen.getByRole("button", { name: "Try again" })));
  await waitFor(() => expect(unstored()).toBe(false));
  expect(screen.queryByText(/not stored yet/)).toBeNull();

  // What went wrong before its eyes is said there, and not once more when it is left; what goes wrong later is.
  const refused = { title: "Refused", detail: "6 by 6 was refused", code: "input.invalid" };
  const refuses = () => put.mockResolvedValue({ error: refused, response: new Response() } as never);
  const again = lookAt("kite");
  refuses();
  await act(async () => queue.commit([{ edit: "convert", format: "6x6", turn: false }]));
  await waitFor(() => expect(queue.snapshot().problem).not.toBeNull());
  act(again);
  expect(screen.queryByText(/6 by 6 was refused/)).toBeNull();
  await act(async () => queue.commit([{ edit: "convert", format: "6x6", turn: false }]));
  expect(await screen.findByText(/6 by 6 was refused/)).toBeTruthy();
  const marks = put.mock.calls.slice(0, 2).map((call: unknown[]) => (call[1] as { body: { mark: string } }).body.mark);
  expect(new Set(marks).size).toBe(1);
  put.mockRestore();
});
