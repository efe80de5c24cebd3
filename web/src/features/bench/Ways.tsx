import { Button, Popover } from "@mantine/core";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Desk, Edit } from "../../api/client";
import { queries } from "../../api/queries";
import { Sentence, sentenceText } from "../../components/Fig";
import { Waiting } from "../../components/Waiting";
import s from "./Ways.module.css";

/** Ways out that were tried, each one press; where there is none, what was tried. */
export function WayList({
  desk,
  check,
  onTake,
}: {
  desk: Desk | undefined;
  check: string | null;
  onTake: (edits: Edit[]) => void;
}) {
  const ways = useQuery(queries.ways(desk, check));
  if (ways.isLoading) {
    return <Waiting size="sm" for="Trying what would mend it" />;
  }
  if (ways.isError) {
    return <p role="alert">The ways out could not be looked for. Close this and open it again.</p>;
  }
  return (
    <>
      {ways.data?.none ? <p>{ways.data.none}</p> : null}
      {ways.data?.ways.map((way) => (
        <Button
          key={sentenceText(way.text)}
          variant="default"
          fullWidth
          h="auto"
          classNames={{ root: s.way, label: s.label }}
          justify="flex-start"
          onClick={() => onTake(way.edits)}
        >
          <span>
            <Sentence parts={way.text} />
            <small>
              <Sentence parts={way.costs} />
            </small>
          </span>
        </Button>
      ))}
    </>
  );
}

/** Looked for when somebody asks. */
export function WaysOut({ desk, check, onTake }: { desk: Desk | undefined; check: string; onTake: (edits: Edit[]) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover opened={open} onChange={setOpen} position="top-start" width={380} trapFocus withinPortal>
      <Popover.Target>
        <button type="button" className={s.ask} aria-expanded={open} onClick={() => setOpen(!open)}>
          ways out
        </button>
      </Popover.Target>
      <Popover.Dropdown aria-label="Ways out">
        {open ? (
          <WayList
            desk={desk}
            check={check}
            onTake={(edits) => {
              setOpen(false);
              onTake(edits);
            }}
          />
        ) : null}
      </Popover.Dropdown>
    </Popover>
  );
}
