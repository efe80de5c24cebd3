import { Button } from "@mantine/core";
import type { ReactNode } from "react";
import { ErrorBoundary } from "react-error-boundary";

/** A drawing that may fail by itself: what stands beside it, its figures above all, stays. */
export function Drawn({ of, children }: { of: unknown; children: ReactNode }) {
  return (
    <ErrorBoundary
      resetKeys={[of]}
      fallbackRender={({ resetErrorBoundary }) => (
        <div role="alert" data-part="no-drawing" style={{ padding: 24 }}>
          <p>This drawing could not be made. Its figures hold all the same.</p>
          <Button size="compact-sm" variant="default" onClick={resetErrorBoundary}>
            Try again
          </Button>
        </div>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
