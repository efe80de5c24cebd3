import { MantineProvider } from "@mantine/core";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { idOf, ToolForm } from "./OwnForms";

const put = vi.hoisted(() => vi.fn());
vi.mock("../../api/client", async (real) => ({ ...(await real<object>()), api: { PUT: put } }));

afterEach(cleanup);
beforeEach(() => {
  put.mockReset();
  // What jsdom lacks and Mantine asks for.
  window.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  } as never;
  window.matchMedia = ((query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => {},
    removeEventListener: () => {},
  })) as never;
});

const show = (onDone: () => void) =>
  render(
    <MantineProvider>
      <QueryClientProvider client={new QueryClient({ defaultOptions: { mutations: { retry: 0 } } })}>
        <ToolForm tools={null} onDone={onDone} />
      </QueryClientProvider>
    </MantineProvider>,
  );

describe("tools of one's own", () => {
  it("are known by their name, in letters that go into a file", () => {
    expect(idOf("Board by the Window, 30 cm")).toBe("board-by-the-window-30-cm");
    expect(idOf("  Größe ½ ")).toBe("gro-e");
  });
  it("are sent as they were typed, what is empty as nothing", async () => {
    put.mockResolvedValue({ data: {} });
    const done = vi.fn();
    show(done);
    fireEvent.change(screen.getByLabelText("What you call it"), { target: { value: "Window board" } });
    fireEvent.change(screen.getByLabelText("From groove to groove"), { target: { value: " 1/4 " } });
    fireEvent.change(screen.getByLabelText("Finest mark of the trimmer"), { target: { value: "1/16" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep it in the drawer" }));
    await waitFor(() => expect(done).toHaveBeenCalled());
    expect(put.mock.calls[0]?.[1].body).toMatchObject({
      id: "window-board",
      units: "in",
      groove: "1/4",
      rulerMark: null,
      trimmerMark: "1/16",
    });
  });
  it("show what the studio refuses at its field, and nothing typed is lost", async () => {
    put.mockResolvedValue({
      error: { title: "Not understood", detail: "3 in is no use for that", code: "tools.range", field: "tools.groove" },
    });
    show(() => {});
    fireEvent.change(screen.getByLabelText("From groove to groove"), { target: { value: "3 in" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep it in the drawer" }));
    expect(await screen.findByText(/3 in is no use/)).toBeTruthy();
    expect((screen.getByLabelText("From groove to groove") as HTMLInputElement).value).toBe("3 in");
  });
});
