import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type DesignState = Schemas["DesignSpec"];
export type DesignView = Schemas["DesignView"];
export type BenchView = Schemas["BenchView"];
export type Figure = Schemas["Figure"];
export type FigureText = Schemas["FigureText"];
/** A sentence in its parts: words, and figures in them. */
export type Parts = Schemas["SentencePart"][];
/** A change of a design, in the one vocabulary that the core has for them. */
export type Edit = Schemas["DesignEdit"];
/** A design with edits that are being tried. */
export type Desk = { design: DesignState; edits: Edit[] };

export const api = createClient<paths>({ baseUrl: "/" });

/** A problem document: what was wrong, where, and what is accepted. */
export class Problem extends Error {
  constructor(
    readonly title: string,
    readonly detail: string,
    readonly code: string,
    readonly field: string | null = null,
    readonly accepted: string | null = null,
    readonly current: DesignView | null = null,
  ) {
    super(detail);
  }
}

export function problemOf(error: unknown): Problem {
  if (error instanceof Problem) {
    return error;
  }
  const document = (error ?? {}) as Record<string, unknown>;
  const text = (key: string) => (typeof document[key] === "string" ? (document[key] as string) : null);
  return new Problem(
    text("title") ?? "That did not go through",
    text("detail") ?? "The studio did not answer as expected.",
    text("code") ?? "unknown",
    text("field"),
    text("accepted"),
    (document.current as DesignView | undefined) ?? null,
  );
}

/** Whether the studio was not there: then what was asked may be asked again. */
export const isAway = (error: unknown) => error instanceof Problem && error.code === "studio.away";

/** What was not understood is not asked again; a studio that was not there is. */
export const mayTryAgain = isAway;

/** Unwraps an answer, or throws its problem document. A studio that cannot be reached is a problem like any other. */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown }>): Promise<T> {
  let result: { data?: T; error?: unknown };
  try {
    result = await call;
  } catch (failure) {
    if (failure instanceof DOMException && failure.name === "AbortError") {
      throw failure;
    }
    throw new Problem(
      "The studio does not answer",
      "Is ./wholefold still running? Your last change is kept here and is stored as soon as it answers.",
      "studio.away",
    );
  }
  if (result.error !== undefined) {
    throw problemOf(result.error);
  }
  return result.data as T;
}
