import { Button, Notification } from "@mantine/core";
import { useEffect, useSyncExternalStore } from "react";
import { Link } from "react-router";
import type { DraftQueue } from "../features/bench/desk/DraftQueue";
import { leftBehind, unstored } from "../features/bench/desk/desks";
import s from "./LeftBehind.module.css";

/** What was done in a view that has been left, and is not stored or was not understood. Where the view is looked at, it says so itself. */
export function LeftBehind() {
  const left = useSyncExternalStore(leftBehind.subscribe, leftBehind.snapshot);
  useEffect(() => {
    // Closing the window would lose what waits for the studio: the browser asks first.
    const ask = (e: BeforeUnloadEvent) => {
      if (unstored()) {
        e.preventDefault();
      }
    };
    window.addEventListener("beforeunload", ask);
    return () => window.removeEventListener("beforeunload", ask);
  }, []);
  return (
    <div className={s.left} aria-live="polite">
      {left.map(({ id, queue }) => (
        <One key={id} id={id} queue={queue} />
      ))}
    </div>
  );
}

function One({ id, queue }: { id: string; queue: DraftQueue }) {
  const { stored, away, failed, problem, waiting } = useSyncExternalStore(queue.subscribe, queue.snapshot);
  const wrong = failed?.problem ?? problem;
  return (
    <Notification
      withCloseButton={!away && wrong !== null}
      closeButtonProps={{ "aria-label": "Put this away" }}
      onClose={() => {
        queue.letGo();
        queue.clearProblem();
      }}
      title={stored?.state.name ?? "A design"}
    >
      {away
        ? `${waiting === 1 ? "One change is" : `${waiting} changes are`} not stored yet: the studio does not answer. It is tried again by itself.`
        : (wrong?.detail ?? "It was changed in another window.")}
      <span className={s.ways}>
        {away || failed ? (
          <Button size="compact-sm" variant="default" onClick={() => (away ? queue.retry() : queue.tryAgain())}>
            Try again
          </Button>
        ) : null}
        <Button size="compact-sm" variant="default" component={Link} to={`/bench/${id}`}>
          Open it
        </Button>
      </span>
    </Notification>
  );
}
