import { Button, Loader, useComputedColorScheme, useMantineColorScheme } from "@mantine/core";
import { useDocumentTitle, useHotkeys } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link, useNavigate } from "react-router";
import { answer, api, type Problem } from "../api/client";
import { ThemeButton, Wordmark } from "../features/bench/Bar";
import { Trouble } from "./Trouble";

/** A design as it is stored. */
export const useStoredDesign = (id: string) =>
  useQuery({
    queryKey: ["design", id],
    queryFn: ({ signal }) => answer(api.GET("/api/designs/{id}", { params: { path: { id } }, signal })),
  });

/** A page about one design that is read and printed; Escape leads back to the bench. */
export function PrintPage({
  id,
  heading,
  title,
  problem,
  waiting,
  children,
}: {
  id: string;
  heading: string;
  title: string;
  problem: Problem | null;
  /** What is being done, while it is. */
  waiting: string | null;
  children: ReactNode;
}) {
  const navigate = useNavigate();
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme("light");
  useDocumentTitle(title);
  useHotkeys([
    ["D", () => setColorScheme(scheme === "dark" ? "light" : "dark")],
    ["Escape", () => navigate(`/bench/${id}`)],
  ]);
  return (
    <main className="page sheet-page">
      <header className="bar">
        <Wordmark />
        <h1>{heading}</h1>
        <Button variant="default" radius="xl" component={Link} to={`/bench/${id}`} aria-keyshortcuts="Escape">
          Back to the bench
        </Button>
        <Button radius="xl" onClick={() => window.print()} disabled={waiting !== null || problem !== null}>
          Print
        </Button>
        <ThemeButton />
      </header>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
      <section className="sheet-body" aria-label={heading} tabIndex={0}>
        {problem ? <Trouble problem={problem} /> : null}
        {waiting !== null ? <Loader aria-label={waiting} /> : null}
        {children}
      </section>
    </main>
  );
}
