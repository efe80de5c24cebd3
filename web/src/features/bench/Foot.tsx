import type { BenchView } from "../../api/client";
import { Sentence } from "../../components/Fig";

/** What was found, and the card as it goes to the post. */
export function Foot({ view }: { view: BenchView }) {
  return (
    <footer className={`foot ${view.verdictKind}`}>
      <strong aria-live="polite">
        <Sentence text={view.summary} />
      </strong>
      <ul>
        {view.stuck?.conflicts.map((c) => (
          <li key={c.text} className="error">
            <Sentence text={c.text} />
          </li>
        ))}
        {view.checks.map((c) => (
          <li key={c.id + c.text} className={c.severity}>
            <Sentence text={c.text} />
          </li>
        ))}
        {view.closed ? (
          <li className="post">
            <Sentence text={`Closed ${view.closed.text}, ${view.closed.thickness} thick; ${view.closed.envelopeText}`} />
          </li>
        ) : null}
      </ul>
    </footer>
  );
}
