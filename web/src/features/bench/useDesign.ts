import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useRef, useState } from "react";
import { answer, api, type BenchView, type DesignState, type DesignView, Problem } from "../../api/client";

export type Desk = {
  design: DesignView | undefined;
  /** What is shown: the stored state, or what is being tried out while a slider moves. */
  state: DesignState | undefined;
  view: BenchView | undefined;
  loading: boolean;
  problem: Problem | null;
  /** Shows a state without storing it. */
  tryOut: (state: DesignState) => void;
  /** Stores a gesture. */
  commit: (state: DesignState, gesture: string) => void;
  /** Stores a gesture and shows what it changes, figure by figure, until something else is done. */
  commitCompared: (state: DesignState, gesture: string) => void;
  /** The gesture whose changes are shown. */
  compared: string | null;
  stopComparing: () => void;
  undo: () => void;
  redo: () => void;
  /** A change that came too late: somebody else's stands in the store, this one waits. */
  clash: { mine: DesignState; gesture: string; theirs: DesignView } | null;
  keepMine: () => void;
  takeTheirs: () => void;
  clearProblem: () => void;
};

/** One design with its history, and the bench's view of it. */
export function useDesign(id: string): Desk {
  const queries = useQueryClient();
  const [draft, setDraft] = useState<DesignState | null>(null);
  const [failure, setFailure] = useState<Problem | null>(null);
  const [clash, setClash] = useState<Desk["clash"]>(null);
  const [before, setBefore] = useState<{ state: DesignState; gesture: string } | null>(null);
  const key = ["design", id];

  const stored = useQuery({
    queryKey: key,
    queryFn: ({ signal }) => answer(api.GET("/api/designs/{id}", { params: { path: { id } }, signal })),
    refetchInterval: (query) => (query.state.status === "success" ? 15_000 : false),
  });
  const state = draft ?? stored.data?.state;
  const bench = useQuery({
    queryKey: ["bench", state, before?.state],
    enabled: state !== undefined,
    queryFn: ({ signal }) =>
      answer(api.POST("/api/bench", { body: { design: state as DesignState, before: before?.state ?? null }, signal })),
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    retry: 0,
  });

  // Gestures on their way to the store. What is shown is the last of them until all have arrived: falling back to the
  // first while the second is still under way would let the next gesture start from what is no longer meant.
  const underWay = useRef(0);
  const arrived = (next: DesignView) => {
    queries.setQueryData(key, next);
    queries.invalidateQueries({ queryKey: ["designs"] });
    setFailure(null);
    if (underWay.current === 0) {
      setDraft(null);
    }
  };
  const failed = (error: unknown, mine?: { state: DesignState; gesture: string }) => {
    const problem =
      error instanceof Problem ? error : new Problem("That did not go through", String(error), "unknown", null, null, null);
    if (problem.code === "design.stale" && problem.current) {
      if (mine) {
        setClash({ mine: mine.state, gesture: mine.gesture, theirs: problem.current });
      } else {
        arrived(problem.current);
      }
    } else {
      setFailure(problem);
    }
  };

  // One write after the other, each naming the version that the one before it returned.
  const scope = { id: `design-${id}` };
  const version = () => queries.getQueryData<DesignView>(key)?.version ?? 0;
  const save = useMutation({
    scope,
    mutationFn: (gesture: { state: DesignState; gesture: string }) =>
      answer(api.PUT("/api/designs/{id}", { params: { path: { id } }, body: { version: version(), ...gesture } })),
    onSuccess: (next) => {
      underWay.current--;
      arrived(next);
    },
    onError: (error, gesture) => {
      underWay.current--;
      failed(error, gesture);
    },
  });
  const step = useMutation({
    scope,
    mutationFn: (way: "undo" | "redo") =>
      answer(
        way === "undo"
          ? api.POST("/api/designs/{id}/undo", { params: { path: { id } }, body: { version: version() } })
          : api.POST("/api/designs/{id}/redo", { params: { path: { id } }, body: { version: version() } }),
      ),
    onSuccess: arrived,
    onError: (error) => failed(error),
  });

  const { mutate: saveNow } = save;
  const { mutate: stepNow } = step;
  const store = useCallback(
    (next: DesignState, gesture: string) => {
      underWay.current++;
      setDraft(next);
      saveNow({ state: next, gesture });
    },
    [saveNow],
  );
  const commit = useCallback(
    (next: DesignState, gesture: string) => {
      setBefore(null);
      store(next, gesture);
    },
    [store],
  );
  const commitCompared = (next: DesignState, gesture: string) => {
    if (state) {
      setBefore({ state, gesture });
    }
    store(next, gesture);
  };
  const error = failure ?? (stored.error as Problem | null) ?? (bench.error as Problem | null);
  return {
    design: stored.data,
    state,
    view: bench.data,
    loading: stored.isLoading || bench.isLoading,
    problem: error,
    tryOut: setDraft,
    commit,
    commitCompared,
    compared: before?.gesture ?? null,
    stopComparing: () => setBefore(null),
    undo: () => {
      setBefore(null);
      stepNow("undo");
    },
    redo: () => {
      setBefore(null);
      stepNow("redo");
    },
    clash,
    keepMine: () => {
      if (clash) {
        queries.setQueryData(key, clash.theirs);
        commit(clash.mine, clash.gesture);
        setClash(null);
      }
    },
    takeTheirs: () => {
      if (clash) {
        arrived(clash.theirs);
        setClash(null);
      }
    },
    clearProblem: () => {
      setFailure(null);
      setDraft(null);
    },
  };
}
