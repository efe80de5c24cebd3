import { Alert } from "@mantine/core";
import { problemOf } from "../api/client";
import s from "./Trouble.module.css";

/** What was wrong, where, and what would be accepted. */
export function Trouble({ problem: error, onClose }: { problem: Error; onClose?: () => void }) {
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
    </Alert>
  );
}
