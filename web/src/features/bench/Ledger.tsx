import { useQuery } from "@tanstack/react-query";
import { memo, useEffect, useMemo, useRef } from "react";
import type { BenchView, Desk, Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Fig, figureText, Sentence, sentenceText } from "../../components/Fig";
import { Explained } from "./Explained";
import s from "./Ledger.module.css";

type Row = Schemas["LedgerRow"];
type Safe = Schemas["SafeView"];

/** Every figure, was → now, how it is set; a row opens to its reasons. */
export function Ledger({
  view,
  desk,
  both,
  open,
  onOpen,
}: {
  view: BenchView;
  desk: Desk | undefined;
  both: boolean;
  open: string | null;
  onOpen: (figure: string | null) => void;
}) {
  const safe = useQuery(queries.safe(view.stuck ? undefined : desk));
  const sides = useMemo(() => new Map((safe.data ?? []).map((side) => [side.figureId, side])), [safe.data]);
  const converted = !view.target.atHome || view.compared !== null;
  return (
    <section className={s.ledger} data-part="ledger" aria-label="Figures">
      <div className={s.head} aria-hidden="true" data-part="ledger-head">
        <span>{view.unit === "in" ? "inches" : view.unit}</span>
        {converted ? <span className={s.num}>{view.compared ? "before" : "was"}</span> : null}
        <span className={`${s.num} ${s.now}`}>{converted ? "now" : ""}</span>
        {both ? <span className={`${s.num} ${s.also}`}>{view.unit === "in" ? "cm" : "in"}</span> : null}
        <span>set</span>
      </div>
      {view.ledger.map((section) => (
        <div key={section.id} className={s.section}>
          <h2>
            {section.title} <small>{section.detail}</small>
          </h2>
          {section.rows.map((row) => (
            <LedgerRow
              key={row.figureId}
              row={row}
              desk={open === row.figureId ? desk : undefined}
              safe={sides.get(row.figureId)}
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

/** In which order the scores of a piece are set where it is turned between them; as it lies they are set as they stand. */
function Order({ piece }: { piece: Schemas["PieceView"] | undefined }) {
  if (!piece || piece.order.length < 2) {
    return null;
  }
  return (
    <p className={s.order} data-part="order">
      <b>Set in this order</b>{" "}
      {piece.order.map((pass, n) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: passes in a fixed order; the piece may lie the same way in two of them
        <span key={n}>
          <em>{pass.words}</em>{" "}
          {pass.scores.map((score, i) => (
            <span key={score.figureId}>
              {i > 0 ? " · " : ""}
              <Sentence parts={score.text} />
            </span>
          ))}{" "}
        </span>
      ))}
    </p>
  );
}

const safeMarks: Record<string, string> = { scant: "≤", full: "≥", exact: "=", either: "" };

const LedgerRow = memo(function LedgerRow({
  row,
  desk,
  safe,
  converted,
  both,
  open,
  onOpen,
  unit,
}: {
  row: Row;
  /** Where the row is open: what its reasons are asked of. */
  desk: Desk | undefined;
  safe: Safe | undefined;
  converted: boolean;
  both: boolean;
  open: boolean;
  onOpen: (figure: string | null) => void;
  unit: string;
}) {
  const element = useRef<HTMLDivElement>(null);
  const set = sentenceText(row.setting);
  const marked = row.mark === "v" ? "valley" : row.mark === "m" ? "mountain" : "";
  const long = `${marked ? "v" : row.label} ${row.detail}`.length > 26 - (converted ? 8 : 0) - (both ? 8 : 0);
  useEffect(() => {
    if (open) {
      element.current?.scrollIntoView?.({ block: "nearest" });
    }
  }, [open]);
  return (
    <div ref={element} className={`${s.box} ${open ? s.open : ""}`} data-figure={row.figureId}>
      <button
        type="button"
        className={`${s.row} ${s[marked] ?? ""}`}
        data-focus="inside"
        aria-expanded={open}
        onClick={() => onOpen(open ? null : row.figureId)}
      >
        <span className={`${s.label} ${long ? s.tight : ""}`} data-part="label">
          {marked ? (
            <>
              <b className={s.letter} aria-hidden="true">
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
          {row.mark.startsWith("×") ? <small> {row.mark}</small> : null}
        </span>
        {converted ? (
          <span className={`${s.num} ${s.was}`} data-part="was">
            {row.was ? <Fig figure={row.was.text} /> : "–"}
          </span>
        ) : null}
        <span className={`${s.num} ${s.now}`} data-part="now">
          <Fig figure={row.now.text} />
          <span className={s.safe} title={safe ? sentenceText(safe.text) : undefined} aria-hidden="true">
            {safe ? safeMarks[safe.side] : ""}
          </span>
        </span>
        {both ? <span className={`${s.num} ${s.also}`}>{row.also ? <Fig figure={row.also} /> : "–"}</span> : null}
        <span className={`${s.set} ${set.length > 14 ? s.tight : ""}`} title={set} data-part="set">
          <Sentence parts={row.setting} />
        </span>
      </button>
      {open ? <Explained desk={desk} row={row} safe={safe} unit={unit} said={figureText(row.now.text)} /> : null}
    </div>
  );
});
