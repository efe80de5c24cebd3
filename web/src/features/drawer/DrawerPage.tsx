import { Button } from "@mantine/core";
import { useDocumentTitle } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import { Link, useNavigate } from "react-router";
import { queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, ThemeButton } from "../../components/Bar";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import { useKeys } from "../../keys/useKeys";
import { Designs } from "./Designs";
import s from "./Drawer.module.css";
import { Things } from "./Things";

const Dialog = lazy(async () => ({ default: (await import("../../components/Dialog")).Dialog }));
const CheckList = lazy(async () => ({ default: (await import("./CheckList")).CheckList }));

/** All designs, and what the studio has of every kind. */
export function DrawerPage() {
  const designs = useQuery(queries.designs());
  const inventory = useQuery(queries.inventory());
  const navigate = useNavigate();
  const [checking, setChecking] = useState(false);
  useDocumentTitle("Drawer · Whole Fold");
  useKeys({ begin: () => navigate("/shelf"), list: () => setChecking(true) });
  const problem = designs.error ?? inventory.error;
  return (
    <main className={shell.page}>
      <Bar heading={<h1>Drawer</h1>}>
        <Button variant="default" onClick={() => setChecking(true)} radius="xl" aria-keyshortcuts="l">
          Check a list
        </Button>
        <Button component={Link} to="/shelf" radius="xl" aria-keyshortcuts="n">
          New design
        </Button>
        <ThemeButton />
        <HelpButton />
      </Bar>
      <div className={s.body}>
        {problem ? <Trouble problem={problem} /> : null}
        {designs.isLoading ? <Waiting for="Opening the drawer" /> : null}
        {designs.data?.length === 0 ? (
          <p>
            The drawer is empty. Pick a card from the <Link to="/shelf">shelf</Link>, or <Link to="/own">type your own</Link>.
          </p>
        ) : null}
        {designs.data ? <Designs designs={designs.data} /> : null}
        {inventory.data ? <Things kinds={inventory.data.kinds} /> : null}
      </div>
      <Suspense fallback={null}>
        {checking ? (
          <Dialog title="Check a list" onClose={() => setChecking(false)}>
            <CheckList />
          </Dialog>
        ) : null}
      </Suspense>
    </main>
  );
}
