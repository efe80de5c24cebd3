import { useCallback, useEffect, useMemo, useState } from "react";
import type { Schemas } from "../../api/client";

type Screen = Schemas["ScreenView"];
export type Timer = { id: string; label: string; ends: number };

/** A run as it is kept in this browser: where it is, what was skipped, what is still setting, and when what was shown. */
export type Run = {
  /** The screen at hand; null before the first, "end" after the last. */
  at: string | null;
  /** Phases that were done before: already cut, already scored. */
  ready: string[];
  timers: Timer[];
  /** When the first screen came up, in milliseconds since 1970. */
  began: number | null;
  shown: { screen: string; seconds: number }[];
};

export const fresh: Run = { at: null, ready: [], timers: [], began: null, shown: [] };
const place = (id: string) => `wholefold.show.${id}`;

function read(id: string): Run {
  try {
    return { ...fresh, ...JSON.parse(localStorage.getItem(place(id)) ?? "{}") };
  } catch {
    return fresh;
  }
}

/** Where to go from a screen: forward, a timer begins for what is left to set. */
export function moved(run: Run, screens: Screen[], to: string | null, now: number): Run {
  const from = screens.findIndex((s) => s.id === run.at);
  const next = screens.findIndex((s) => s.id === to);
  const left = screens[from];
  const last = left && screens[from + 1]?.step !== left.step;
  const timers = [...run.timers];
  const begin = (screen: Screen) => {
    if (screen.holds > 0 && !timers.some((t) => t.id === screen.id)) {
      timers.push({ id: screen.id, label: screen.holdsFor ?? "it sets", ends: now + screen.holds * 1000 });
    }
  };
  const forward = to === "end" || next > from;
  if (left && last && forward && !left.waits) {
    begin(left);
  }
  const arrived = screens[next];
  if (arrived?.waits && !timers.some((t) => t.ends > now)) {
    begin(arrived);
  }
  const began = run.began ?? (arrived ? now : null);
  return {
    ...run,
    at: to,
    timers,
    began,
    shown: began !== null && arrived ? [...run.shown, { screen: arrived.id, seconds: (now - began) / 1000 }] : run.shown,
  };
}

/** The run of one design, the same in every window and after a reload. */
export function useRun(id: string, all: Screen[]) {
  const [run, setRun] = useState(() => read(id));
  useEffect(() => {
    setRun(read(id));
    const heard = (e: StorageEvent) => e.key === place(id) && setRun(read(id));
    window.addEventListener("storage", heard);
    return () => window.removeEventListener("storage", heard);
  }, [id]);
  const keep = useCallback(
    (next: Run) => {
      setRun(next);
      try {
        localStorage.setItem(place(id), JSON.stringify(next));
      } catch {
        // A browser that keeps nothing still shows.
      }
    },
    [id],
  );
  const screens = useMemo(() => all.filter((s) => !run.ready.includes(s.phase)), [all, run.ready]);
  const index = screens.findIndex((s) => s.id === run.at);
  const go = useCallback(
    (to: string | null) => {
      if (to !== run.at) {
        keep(moved(run, screens, to, Date.now()));
      }
    },
    [keep, run, screens],
  );
  return {
    run,
    screens,
    /** What a run that was left in a design that has changed since comes back to: the beginning. */
    screen: screens[index] ?? null,
    index,
    go,
    next: () =>
      go(
        run.at === "end"
          ? "end"
          : (screens[index + 1]?.id ?? (screens.length > 0 && index >= 0 ? "end" : (screens[0]?.id ?? null))),
      ),
    before: () =>
      go(run.at === "end" ? (screens[screens.length - 1]?.id ?? null) : index > 0 ? (screens[index - 1]?.id ?? null) : null),
    setReady: (ready: string[]) => keep({ ...run, ready }),
    putAway: (timer: string) => keep({ ...run, timers: run.timers.filter((t) => t.id !== timer) }),
    again: () => keep(fresh),
  };
}

/** The time, every second while somebody looks. */
export function useNow(every = 1000) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), every);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}

export const clock = (ms: number) => {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
};
