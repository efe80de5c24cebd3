import { Button } from "@mantine/core";
import { useQueryErrorResetBoundary } from "@tanstack/react-query";
import { Suspense } from "react";
import { ErrorBoundary, type FallbackProps } from "react-error-boundary";
import { Link, Outlet, useLocation } from "react-router";
import { Wordmark } from "../components/Bar";
import { Waiting } from "../components/Waiting";
import { AllKeys } from "../keys/AllKeys";
import { LeftBehind } from "./LeftBehind";
import { Rail } from "./Rail";
import s from "./Shell.module.css";

/** What stays while one goes from view to view. What goes wrong in a view stays in it, and there is a way on. */
export function Shell() {
  const { pathname } = useLocation();
  const { reset } = useQueryErrorResetBoundary();
  return (
    <AllKeys>
      <div className={s.frame}>
        <Rail />
        <ErrorBoundary FallbackComponent={Broken} onReset={reset} resetKeys={[pathname]}>
          <Suspense fallback={<Opening />}>
            <Outlet />
          </Suspense>
        </ErrorBoundary>
        <LeftBehind />
      </div>
    </AllKeys>
  );
}

export function Opening() {
  return (
    <main className={s.page}>
      <h1 className="unseen">Whole Fold</h1>
      <div className={s.middle}>
        <Waiting for="Opening" />
      </div>
    </main>
  );
}

function Broken({ resetErrorBoundary }: FallbackProps) {
  return (
    <main className={s.page}>
      <header className={s.bar}>
        <Wordmark />
      </header>
      <div className={s.middle} role="alert">
        <h1>This view has come apart</h1>
        <p>Nothing that was stored is lost. Try it once more, or go on from the drawer.</p>
        <p className={s.ways}>
          <Button onClick={resetErrorBoundary}>Try again</Button>
          <Button variant="default" component={Link} to="/drawer">
            To the drawer
          </Button>
        </p>
      </div>
    </main>
  );
}
