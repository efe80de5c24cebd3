import type { Parts, Schemas } from "../../api/client";
import { Sentence, SvgSentence, sentenceText } from "../../components/Fig";
import s from "./Cut.module.css";

type SheetView = Schemas["CutSheetView"];
type Box = Schemas["BoxView"];

/** About as wide as a letter of the labels is. */
const LETTER = 6.4;
const LINE = 14;

/** One of the sheets that are cut alike, as it lies at the trimmer: pieces, cuts in their order, and what is left. */
export function SheetDrawing({
  id,
  sheet,
  colour,
  scale,
  lit,
  onLit,
}: {
  id: string;
  sheet: SheetView;
  colour: string;
  scale: number;
  /** The step that is pointed at. */
  lit: string | null;
  onLit: (lit: string | null) => void;
}) {
  const [width, height] = [sheet.width * scale, sheet.height * scale];
  const place = (box: Box) => ({
    x: box.x * scale,
    y: (sheet.height - box.y - box.height) * scale,
    width: box.width * scale,
    height: box.height * scale,
  });
  const named = new Set<string>();
  return (
    <figure className={s.sheet} data-part="cut-sheet">
      <figcaption>
        <b>{sheet.heading}</b>
        <span>
          <Sentence parts={sheet.detail} />
        </span>
      </figcaption>
      <svg
        width={width + 30}
        height={height + 26}
        viewBox={`-14 -14 ${width + 30} ${height + 26}`}
        role="img"
        aria-label={`${sheet.heading}: ${sentenceText(sheet.detail)}`}
      >
        <rect width={width} height={height} className={s.whole} />
        {sheet.left.map((left) => {
          const at = place(left.box);
          return (
            <g key={`${left.box.x}.${left.box.y}`}>
              <rect {...at} className={left.keep ? s.keep : s.waste} />
              {left.keep ? <Label at={at} lines={[[{ text: "keep " } as Parts[number], ...left.size], left.size]} /> : null}
            </g>
          );
        })}
        {sheet.parts.map((part) => {
          const at = place(part.box);
          const key = `${part.name} ${sentenceText(part.size)}`;
          const first = !named.has(key);
          named.add(key);
          return (
            <g key={`${part.box.x}.${part.box.y}`}>
              <rect {...at} className={s.part} fill={colour} />
              {first ? (
                <Label
                  at={at}
                  lines={part.name ? [[{ text: part.name } as Parts[number]], part.size] : [part.size]}
                  both
                  quiet={!part.name}
                />
              ) : (
                <Label at={at} lines={[part.size]} quiet />
              )}
              {sheet.wayUp ? <path d={`M${at.x + at.width - 9} ${at.y + 15}v-9m-3 3l3-3l3 3`} className={s.up} /> : null}
            </g>
          );
        })}
        {sheet.lines.map(({ line, step, first }) => {
          const [x1, y1, x2, y2] = [
            line.from.x * scale,
            (sheet.height - line.from.y) * scale,
            line.to.x * scale,
            (sheet.height - line.to.y) * scale,
          ];
          const mine = lit === `${id}.${step}`;
          return (
            <g key={`${line.from.x}.${line.from.y}.${line.to.x}`} data-lit={mine ? "" : undefined} className={s.cut}>
              <line x1={x1} y1={y1} x2={x2} y2={y2} />
              {first ? (
                <>
                  <circle
                    cx={x1}
                    cy={Math.min(y1, y2)}
                    r={9.5}
                    onPointerEnter={() => onLit(`${id}.${step}`)}
                    onPointerLeave={() => onLit(null)}
                  />
                  <text x={x1} y={Math.min(y1, y2) + 4} textAnchor="middle">
                    {step}
                  </text>
                </>
              ) : null}
            </g>
          );
        })}
      </svg>
      <p className={s.note} style={{ maxWidth: Math.max(width, 220) }}>
        <Sentence parts={sheet.pieces} />
      </p>
      {sheet.note ? <p className={s.note}>{sheet.note}</p> : null}
    </figure>
  );
}

/** What fits of some lines: all of them, the last one, that one on its side, or nothing. */
function Label({
  at,
  lines,
  both = false,
  quiet = false,
}: {
  at: { x: number; y: number; width: number; height: number };
  lines: Parts[];
  both?: boolean;
  quiet?: boolean;
}) {
  const wide = (line: Parts) => sentenceText(line).length * LETTER + 8;
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
  const name = quiet ? (s.quiet ?? "") : (s.label ?? "");
  if (both && lines.every((l) => wide(l) <= at.width) && at.height >= LINE * 2 + 6) {
    return lines.map((line, i) => (
      <SvgSentence
        key={sentenceText(line)}
        parts={line}
        x={x}
        y={y - 3 + i * LINE}
        className={i === 0 ? name : (s.quiet ?? "")}
      />
    ));
  }
  const fits = lines.filter((l) => wide(l) <= at.width && at.height >= LINE + 2);
  const one = both ? fits.at(-1) : fits[0];
  if (one) {
    return <SvgSentence parts={one} x={x} y={y + 4} className={name} />;
  }
  const tall = lines.filter((l) => wide(l) <= at.height && at.width >= LINE + 2);
  const turned = both ? tall.at(-1) : tall[0];
  return turned ? (
    <g transform={`rotate(-90 ${x} ${y})`}>
      <SvgSentence parts={turned} x={x} y={y + 4} className={name} />
    </g>
  ) : null;
}
