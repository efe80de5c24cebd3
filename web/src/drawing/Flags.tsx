import type { Schemas } from "../api/client";
import { figureText, SvgFig, sentenceText } from "../components/Fig";
import d from "./drawing.module.css";
import type { PlacedFlag } from "./layout";
import { FLAG_GAP, flagWidth, LANE, lays, onRule } from "./measure";

/** The scores that the rule reads, each with its crease, its pole down to the rule and its flag. */
export function Flags({
  piece,
  placed,
  x,
  y,
  ruleTop,
  scale,
  selected,
  onSelect,
}: {
  piece: Schemas["PieceView"];
  placed: PlacedFlag[];
  x: number;
  y: number;
  ruleTop: number;
  scale: number;
  selected: string | null;
  onSelect: (figure: string) => void;
}) {
  const height = piece.height.units * scale;
  const up = (from: number) => y + height - from * scale;
  const poles = onRule(piece).map((score) => {
    const at = x + score.at.units * scale;
    return (
      <g key={score.figureId} className={d[score.direction]}>
        <line
          x1={at}
          x2={at}
          y1={y + height}
          y2={ruleTop + (lays[score.lay] ? 0 : 12)}
          className={d.pole}
          data-score={score.figureId}
          data-at={score.at.units}
        />
      </g>
    );
  });
  const flags = onRule(piece).map((score, i) => {
    const at = x + score.at.units * scale;
    const flag = placed[i];
    if (!flag) {
      return null;
    }
    const w = flagWidth(score);
    const top = y + height + FLAG_GAP + flag.lane * LANE;
    const left = flag.side === "right" ? at : at - w;
    const swallow = flag.side === "right" ? `M${at} ${top}h${w}l-6 10l6 10h${-w}z` : `M${at} ${top}h${-w}l6 10l-6 10h${w}z`;
    return (
      // biome-ignore lint/a11y/noStaticElementInteractions: a shortcut for the pointer; the keyboard opens the same figure in the list
      <g
        key={score.figureId}
        className={`${d.score} ${d[score.direction]} ${!score.working ? d.glued : ""} ${selected === score.figureId ? d.chosen : ""}`}
        onClick={() => onSelect(score.figureId)}
        data-part="score"
      >
        <title>{`${score.direction} at ${figureText(score.at.text)}, ${score.between}: ${sentenceText(score.words)}`}</title>
        {score.parts.map((part) => (
          <line
            key={part.from.y}
            x1={at}
            x2={at}
            y1={up(part.to.y) - (part.to.y === piece.height.units ? 4 : 0)}
            y2={up(part.from.y)}
            className={d.crease}
            data-part="crease"
          />
        ))}
        <path
          d={swallow}
          className={`${d.flag} ${score.how === "direct" || score.how === "turned" ? "" : d[score.how]}`}
          data-part="flag"
        />
        {lays[score.lay] ? (
          <text x={left + (flag.side === "right" ? 7 : 12)} y={top + 14.5} className={d.flagText}>
            {lays[score.lay]}
          </text>
        ) : null}
        <SvgFig
          figure={score.label}
          x={left + (flag.side === "right" ? 7 : 12) + (lays[score.lay] ? 16 : 0)}
          y={top + 15}
          className={d.flagText ?? ""}
        />
        <text
          x={left + w - (flag.side === "right" ? 10 : 5)}
          y={top + 14.5}
          className={`${d.flagText} ${d.letter}`}
          textAnchor="end"
        >
          {score.direction === "valley" ? "v" : "m"}
        </text>
      </g>
    );
  });
  // All poles first: none runs over another's flag.
  return (
    <>
      {poles}
      {flags}
    </>
  );
}
