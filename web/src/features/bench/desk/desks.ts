import type { QueryClient } from "@tanstack/react-query";
import { answer, api } from "../../../api/client";
import { queries } from "../../../api/queries";
import { DraftQueue } from "./DraftQueue";

/**
 * The queues of all designs that were worked on in this window. They outlive the views: what was done is stored, or told, also where
 * its view has been left.
 */
const queues = new Map<string, DraftQueue>();
const looking = new Map<string, number>();
const listeners = new Set<() => void>();
let left: { id: string; queue: DraftQueue }[] = [];

/** What went wrong with a design while it was looked at: said there already. */
const seen = new Map<string, unknown>();

/** What was left behind: designs that nobody looks at, with something that is not stored or went wrong since. */
const look = () => {
  const now = [...queues].filter(([id, queue]) => {
    const { waiting, away, failed, problem, clash } = queue.snapshot();
    const wrong = failed?.problem ?? clash ?? (away ? null : problem);
    if (looking.get(id)) {
      seen.set(id, wrong);
      return false;
    }
    return (away && waiting > 0) || (wrong !== null && wrong !== seen.get(id));
  });
  left = now.map(([id, queue]) => ({ id, queue }));
  for (const listener of listeners) {
    listener();
  }
};

export const leftBehind = {
  subscribe: (listener: () => void) => {
    listeners.add(listener);
    return () => {
      listeners.delete(listener);
    };
  },
  snapshot: () => left,
};

export function queueOf(id: string, cache: QueryClient): DraftQueue {
  const known = queues.get(id);
  if (known) {
    return known;
  }
  const path = { params: { path: { id } } };
  const queue = new DraftQueue(
    {
      save: (version, edits, mark) => answer(api.PUT("/api/designs/{id}", { ...path, body: { version, edits, mark } })),
      step: (version, way) =>
        answer(
          way === "undo"
            ? api.POST("/api/designs/{id}/undo", { ...path, body: { version } })
            : api.POST("/api/designs/{id}/redo", { ...path, body: { version } }),
        ),
    },
    (next) => {
      cache.setQueryData(queries.design(id).queryKey, next);
      cache.invalidateQueries({ queryKey: queries.designs().queryKey });
    },
  );
  queues.set(id, queue);
  queue.subscribe(look);
  return queue;
}

/** Somebody looks at a design as long as this is not called back. */
export function lookAt(id: string): () => void {
  looking.set(id, (looking.get(id) ?? 0) + 1);
  look();
  return () => {
    looking.set(id, (looking.get(id) ?? 1) - 1);
    look();
  };
}

/** Whether anything done in this window is not stored yet. */
export const unstored = () => [...queues.values()].some((queue) => queue.snapshot().waiting > 0);
