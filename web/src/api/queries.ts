import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { answer, api, type Desk, isAway, type Problem, type Schemas } from "./client";

/**
 * Everything that is asked of the studio, each by its own key. What is worked out for a design is kept by the design and its
 * edits, asked for when it is seen, and given up when it is not waited for any more.
 */
declare module "@tanstack/react-query" {
  interface Register {
    defaultError: Problem;
  }
}

/** What is handed out, and how. */
export type HandOutAsk = {
  kind: string;
  paper?: string | null;
  units?: string | null;
  cards: number;
  step?: number | null;
  background: boolean;
};

/** So many cards of a design, as its plan is asked for. */
export const cutOf = (desk: Desk, id: string, cards: number) => ({ ...desk, id, cards, goOn: false, stop: false });

// What did not change from one answer to the next stays the same object, so that a slider's tick draws only what moved: what goes
// through a selection is compared with what was shown before, also where that was asked for by another key.
const same = (answer: unknown) => answer;
const worked = <T>() => ({
  staleTime: Number.POSITIVE_INFINITY,
  gcTime: 60_000,
  placeholderData: keepPreviousData,
  select: same as (answer: T) => T,
});

export const queries = {
  designs: () => queryOptions({ queryKey: ["designs"], queryFn: ({ signal }) => answer(api.GET("/api/designs", { signal })) }),
  design: (id: string) =>
    queryOptions({
      queryKey: ["design", id],
      queryFn: ({ signal }) => answer(api.GET("/api/designs/{id}", { params: { path: { id } }, signal })),
      // Another window may work on it too; a studio that was away is looked for again.
      refetchInterval: (query) => (query.state.status === "success" || isAway(query.state.error) ? 15_000 : false),
    }),
  inventory: () =>
    queryOptions({
      queryKey: ["inventory"],
      queryFn: ({ signal }) => answer(api.GET("/api/inventory", { signal })),
      staleTime: 60_000,
    }),
  shelf: () =>
    queryOptions({
      queryKey: ["shelf"],
      queryFn: ({ signal }) => answer(api.GET("/api/shelf", { signal })),
      staleTime: Number.POSITIVE_INFINITY,
    }),
  bench: (desk: Desk | undefined, before: Desk | null) =>
    queryOptions({
      queryKey: ["worked", "bench", desk, before],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/bench", { body: { ...(desk as Desk), before }, signal })),
      ...worked<Schemas["BenchView"]>(),
    }),
  strip: (desk: Desk | undefined) =>
    queryOptions({
      queryKey: ["worked", "strip", desk],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/bench/strip", { body: desk as Desk, signal })),
      ...worked<Schemas["StripFormat"][]>(),
    }),
  ranges: (desk: Desk | undefined) =>
    queryOptions({
      queryKey: ["worked", "ranges", desk],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/bench/ranges", { body: desk as Desk, signal })),
      ...worked<Schemas["RangeView"][]>(),
    }),
  alternatives: (desk: Desk | undefined) =>
    queryOptions({
      queryKey: ["worked", "alternatives", desk],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/bench/alternatives", { body: desk as Desk, signal })),
      ...worked<Schemas["AlternativeView"][]>(),
    }),
  safe: (desk: Desk | undefined) =>
    queryOptions({
      queryKey: ["worked", "safe", desk],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/bench/safe", { body: desk as Desk, signal })),
      ...worked<Schemas["SafeView"][]>(),
    }),
  explain: (desk: Desk | undefined, figureId: string | null) =>
    queryOptions({
      queryKey: ["worked", "explain", desk, figureId],
      enabled: desk !== undefined && figureId !== null,
      queryFn: ({ signal }) =>
        answer(api.POST("/api/bench/explain", { body: { ...(desk as Desk), figureId: figureId as string }, signal })),
      ...worked<Schemas["ExplainedView"]>(),
    }),
  ways: (desk: Desk | undefined, check: string | null) =>
    queryOptions({
      queryKey: ["worked", "ways", desk, check],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/bench/ways", { body: { ...(desk as Desk), check }, signal })),
      ...worked<Schemas["WaysView"]>(),
    }),
  curves: (desk: Desk | undefined) =>
    queryOptions({
      queryKey: ["worked", "curves", desk],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/bench/curves", { body: desk as Desk, signal })),
      ...worked<Schemas["CurveView"][]>(),
    }),
  wall: (desk: Desk | undefined) =>
    queryOptions({
      queryKey: ["worked", "wall", desk],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/wall", { body: desk as Desk, signal })),
      ...worked<Schemas["WallView"]>(),
    }),
  dress: (desk: Desk | undefined) =>
    queryOptions({
      queryKey: ["worked", "dress", desk],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/dress", { body: desk as Desk, signal })),
      ...worked<Schemas["DressView"]>(),
    }),
  build: (desk: Desk | undefined) =>
    queryOptions({
      queryKey: ["worked", "build", desk],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/build", { body: desk as Desk, signal })),
      ...worked<Schemas["BuildView"]>(),
    }),
  folding: (desk: Desk | undefined, from: { aside: number; above: number }) =>
    queryOptions({
      queryKey: ["worked", "folding", desk, from],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/folding", { body: { ...(desk as Desk), ...from }, signal })),
      ...worked<Schemas["FoldingView"]>(),
    }),
  own: (list: string, units: string, format: string, rules: Schemas["RuleSaid"][]) =>
    queryOptions({
      queryKey: ["worked", "own", list, units, format, rules],
      queryFn: ({ signal }) => answer(api.POST("/api/own", { body: { list, units, format: format || null, rules }, signal })),
      ...worked<Schemas["OwnView"]>(),
    }),
  cut: (desk: Desk | undefined, id: string, cards: number) =>
    queryOptions({
      queryKey: ["worked", "cut", desk, id, cards],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/cut", { body: cutOf(desk as Desk, id, cards), signal })),
      // While a better plan is looked for it is asked for again.
      refetchInterval: (query) => (query.state.data?.running ? 700 : false),
      ...worked<Schemas["CutPlanView"]>(),
    }),
  cutShort: (desk: Desk | undefined, id: string, cards: number) =>
    queryOptions({
      queryKey: ["worked", "cutShort", desk, id, cards],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/cut/short", { body: cutOf(desk as Desk, id, cards), signal })),
      staleTime: Number.POSITIVE_INFINITY,
    }),
  cutGoodFor: (desk: Desk | undefined, id: string, cards: number) =>
    queryOptions({
      queryKey: ["worked", "goodFor", desk, id, cards],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/cut/good-for", { body: cutOf(desk as Desk, id, cards), signal })),
      staleTime: Number.POSITIVE_INFINITY,
    }),
  kept: (desk: Desk | undefined, id: string, cards: number) =>
    queryOptions({
      queryKey: ["worked", "kept", desk, id, cards],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/cut/kept", { body: cutOf(desk as Desk, id, cards), signal })),
      staleTime: Number.POSITIVE_INFINITY,
    }),
  takings: () =>
    queryOptions({ queryKey: ["takings"], queryFn: ({ signal }) => answer(api.GET("/api/cut/takings", { signal })) }),
  keptPlan: (design: string, id: number) =>
    queryOptions({
      queryKey: ["keptPlan", design, id],
      queryFn: ({ signal }) => answer(api.GET("/api/cut/kept/{design}/{id}", { params: { path: { design, id } }, signal })),
      staleTime: Number.POSITIVE_INFINITY,
    }),
  show: (desk: Desk | undefined, cards: number) =>
    queryOptions({
      queryKey: ["worked", "show", desk, cards],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/show", { body: { ...(desk as Desk), cards }, signal })),
      ...worked<Schemas["ShowView"]>(),
    }),
  handOut: (desk: Desk | undefined, ask: HandOutAsk) =>
    queryOptions({
      queryKey: ["worked", "handout", desk, ask],
      enabled: desk !== undefined && ask.kind !== "figures",
      queryFn: ({ signal }) => answer(api.POST("/api/handouts", { body: { ...(desk as Desk), ...ask }, signal })),
      ...worked<Schemas["HandOutView"]>(),
    }),
  sheet: (desk: Desk | undefined) =>
    queryOptions({
      queryKey: ["worked", "sheet", desk],
      enabled: desk !== undefined,
      queryFn: ({ signal }) => answer(api.POST("/api/sheet", { body: desk as Desk, signal })),
      ...worked<Schemas["SheetView"]>(),
    }),
};
