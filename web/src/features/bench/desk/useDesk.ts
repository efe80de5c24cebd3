import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState, useSyncExternalStore } from "react";
import type { Desk, Edit } from "../../../api/client";
import { queries } from "../../../api/queries";
import type { Ask } from "./DraftQueue";
import { lookAt, queueOf } from "./desks";

/** One design with its history and what is being done to it: a thin skin over the queue. */
export function useDraft(id: string) {
  const cache = useQueryClient();
  const queue = useMemo(() => queueOf(id, cache), [id, cache]);
  useEffect(() => lookAt(id), [id]);
  const draft = useSyncExternalStore(queue.subscribe, queue.snapshot);
  const read = useQuery(queries.design(id));
  const design = read.data;
  useEffect(() => {
    if (design) {
      queue.read(design);
    }
  }, [queue, design]);
  const { stored, edits } = draft;
  const desk = useMemo((): Desk | undefined => (stored ? { design: stored.state, edits } : undefined), [stored, edits]);
  return { queue, draft, design: stored, desk, problem: draft.problem ?? read.error };
}

/** The same with the bench's view of it. */
export function useDesk(id: string) {
  const { queue, draft, design: stored, desk, problem } = useDraft(id);
  const [compared, setCompared] = useState<{ before: Desk; gesture: string } | null>(null);
  const bench = useQuery(queries.bench(desk, compared?.before ?? null));
  return {
    design: stored,
    desk,
    view: bench.data,
    problem: problem ?? bench.error,
    clash: draft.clash,
    /** The gesture whose changes are shown, figure by figure, until something else is done. */
    compared: compared?.gesture ?? null,
    stopComparing: () => setCompared(null),
    tryOut: (tried: Edit[]) => queue.tryOut(tried),
    commit: (done: Edit[]) => {
      setCompared(null);
      queue.commit(done);
    },
    /** Does what the core makes of a gesture, once all that was done before is stored. */
    ask: (about: string, ask: Ask, told?: (came: boolean) => void) => queue.ask(about, ask, told),
    /** What was not understood, and of which thing. */
    failed: draft.failed,
    tryAgain: () => queue.tryAgain(),
    letGo: () => queue.letGo(),
    commitCompared: (done: Edit[], gesture: string) => {
      if (desk) {
        setCompared({ before: desk, gesture });
      }
      queue.commit(done);
    },
    step: (way: "undo" | "redo") => {
      setCompared(null);
      queue.step(way);
    },
    keepMine: () => queue.keepMine(),
    takeTheirs: () => queue.takeTheirs(),
    clearProblem: () => {
      queue.clearProblem();
      queue.retry();
    },
  };
}
