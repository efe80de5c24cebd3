import type { BenchView, Desk, Edit, Schemas } from "../../api/client";
import s from "../../app/Work.module.css";
import { Sentence } from "../../components/Fig";
import { WayList } from "./Ways";

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
  return (
    <div className={s.stuck}>
      <h2>
        No figures for <Sentence parts={view.target.size} />
      </h2>
      <p>
        <Sentence parts={stuck.text} />
      </p>
      <h3>What would mend it</h3>
      <WayList desk={desk} check={null} onTake={onRemedy} />
    </div>
  );
}
