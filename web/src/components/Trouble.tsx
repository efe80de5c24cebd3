import { Alert } from "@mantine/core";
import type { Problem } from "../api/client";

/** What was wrong, where, and what would be accepted. */
export function Trouble({ problem, onClose }: { problem: Problem; onClose?: () => void }) {
  return (
    <Alert
      className="trouble"
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
