import { Button } from "@mantine/core";
import { useDocumentTitle } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useMemo } from "react";
import { Link, useNavigate } from "react-router";
import type { Desk, Problem } from "../api/client";
import { queries } from "../api/queries";
import shell from "../app/Shell.module.css";
import { useKeys } from "../keys/useKeys";
import { Bar, HelpButton, ThemeButton } from "./Bar";
import { Trouble } from "./Trouble";
import { Waiting } from "./Waiting";

/** A design as it is stored, ready to be asked about. */
export function useStoredDesk(id: string) {
  const design = useQuery(queries.design(id));
  const state = design.data?.state;
  const desk = useMemo((): Desk | undefined => (state ? { design: state, edits: [] } : undefined), [state]);
  return { design, desk };
}

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
  useDocumentTitle(title);
  useKeys({ away: () => navigate(`/bench/${id}`) });
  return (
    <main className={shell.page}>
      <Bar heading={<h1>{heading}</h1>}>
        <Button variant="default" radius="xl" component={Link} to={`/bench/${id}`} aria-keyshortcuts="Escape">
          Back to the bench
        </Button>
        <Button radius="xl" onClick={() => window.print()} disabled={waiting !== null || problem !== null}>
          Print
        </Button>
        <ThemeButton />
        <HelpButton />
      </Bar>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
      <section className={shell.body} aria-label={heading} tabIndex={0}>
        {problem ? <Trouble problem={problem} /> : null}
        {waiting !== null ? <Waiting for={waiting} /> : null}
        {children}
      </section>
    </main>
  );
}
