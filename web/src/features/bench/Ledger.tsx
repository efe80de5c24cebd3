import { useEffect, useRef } from "react";
import type { BenchView, Schemas } from "../../api/client";
import { Fig, Sentence } from "../../components/Fig";

type Row = Schemas["LedgerRow"];

/** Every figure, was → now, how it is set; a row opens to its reasons. */
export function Ledger({
  view,
  both,
  open,
  onOpen,
}: {
  view: BenchView;
  both: boolean;
  open: string | null;
  onOpen: (figure: string | null) => void;
}) {
  const converted = !view.atHome || view.compared !== null;
  return (
    <section className="ledger" aria-label="Figures">
      <div className="ledger-head" aria-hidden="true">
        <span>{view.unit === "in" ? "inches" : view.unit}</span>
        {converted ? <span className="num">{view.compared ? "before" : "was"}</span> : null}
        <span className="num now">{converted ? "now" : ""}</span>
        {both ? <span className="num also">{view.unit === "in" ? "cm" : "in"}</span> : null}
        <span>set</span>
      </div>
      {view.ledger.map((section) => (
        <div key={section.id} className="ledger-section">
          <h2>
            {section.title} <small>{section.detail}</small>
          </h2>
          {section.rows.map((row) => (
            <LedgerRow
              key={row.figureId}
              row={row}
              converted={converted}
              both={both}
              open={open === row.figureId}
              onOpen={onOpen}
              unit={view.unit}
            />
          ))}
          <Order piece={view.pieces.find((p) => p.id === section.id)} />
        </div>
      ))}
    </section>
  );
}

/** In which order the scores of a piece are set, and how it is turned between them. */
function Order({ piece }: { piece: Schemas["PieceView"] | undefined }) {
  if (!piece || piece.order.length === 0) {
    return null;
  }
  return (
    <p className="order">
      <b>Set in this order</b>{" "}
      {piece.order.map((pass) => (
        <span key={pass.lay}>
          <em>{pass.words}</em>{" "}
          {pass.scores.map((score, i) => (
            <span key={score.figureId}>
              {i > 0 ? " · " : ""}
              <Fig text={score.text} />
            </span>
          ))}{" "}
        </span>
      ))}
    </p>
  );
}

const safeMarks: Record<string, string> = { scant: "≤", full: "≥", exact: "=", either: "" };

function LedgerRow({
  row,
  converted,
  both,
  open,
  onOpen,
  unit,
}: {
  row: Row;
  converted: boolean;
  both: boolean;
  open: boolean;
  onOpen: (figure: string | null) => void;
  unit: string;
}) {
  const element = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (open) {
      // One that is higher than the list is shown from its top.
      const box = element.current;
      const tall = (box?.offsetHeight ?? 0) > (box?.closest(".ledger")?.clientHeight ?? 0) - 30;
      box?.scrollIntoView?.({ block: tall ? "start" : "nearest" });
    }
  }, [open]);
  const marked = row.mark === "v" ? "valley" : row.mark === "m" ? "mountain" : "";
  return (
    <div ref={element} className={`row-box ${open ? "open" : ""}`} data-figure={row.figureId}>
      <button
        type="button"
        className={`row ${marked} ${row.changed ? "changed" : ""}`}
        aria-expanded={open}
        onClick={() => onOpen(open ? null : row.figureId)}
      >
        <span className="label">
          {marked ? (
            <>
              <b className="letter" aria-hidden="true">
                {row.mark}
              </b>
              <span className="unseen">{row.label} </span>
              {row.detail}
            </>
          ) : (
            <>
              {row.label} <small>{row.detail}</small>
            </>
          )}
          {row.mark.startsWith("×") ? <small className="count"> {row.mark}</small> : null}
        </span>
        {converted ? <span className="num was">{row.was ? <Fig text={row.was.text} /> : "–"}</span> : null}
        <span className="num now">
          <Fig text={row.now.text} />
          <span className="safe" title={row.safe.text} aria-hidden="true">
            {safeMarks[row.safe.side]}
          </span>
        </span>
        {both ? (
          <span className="num also">
            <Fig text={row.now.also} />
          </span>
        ) : null}
        <span className={`set ${row.how}`}>
          <Sentence text={row.setting} />
        </span>
      </button>
      {open ? (
        <div className="reasons">
          <p className="said">
            <Sentence text={row.said} />
          </p>
          {row.because ? (
            <p className="because">
              Changed: <Sentence text={row.because} />
            </p>
          ) : null}
          <p>
            <Sentence text={row.safe.text} />
          </p>
          {row.ways.length > 0 ? (
            <p>
              It could also be set: <Sentence text={row.ways.join("; ")} />
            </p>
          ) : null}
        </div>
      ) : null}
      {open ? (
        <ol className="reasons" aria-label="How it came about">
          {row.reasons.map((reason) => (
            <li key={reason.why}>
              <Sentence text={reason.why} />
              {reason.moves ? (
                <span className="move">
                  {" "}
                  <Fig text={reason.from} /> → <Fig text={reason.to} />
                </span>
              ) : null}
            </li>
          ))}
          <li className="total">
            So: <Fig text={row.now.text} /> {unit}
            {row.now.also ? (
              <>
                {" "}
                (<Fig text={row.now.also} /> {unit === "in" ? "cm" : "in"})
              </>
            ) : null}
            .
          </li>
        </ol>
      ) : null}
    </div>
  );
}
