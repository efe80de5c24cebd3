import { type DesignView, type Desk, type Edit, isAway, type Problem, problemOf } from "../../../api/client";

/** What the core makes of a gesture: where a nudge comes to, say. Nothing where it comes to nothing. */
export type Ask = (desk: Desk) => Promise<Edit[]>;

/**
 * What was done in one go: edits, or a step through what was done before. What has to be asked for first is asked on the state that
 * will be, once all that was done before it is stored. A gesture has a name of its own, so that sent again it is not done again.
 */
export type Gesture =
  | { mark: string; edits: Edit[]; about?: string }
  | { mark: string; ask: Ask; about: string; told?: (came: boolean) => void }
  | { step: "undo" | "redo" };

/** How gestures reach the store: each names the version that the one before it returned. */
export type Store = {
  save: (version: number, edits: Edit[], mark: string) => Promise<DesignView>;
  step: (version: number, way: "undo" | "redo") => Promise<DesignView>;
};

export type DraftState = {
  /** The design as it was stored last; null until it has been read. */
  stored: DesignView | null;
  /** What is shown on top of it: gestures on their way, then what is only being tried out. */
  edits: Edit[];
  problem: Problem | null;
  /** The studio does not answer: gestures wait, and are tried again. */
  away: boolean;
  /** What was not understood, and of which thing: it can be tried again. */
  failed: { about: string; problem: Problem } | null;
  /** Gestures that are not stored yet. */
  waiting: number;
  /** A gesture that came too late: somebody else's stands in the store, this one and what follows it wait. */
  clash: { mine: Edit[]; theirs: DesignView } | null;
};

/** After so many milliseconds a studio that was away is tried again, at first and at the most. */
const FIRST_WAIT = 1_000;
const LONGEST_WAIT = 15_000;

/**
 * Gestures on their way to the store, one after the other. What is shown is the last of them until all have arrived: falling
 * back to the first while the second is still under way would let the next gesture start from what is no longer meant.
 * Nothing done is lost: where the studio is away, gestures wait for it.
 */
export class DraftQueue {
  private stored: DesignView | null = null;
  private waiting: Gesture[] = [];
  private trying: Edit[] = [];
  private problem: Problem | null = null;
  private failure: { gesture: Gesture; about: string; problem: Problem } | null = null;
  private away = false;
  private clash: DraftState["clash"] = null;
  private sending = false;
  private wait = FIRST_WAIT;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private readonly listeners = new Set<() => void>();
  private state: DraftState = { stored: null, edits: [], problem: null, failed: null, waiting: 0, away: false, clash: null };

  constructor(
    private readonly store: Store,
    private readonly arrived: (design: DesignView) => void = () => {},
  ) {}

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
  };

  readonly snapshot = () => this.state;

  /** What was read from the store. While gestures are under way it is older than they are, and is left. */
  read(design: DesignView) {
    const under = this.waiting.length > 0 || this.clash !== null;
    if (this.stored === null || (!under && design !== this.stored)) {
      this.stored = design;
      this.tell();
      void this.send();
    }
  }

  /** Shows edits without storing them. */
  tryOut(edits: Edit[]) {
    this.trying = edits;
    this.tell();
  }

  /** Stores a gesture. */
  commit(edits: Edit[], about?: string) {
    this.add({ mark: crypto.randomUUID(), edits, about });
  }

  /** Asks what a gesture comes to, and stores that. */
  ask(about: string, ask: Ask, told?: (came: boolean) => void) {
    this.add({ mark: crypto.randomUUID(), ask, about, told });
  }

  step(way: "undo" | "redo") {
    this.add({ step: way });
  }

  /** Does again what was not understood: something else may have changed since. */
  tryAgain() {
    if (this.failure) {
      const { gesture } = this.failure;
      this.failure = null;
      this.add(gesture);
    }
  }

  /** Lets go of what was not understood. */
  letGo() {
    this.failure = null;
    this.tell();
  }

  private add(gesture: Gesture) {
    this.trying = [];
    this.waiting.push(gesture);
    this.tell();
    void this.send();
  }

  /** Tries now what is waiting. */
  retry() {
    if (this.timer) {
      clearTimeout(this.timer);
      this.timer = null;
    }
    void this.send();
  }

  /** Of a clash: does mine again, on top of the other. */
  keepMine() {
    if (this.clash) {
      this.stored = this.clash.theirs;
      this.clash = null;
      this.tell();
      void this.send();
    }
  }

  /** Of a clash: lets mine go. */
  takeTheirs() {
    if (this.clash) {
      this.stored = this.clash.theirs;
      this.clash = null;
      this.waiting = [];
      this.tell();
    }
  }

  clearProblem() {
    this.problem = null;
    this.trying = [];
    this.tell();
  }

  private async send() {
    if (this.sending || this.clash) {
      return;
    }
    this.sending = true;
    try {
      while (this.waiting.length > 0 && this.stored && !this.clash) {
        const gesture = this.waiting[0] as Gesture;
        try {
          const next = await this.done(gesture, this.stored);
          this.waiting.shift();
          this.stored = next;
          this.problem = null;
          this.away = false;
          this.wait = FIRST_WAIT;
          this.arrived(next);
          this.tell();
        } catch (error) {
          if (this.failed(problemOf(error), gesture)) {
            return;
          }
        }
      }
    } finally {
      this.sending = false;
    }
  }

  private async done(gesture: Gesture, on: DesignView): Promise<DesignView> {
    if ("step" in gesture) {
      return this.store.step(on.version, gesture.step);
    }
    if ("edits" in gesture) {
      return this.store.save(on.version, gesture.edits, gesture.mark);
    }
    const edits = await gesture.ask({ design: on.state, edits: [] });
    gesture.told?.(edits.length > 0);
    return edits.length > 0 ? this.store.save(on.version, edits, gesture.mark) : on;
  }

  /** Whether the rest has to wait. */
  private failed(problem: Problem, gesture: Gesture): boolean {
    if (isAway(problem)) {
      this.away = true;
      this.problem = problem;
      this.timer = setTimeout(() => this.retry(), this.wait);
      this.wait = Math.min(LONGEST_WAIT, this.wait * 2);
      this.tell();
      return true;
    }
    if (problem.code === "design.stale" && problem.current) {
      if ("step" in gesture) {
        // A step back was meant for what was seen; what is there now is shown first.
        this.waiting.shift();
        this.stored = problem.current;
        this.tell();
        return false;
      }
      this.clash = { mine: "edits" in gesture ? gesture.edits : [], theirs: problem.current };
      this.tell();
      return true;
    }
    // It was not understood. What follows goes on; this one is told where it was done.
    this.waiting.shift();
    if ("step" in gesture || gesture.about === undefined) {
      this.problem = problem;
    } else {
      this.failure = { gesture, about: gesture.about, problem };
    }
    this.tell();
    return false;
  }

  private tell() {
    const done = this.waiting.flatMap((g) => ("edits" in g ? g.edits : []));
    this.state = {
      stored: this.stored,
      edits: [...done, ...this.trying],
      problem: this.problem,
      failed: this.failure && { about: this.failure.about, problem: this.failure.problem },
      waiting: this.waiting.length,
      away: this.away,
      clash: this.clash,
    };
    for (const listener of this.listeners) {
      listener();
    }
  }
}
