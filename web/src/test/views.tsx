import { MantineProvider } from "@mantine/core";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import type { ReactElement, ReactNode } from "react";
import { MemoryRouter } from "react-router";
import type { Desk, Figure, FigureText, Parts } from "../api/client";

/** A figure as it travels: whole, fraction, word. */
export const fig = (whole: string, numerator?: number, denominator?: number, word?: string): FigureText => ({
  whole,
  numerator: numerator ?? null,
  denominator: denominator ?? null,
  unit: null,
  word: word ?? null,
});
export const say = (...parts: (string | FigureText)[]): Parts =>
  parts.map((p) => (typeof p === "string" ? { text: p, figure: null } : { text: null, figure: p }));
export const figure = (text: FigureText, units = 1): Figure => ({
  units,
  text,
  exact: `${units} mm`,
});

export const desk = { design: { name: "Kite" }, edits: [] } as unknown as Desk;

/** What the studio would answer, by the key it is asked with. */
export type Answer = [key: readonly unknown[], answer: unknown];

/** Inside everything that a view expects round it. */
export function shown(view: ReactElement, answers: Answer[] = [], at = "/") {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  for (const [key, answer] of answers) {
    client.setQueryData(key, answer);
  }
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>
      <MantineProvider>
        <MemoryRouter initialEntries={[at]}>{children}</MemoryRouter>
      </MantineProvider>
    </QueryClientProvider>
  );
  return render(view, { wrapper });
}
