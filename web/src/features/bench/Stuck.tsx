import { Button, Loader } from "@mantine/core";
import { useQuery } from "@tanstack/react-query";
import type { BenchView, Desk, Edit, Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import s from "../../app/Work.module.css";
import { Sentence, sentenceText } from "../../components/Fig";

/** Why there are no figures, and the smallest changes with which there would be, each one click. */
export function Stuck({
  desk,
  view,
  stuck,
  onRemedy,
}: {
  desk: Desk | undefined;
  view: BenchView;
  stuck: Schemas["StuckView"];
  onRemedy: (edits: Edit[]) => void;
}) {
  const remedies = useQuery(queries.remedies(desk, true));
  return (
    <div className={s.stuck}>
      <h2>
        No figures for <Sentence parts={view.target.size} />
      </h2>
      <p>
        <Sentence parts={stuck.text} />
      </p>
      {remedies.isLoading ? <Loader aria-label="Looking for what would mend it" /> : null}
      {remedies.data ? (
        <h3>
          {remedies.data.length > 0
            ? "It fits if you"
            : "Nothing given up here makes it go: take other tools, or another format."}
        </h3>
      ) : null}
      {remedies.data?.map((remedy) => (
        <Button
          key={sentenceText(remedy.text)}
          variant="default"
          fullWidth
          mb={8}
          justify="flex-start"
          onClick={() => onRemedy(remedy.edits)}
        >
          <span>
            <Sentence parts={remedy.text} />
          </span>
        </Button>
      ))}
    </div>
  );
}
