import type { Schemas } from "../api/client";
import { figureText, SvgFig, sentenceText } from "../components/Fig";
import d from "./drawing.module.css";
import { lays } from "./measure";

/** A score that runs along the rule has its figure beside the piece, with how the piece lies for it; one that slants, ticks at its ends. */
export function FreeScore({
  score,
  point,
  edge,
  chosen,
  onSelect,
}: {
  score: Schemas["ScoreView"];
  point: (p: Schemas["Spot"]) => { x: number; y: number };
  /** The piece's right edge, beside which the figure stands. */
  edge: number;
  chosen: boolean;
  onSelect: (figure: string) => void;
}) {
  const ends = score.parts.map((p) => [point(p.from), point(p.to)] as const);
  const last = ends.at(-1)?.[1] ?? { x: 0, y: 0 };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: a shortcut for the pointer; the keyboard opens the same figure in the list
    <g
      className={`${d.score} ${d[score.direction]} ${!score.working ? d.glued : ""} ${chosen ? d.chosen : ""}`}
      onClick={() => onSelect(score.figureId)}
      data-part="score"
      data-score={score.figureId}
    >
      <title>{`${score.direction} at ${figureText(score.at.text)}, ${score.between}: ${sentenceText(score.words)}`}</title>
      {ends.map(([from, to]) => (
        <line key={`${from.x} ${from.y}`} x1={from.x} y1={from.y} x2={to.x} y2={to.y} className={d.crease} data-part="crease" />
      ))}
      {score.runs === "slanting"
        ? ends.flat().map((end) => <circle key={`${end.x} ${end.y}`} cx={end.x} cy={end.y} r={3} className={d.scoreTick} />)
        : null}
      {score.runs === "level" ? (
        <>
          {lays[score.lay] ? (
            <text x={edge + 6} y={last.y + 5} className={d.freeFigure} data-part="free-figure">
              {lays[score.lay]}
            </text>
          ) : null}
          <g data-part="free-figure">
            <SvgFig
              figure={score.label}
              x={edge + (lays[score.lay] ? 21 : 6)}
              y={last.y + 5}
              className={d.freeFigure ?? ""}
              after={score.direction === "valley" ? "v" : "m"}
            />
          </g>
        </>
      ) : null}
    </g>
  );
}
