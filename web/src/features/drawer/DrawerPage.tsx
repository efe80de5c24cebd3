import { Button, Loader, Modal } from "@mantine/core";
import { useDocumentTitle } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, ThemeButton } from "../../components/Bar";
import { Trouble } from "../../components/Trouble";
import { useKeys } from "../../keys/useKeys";
import { CheckList } from "./CheckList";
import { Designs } from "./Designs";
import s from "./Drawer.module.css";
import { NewDesign } from "./NewDesign";
import { Things } from "./Things";

/** All designs, and what the studio has of every kind. */
export function DrawerPage() {
  const designs = useQuery(queries.designs());
  const inventory = useQuery(queries.inventory());
  const [making, setMaking] = useState(false);
  const [checking, setChecking] = useState(false);
  useDocumentTitle("Drawer · Whole Fold");
  useKeys({ begin: () => setMaking(true), list: () => setChecking(true) });
  const problem = designs.error ?? inventory.error;
  return (
    <main className={shell.page}>
      <Bar heading={<h1>Drawer</h1>}>
        <Button variant="default" onClick={() => setChecking(true)} radius="xl" aria-keyshortcuts="l">
          Check a list
        </Button>
        <Button onClick={() => setMaking(true)} radius="xl" aria-keyshortcuts="n">
          New design
        </Button>
        <ThemeButton />
        <HelpButton />
      </Bar>
      <div className={s.body}>
        {problem ? <Trouble problem={problem} /> : null}
        {designs.isLoading ? <Loader aria-label="Opening the drawer" /> : null}
        {designs.data?.length === 0 ? (
          <p>
            The drawer is empty. <b>New design</b> begins one from a construction and a format; the <Link to="/shelf">shelf</Link>{" "}
            shows what each construction does.
          </p>
        ) : null}
        {designs.data ? <Designs designs={designs.data} /> : null}
        {inventory.data ? <Things kinds={inventory.data.kinds} /> : null}
      </div>
      <Modal
        opened={checking}
        onClose={() => setChecking(false)}
        title="Check a list"
        closeButtonProps={{ "aria-label": "Close" }}
      >
        <CheckList />
      </Modal>
      <Modal opened={making} onClose={() => setMaking(false)} title="New design" closeButtonProps={{ "aria-label": "Close" }}>
        {inventory.data ? <NewDesign inventory={inventory.data} /> : <Loader aria-label="Fetching the constructions" />}
      </Modal>
    </main>
  );
}
