import { Alert, Button } from "@mantine/core";
import { problemOf } from "../api/client";
import s from "./Trouble.module.css";

/** What was wrong, where, and what would be accepted. */
export function Trouble({ problem: error, onClose, onAgain }: { problem: Error; onClose?: () => void; onAgain?: () => void }) {
  const problem = problemOf(error);
  return (
    <Alert
      className={s.trouble}
      role="alert"
      title={problem.title}
      withCloseButton={onClose !== undefined}
      onClose={onClose}
      closeButtonLabel="Put this away"
    >
      {problem.field ? <b>{problem.field}: </b> : null}
      {problem.detail}
      {onAgain ? (
        <Button size="compact-sm" variant="default" onClick={onAgain} className={s.again}>
          Try again
        </Button>
      ) : null}
    </Alert>
  );
}
