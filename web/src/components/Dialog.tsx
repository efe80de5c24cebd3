import { Modal } from "@mantine/core";
import { type ReactNode, Suspense } from "react";
import { Waiting } from "./Waiting";

/** A sheet over the view, which is fetched with what lies in it once it is asked for. */
export function Dialog({ title, onClose, children }: { title: string; onClose: () => void; children: ReactNode }) {
  return (
    <Modal opened onClose={onClose} title={title} closeButtonProps={{ "aria-label": "Close" }}>
      <Suspense fallback={<Waiting for="Fetching it" />}>{children}</Suspense>
    </Modal>
  );
}
