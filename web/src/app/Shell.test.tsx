import { MantineProvider } from "@mantine/core";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { MemoryRouter, Route, Routes, useLocation } from "react-router";
import { describe, expect, it, vi } from "vitest";
import { registry } from "../keys/registry";
import { Shell } from "./Shell";
import { drawer, stages } from "./stages";

let broken = false;
function View() {
  if (broken) {
    throw new Error("came apart");
  }
  return <p>all is well</p>;
}
let address = "";
function Address() {
  address = useLocation().pathname;
  return null;
}
function at(first: string) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MantineProvider>
        <MemoryRouter initialEntries={[first]}>
          <Address />
          <Routes>
            <Route element={<Shell />}>
              {[...stages, drawer].map((stage) => (
                <Route key={stage.path} path={stage.path} element={<View />} />
              ))}
            </Route>
          </Routes>
        </MemoryRouter>
      </MantineProvider>
    </QueryClientProvider>,
  );
}

describe("the rail of stages", () => {
  it("leads from stage to stage with the design that was last on the bench, also by keys", async () => {
    at("/bench/kite");
    expect(screen.getByRole("link", { name: "Bench" }).getAttribute("aria-current")).toBe("page");
    fireEvent.click(screen.getByRole("link", { name: "Shelf" }));
    expect(address).toBe("/shelf");
    fireEvent.keyDown(document.documentElement, { key: "w" });
    expect(address).toBe("/wall/kite");
    fireEvent.keyDown(document.documentElement, { key: "g" });
    expect(address).toBe("/drawer");
  });
  it("leads nowhere without one", () => {
    at("/drawer");
    expect(screen.queryByRole("link", { name: "Wall" })).toBeNull();
    expect(screen.getByText("Wall").title).toMatch(/drawer/);
  });
});

describe("a view that comes apart", () => {
  it("leaves the rail, says so, and can be tried again", () => {
    const heard = vi.spyOn(console, "error").mockImplementation(() => {});
    broken = true;
    at("/handout/kite");
    expect(screen.getByRole("alert").textContent).toContain("Nothing that was stored is lost");
    expect(screen.getByRole("link", { name: "Bench" })).toBeTruthy();
    broken = false;
    fireEvent.click(screen.getByRole("button", { name: "Try again" }));
    expect(screen.getByText("all is well")).toBeTruthy();
    heard.mockRestore();
  });
});

describe("the registry of keys", () => {
  it("gives no key to two things that work at once, and the help shows all of them", async () => {
    const all = Object.values(registry).flatMap((k: { keys: string[]; where?: string }) => (k.where ? [] : k.keys));
    expect(new Set(all).size).toBe(all.length);
    at("/drawer");
    fireEvent.keyDown(document.documentElement, { key: "?" });
    const help = await screen.findByRole("dialog");
    for (const { does } of Object.values(registry)) {
      expect(help.textContent).toContain(does);
    }
  });
});
