import { type DesignView, type Edit, isAway, type Problem, problemOf } from "../../../api/client";

/** What was done in one go: edits, or a step through what was done before. */
export type Gesture = { edits: Edit[] } | { step: "undo" | "redo" };

/** How gestures reach the store: each names the version that the one before it returned. */
export type Store = {
  save: (version: number, edits: Edit[]) => Promise<DesignView>;
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
  private away = false;
  private clash: DraftState["clash"] = null;
  private sending = false;
  private wait = FIRST_WAIT;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private readonly listeners = new Set<() => void>();
  private state: DraftState = { stored: null, edits: [], problem: null, away: false, clash: null };

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
  commit(edits: Edit[]) {
    this.trying = [];
    this.waiting.push({ edits });
    this.tell();
    void this.send();
  }

  step(way: "undo" | "redo") {
    this.trying = [];
    this.waiting.push({ step: way });
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

  /** Nobody looks any more. */
  stop() {
    if (this.timer) {
      clearTimeout(this.timer);
      this.timer = null;
    }
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
          const next =
            "step" in gesture
              ? await this.store.step(this.stored.version, gesture.step)
              : await this.store.save(this.stored.version, gesture.edits);
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
      this.clash = { mine: gesture.edits, theirs: problem.current };
      this.tell();
      return true;
    }
    // It was not understood, and would not be a second time.
    this.waiting.shift();
    this.problem = problem;
    this.tell();
    return false;
  }

  private tell() {
    const done = this.waiting.flatMap((g) => ("edits" in g ? g.edits : []));
    this.state = {
      stored: this.stored,
      edits: [...done, ...this.trying],
      problem: this.problem,
      away: this.away,
      clash: this.clash,
    };
    for (const listener of this.listeners) {
      listener();
    }
  }
}
