import type { Parts } from "../../api/client";
import { Sentence, sentenceText } from "../../components/Fig";
import s from "./Show.module.css";

/** How wide a figure will be, in ems of its own size: fractions are set narrow, words small. */
export const ems = (parts: Parts) =>
  parts.reduce(
    (sum, p) =>
      sum +
      (p.figure
        ? p.figure.whole.length * 0.62 + (p.figure.numerator != null ? 1.05 : 0) + (p.figure.word ? 1 : 0)
        : (p.text ?? "").length * 0.42),
    0,
  );

/** What the unit behind it takes. */
export const UNIT = 0.9;

/** A sentence with two figures and a sign between, in its two lines. */
export function lines(parts: Parts): Parts[] {
  const at = parts.findIndex((p) => (p.text ?? "").includes("×"));
  return at > 0 ? [parts.slice(0, at), [{ text: "× " }, ...parts.slice(at + 1)]] : [parts];
}

/** The figure that the back of the room reads. It never wraps: it is set in the width that is there, never under its least size. */
export function Big({ parts, unit, narrow }: { parts: Parts; unit: string; narrow?: boolean }) {
  const rows = narrow ? lines(parts) : [parts];
  const wide = Math.max(...rows.map(ems)) + UNIT;
  return (
    <p className={s.big} style={{ "--ems": wide } as React.CSSProperties} data-part="big">
      {rows.map((row, i) => (
        <span key={sentenceText(row)}>
          <Sentence parts={row} />
          {i === rows.length - 1 ? <small> {unit}</small> : null}
        </span>
      ))}
    </p>
  );
}

/** The same figure on the guest's tools; one that says its unit needs it no second time. */
export function Second({ parts, unit }: { parts: Parts; unit: string }) {
  return parts.length === 0 ? null : (
    <p className={s.second}>
      <Sentence parts={parts} /> {parts.some((p) => p.figure?.unit) ? null : <small>{unit}</small>}
    </p>
  );
}
