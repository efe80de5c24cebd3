import type { BenchView, Desk, Edit, Schemas } from "../../api/client";
import s from "../../app/Foot.module.css";
import { Sentence, sentenceText } from "../../components/Fig";
import { WaysOut } from "./Ways";

function Fix({ fix, onFix }: { fix: Schemas["FixView"]; onFix: (edits: Edit[]) => void }) {
  return (
    <button type="button" className={s.fix} onClick={() => onFix([fix.edit])}>
      <Sentence parts={fix.text} />
    </button>
  );
}

/** What was found, and the card as it goes to the post. */
export function Foot({ view, desk, onFix }: { view: BenchView; desk: Desk | undefined; onFix: (edits: Edit[]) => void }) {
  return (
    <footer className={`${s.foot} ${view.verdict === "stuck" ? s.stuck : ""}`} data-part="foot">
      <strong aria-live="polite">
        <Sentence parts={view.summary} />
      </strong>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: where much was found it scrolls, so the keyboard must reach it */}
      <ul tabIndex={0} aria-label="What was found">
        {view.stuck?.conflicts.map((c) => (
          <li key={sentenceText(c)} className={s.error}>
            <Sentence parts={c} />
          </li>
        ))}
        {view.checks.map((c) => (
          <li key={c.id + sentenceText(c.text)} className={s[c.severity]}>
            {c.fix ? <Fix fix={c.fix} onFix={onFix} /> : null}
            {!c.fix && c.severity !== "note" ? <WaysOut desk={desk} check={c.id} onTake={onFix} /> : null}
            <Sentence parts={c.text} />
          </li>
        ))}
        {view.closed ? (
          <li>
            <Sentence parts={view.closed.text} />
          </li>
        ) : null}
      </ul>
    </footer>
  );
}
