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
  const converted = !view.atHome;
  return (
    <section className="ledger" aria-label="Figures">
      <div className="ledger-head" aria-hidden="true">
        <span>{view.unit === "in" ? "inches" : view.unit}</span>
        {converted ? <span className="num">was</span> : null}
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
        </div>
      ))}
    </section>
  );
}

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
      element.current?.scrollIntoView?.({ block: "nearest" });
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
        <ol className="reasons">
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
