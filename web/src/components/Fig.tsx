import type { FigureText, Parts } from "../api/client";
import s from "./Fig.module.css";

/** A figure in one line, for labels that are read out. */
export const figureText = (figure: FigureText) => {
  const plain = [
    figure.whole,
    figure.numerator == null ? "" : `${figure.numerator}/${figure.denominator}`,
    figure.unit ?? "",
    figure.word ?? "",
  ]
    .filter(Boolean)
    .join(" ");
  return figure.aside ? `(${plain})` : plain;
};

/** A sentence in one line. */
export const sentenceText = (parts: Parts) => parts.map((p) => p.text ?? (p.figure ? figureText(p.figure) : "")).join("");

/** A figure with a true fraction; a screen reader hears it with a space, as it is written. */
export function Fig({ figure, className }: { figure: FigureText; className?: string }) {
  const { whole, numerator, denominator, unit, word, aside } = figure;
  return (
    <span className={`${s.fig} ${className ?? ""}`} data-fig="">
      {aside ? "(" : null}
      {whole}
      {whole && numerator != null ? <span className={s.gap}> </span> : null}
      {numerator != null ? (
        <span className={s.frac} data-frac="">
          {numerator}/{denominator}
        </span>
      ) : null}
      {unit ? ` ${unit}` : null}
      {word ? <span className={s.word}> {word}</span> : null}
      {aside ? ")" : null}
    </span>
  );
}

/** Running text with its figures set as figures. */
export function Sentence({ parts }: { parts: Parts }) {
  return parts.map(
    (part, i) =>
      // biome-ignore-start lint/suspicious/noArrayIndexKey: parts of one fixed sentence
      part.figure ? <Fig key={i} figure={part.figure} /> : <span key={i}>{part.text}</span>,
    // biome-ignore-end lint/suspicious/noArrayIndexKey: parts of one fixed sentence
  );
}

/** The same inside a drawing. */
export function SvgFig({
  figure,
  x,
  y,
  className,
  anchor = "start",
  after,
}: {
  figure: FigureText;
  x: number;
  y: number;
  className: string;
  anchor?: "start" | "middle" | "end";
  /** What stands behind it. */
  after?: string;
}) {
  return (
    <text x={x} y={y} className={className} textAnchor={anchor}>
      {figure.whole}
      {figure.numerator != null ? (
        <tspan className={s.frac} dx={figure.whole ? 2 : 0}>
          {figure.numerator}/{figure.denominator}
        </tspan>
      ) : null}
      {figure.word ? (
        <tspan className={s.word} dx={4}>
          {figure.word}
        </tspan>
      ) : null}
      {after ? <tspan dx={3}>{after}</tspan> : null}
    </text>
  );
}

/** A sentence inside a drawing. */
export function SvgSentence({ parts, x, y, className }: { parts: Parts; x: number; y: number; className: string }) {
  return (
    <text x={x} y={y} textAnchor="middle" className={className}>
      {parts.map(
        (part, i) =>
          // biome-ignore-start lint/suspicious/noArrayIndexKey: parts of one fixed sentence
          part.figure ? (
            <tspan key={i}>
              {part.figure.whole}
              {part.figure.numerator != null ? (
                <tspan className={s.frac} dx={part.figure.whole ? 1.5 : 0}>
                  {part.figure.numerator}/{part.figure.denominator}
                </tspan>
              ) : null}
              {part.figure.word ? ` ${part.figure.word}` : null}
            </tspan>
          ) : (
            <tspan key={i}>{part.text}</tspan>
          ),
        // biome-ignore-end lint/suspicious/noArrayIndexKey: parts of one fixed sentence
      )}
    </text>
  );
}
