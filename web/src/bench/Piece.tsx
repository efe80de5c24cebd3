import type { Schemas } from "../api/client";
import { figureParts } from "../components/Fig";
import { type Flag, flagLanes, type PlacedFlag } from "./layout";

type PieceView = Schemas["PieceView"];
type RuleView = Schemas["Rule"];

export const LANE = 25;
const RULE_HEIGHT = 34;
const FLAG_GAP = 6;

/** How the piece lies for a score, beside its figure on the flag. */
const lays: Record<string, string> = { turnedRound: "↻", turnedOver: "⇄", headOverHeels: "⇅" };

const flagWidth = (score: Schemas["ScoreView"]) => {
  const { whole, fraction, word } = figureParts(score.label);
  return (
    30 +
    whole.length * 9 +
    (fraction ? fraction.length * 6.2 + 2 : 0) +
    (word ? word.length * 6 + 4 : 0) +
    (lays[score.lay] ? 16 : 0)
  );
};

/** A figure beside the piece is about this wide. */
export const COLUMN = 60;

/** Figures beside a piece stand in columns where their lines are too near each other for one. */
export function columnsOf(piece: PieceView, scale: number): Map<string, number> {
  const level = piece.scores.filter((s) => s.runs === "level").sort((a, b) => a.at.units - b.at.units);
  const columns = new Map<string, number>();
  const last: number[] = [];
  for (const score of level) {
    const at = score.at.units * scale;
    const free = last.findIndex((l) => at - l >= 17);
    const column = free >= 0 ? free : last.length;
    last[column] = at;
    columns.set(score.figureId, column);
  }
  return columns;
}

/** What stands over a piece needs this much room, whatever the piece's own width. */
export const titleWidth = (piece: PieceView) => piece.name.length * 7.4 + 12 + piece.width.text.length * 9;

/** Room that a piece needs on its right for figures and for its name. */
export const roomRight = (piece: PieceView, scale: number) => {
  const columns = [...columnsOf(piece, scale).values()];
  const beside = columns.length > 0 ? 12 + (Math.max(...columns) + 1) * COLUMN : 12;
  return Math.max(beside, titleWidth(piece) - piece.width.units * scale);
};

/** The scores that the rule under the piece reads; the others have theirs beside the piece, or ticks. */
export const onRule = (piece: PieceView) => piece.scores.filter((s) => s.runs === "upright");

/** Where each flag of a piece hangs at a scale, and how many lanes that takes. */
export function flagsOf(piece: PieceView, scale: number): { placed: PlacedFlag[]; lanes: number } {
  const flags: Flag[] = onRule(piece).map((s) => ({ at: s.at.units * scale, width: flagWidth(s) }));
  const placed = flagLanes(flags, piece.width.units * scale + 40);
  return { placed, lanes: placed.reduce((most, f) => Math.max(most, f.lane + 1), 0) };
}

/** Room that a piece needs under itself for flags and rule. */
export const roomBelow = (lanes: number) => (lanes > 0 ? FLAG_GAP + lanes * LANE + RULE_HEIGHT + 8 : 26);

function SvgFig({
  text,
  x,
  y,
  className,
  anchor = "start",
}: {
  text: string;
  x: number;
  y: number;
  className: string;
  anchor?: "start" | "middle" | "end";
}) {
  const { whole, fraction, word } = figureParts(text);
  return (
    <text x={x} y={y} className={className} textAnchor={anchor}>
      {whole}
      {fraction ? (
        <tspan className="frac" dx={whole ? 2 : 0}>
          {fraction}
        </tspan>
      ) : null}
      {word ? (
        <tspan className="word" dx={4}>
          {word}
        </tspan>
      ) : null}
    </text>
  );
}

/** One piece at true relative scale, its creases, layers and glue, its flags, and the rule it lies against. */
export function Piece({
  piece,
  rule,
  x,
  y,
  scale,
  selected,
  onSelect,
}: {
  piece: PieceView;
  rule: RuleView;
  x: number;
  y: number;
  scale: number;
  selected: string | null;
  onSelect: (figure: string) => void;
}) {
  const width = piece.width.units * scale;
  const height = piece.height.units * scale;
  const { placed, lanes } = flagsOf(piece, scale);
  const ruleTop = y + height + FLAG_GAP + lanes * LANE + 2;
  // The card's foot is drawn at the bottom; the core counts heights from the foot.
  const up = (from: number, size: number) => y + height - (from + size) * scale;
  const point = (p: Schemas["Spot"]) => ({ x: x + p.x * scale, y: up(p.y, 0) });
  const path = (corners: Schemas["Spot"][]) =>
    corners
      .map(point)
      .map((p, i) => `${i === 0 ? "M" : "L"}${p.x} ${p.y}`)
      .join("");
  // Over a narrow piece its width stands after its name, not on it.
  const besideName = piece.name.length * 7.4 + 30 > width / 2;
  const columns = columnsOf(piece, scale);
  return (
    <g data-piece={piece.id}>
      <text x={x} y={y - 10} className="piece-name">
        {piece.name}
      </text>
      <SvgFig
        text={piece.width.text}
        x={besideName ? x + piece.name.length * 7.4 + 8 : x + width / 2}
        y={y - 10}
        className="size"
        anchor={besideName ? "start" : "middle"}
      />
      <g transform={`translate(${x - 10} ${y + height / 2}) rotate(-90)`}>
        <SvgFig text={piece.height.text} x={0} y={0} className="size" anchor="middle" />
      </g>
      <rect x={x + 3} y={y + 4} width={width} height={height} className="card-shadow" />
      <rect x={x} y={y} width={width} height={height} className="card" />
      {piece.panels.map((panel) => (
        <g key={panel.id}>
          {panel.layers.map((layer) => (
            <rect
              key={layer.id}
              x={x + layer.x * scale}
              y={up(layer.y, layer.height)}
              width={layer.width * scale}
              height={layer.height * scale}
              className="layer"
            />
          ))}
        </g>
      ))}
      {piece.glue.map((glue) => (
        <path key={glue.id} d={`${path(glue.corners)}z`} className="glue" fill="url(#hatch)">
          <title>{glue.linedUp}</title>
        </path>
      ))}
      {piece.openings.map((opening) => (
        <path
          key={opening.id}
          d={`${path(opening.corners)}${opening.isClosed ? "z" : ""}`}
          className={`opening ${opening.kind}`}
          data-opening={opening.id}
        >
          <title>{`${opening.name}, ${opening.text}`}</title>
        </path>
      ))}
      {piece.panels.map((panel) => (
        <PanelName key={panel.id} panel={panel} x={x} y={up(panel.y, panel.height)} scale={scale} />
      ))}
      <rect x={x} y={y} width={width} height={height} className="cut" />
      {piece.scores
        .filter((s) => s.runs !== "upright")
        .map((score) => (
          <FreeScore
            key={score.figureId}
            score={score}
            point={point}
            edge={x + width + (columns.get(score.figureId) ?? 0) * COLUMN}
            chosen={selected === score.figureId}
            onSelect={onSelect}
          />
        ))}
      {onRule(piece).length > 0 ? <RuleDrawing rule={rule} x={x} y={ruleTop} scale={scale} length={piece.width.units} /> : null}
      {onRule(piece).map((score, i) => {
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
            className={`score ${score.direction} ${score.kind} ${selected === score.figureId ? "chosen" : ""}`}
            onClick={() => onSelect(score.figureId)}
          >
            <title>{`${score.direction} at ${score.at.text}, ${score.between}: ${score.words}`}</title>
            {score.parts.map((part) => (
              <line
                key={part.from.y}
                x1={at}
                x2={at}
                y1={up(part.to.y, 0) - (part.to.y === piece.height.units ? 4 : 0)}
                y2={up(part.from.y, 0)}
                className="crease"
              />
            ))}
            <line
              x1={at}
              x2={at}
              y1={y + height}
              y2={ruleTop + (lays[score.lay] ? 0 : 12)}
              className="pole"
              data-score={score.figureId}
              data-at={score.at.units}
            />
            <path d={swallow} className={`flag ${score.how}`} />
            {lays[score.lay] ? (
              <text x={left + (flag.side === "right" ? 7 : 12)} y={top + 14.5} className="flag-text turn">
                {lays[score.lay]}
              </text>
            ) : null}
            <SvgFig
              text={score.label}
              x={left + (flag.side === "right" ? 7 : 12) + (lays[score.lay] ? 16 : 0)}
              y={top + 15}
              className="flag-text"
            />
            <text x={left + w - (flag.side === "right" ? 10 : 5)} y={top + 14.5} className="flag-text letter" textAnchor="end">
              {score.direction === "valley" ? "v" : "m"}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** A score that runs along the rule has its figure beside the piece, with how the piece lies for it; one that slants, ticks at its ends. */
function FreeScore({
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
      className={`score ${score.direction} ${score.kind} ${chosen ? "chosen" : ""}`}
      onClick={() => onSelect(score.figureId)}
      data-score={score.figureId}
    >
      <title>{`${score.direction} at ${score.at.text}, ${score.between}: ${score.words}`}</title>
      {ends.map(([from, to]) => (
        <line key={`${from.x} ${from.y}`} x1={from.x} y1={from.y} x2={to.x} y2={to.y} className="crease" />
      ))}
      {score.runs === "slanting"
        ? ends.flat().map((end) => <circle key={`${end.x} ${end.y}`} cx={end.x} cy={end.y} r={3} className="score-tick" />)
        : null}
      {score.runs === "level" ? (
        <>
          {lays[score.lay] ? (
            <text x={edge + 6} y={last.y + 5} className="free-figure">
              {lays[score.lay]}
            </text>
          ) : null}
          <SvgFig
            text={`${score.label} ${score.direction === "valley" ? "v" : "m"}`}
            x={edge + (lays[score.lay] ? 21 : 6)}
            y={last.y + 5}
            className="free-figure"
          />
        </>
      ) : null}
    </g>
  );
}

function PanelName({ panel, x, y, scale }: { panel: Schemas["PanelView"]; x: number; y: number; scale: number }) {
  const w = panel.width * scale;
  const h = panel.height * scale;
  const cx = x + (panel.x + panel.width / 2) * scale;
  const long = panel.name.length * 6.6 + 6;
  const layer = panel.layers[0];
  if (w >= long && h > 26) {
    return (
      <>
        <text x={cx} y={y + h / 2} textAnchor="middle" className="panel-name">
          {panel.name}
        </text>
        {layer && w > layer.text.length * 6.4 && h > 60 ? (
          <text x={cx} y={y + h / 2 + 17} textAnchor="middle" className="layer-text">
            {layer.text
              .replace(/(\d) (?=\d+\/)/g, "$1\u2009")
              .split(/(\d+\/\d+)/)
              .map((part, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: parts of one fixed text
                <tspan key={i} className={/\d\/\d/.test(part) ? "frac" : undefined}>
                  {part}
                </tspan>
              ))}
          </text>
        ) : null}
      </>
    );
  }
  return h >= long && w > 12 ? (
    <text transform={`translate(${cx + 4} ${y + h / 2}) rotate(-90)`} textAnchor="middle" className="panel-name">
      {panel.name}
    </text>
  ) : null;
}

/** The user's own board as a rule: its grooves where they are, figures where a person reads them. */
export function RuleDrawing({
  rule,
  x,
  y,
  scale,
  length,
}: {
  rule: RuleView;
  x: number;
  y: number;
  scale: number;
  length: number;
}) {
  const shown = rule.ticks.filter((t) => t.at <= length);
  const end = Math.min(length, rule.end) * scale;
  const two = rule.ticks.some((t) => t.comb > 0);
  // Grooves nearer than three pixels would run into a grey band; the whole ones always show.
  const near = (size: string, comb: number) => {
    const same = rule.ticks.filter((t) => t.comb === comb);
    const step = (same[1]?.at ?? 1) - (same[0]?.at ?? 0);
    return size === "groove" && step * scale < 3;
  };
  // Every whole mark carries its figure where there is room, otherwise every second, fifth or tenth.
  const every = (comb: number) => {
    const wholes = rule.ticks.filter((t) => t.comb === comb && t.size === "whole");
    const step = ((wholes[1]?.at ?? 0) - (wholes[0]?.at ?? 0)) * scale;
    return [1, 2, 5, 10].find((n) => n * step >= 19) ?? 10;
  };
  return (
    <g className="rule" data-rule-x={x}>
      <rect x={x - 8} y={y} width={end + 16} height={RULE_HEIGHT} rx={3} className="rule-body" />
      {shown.map((tick) => {
        if (near(tick.size, tick.comb)) {
          return null;
        }
        const at = x + tick.at * scale;
        const tall = tick.size === "whole" ? 13 : tick.size === "half" ? 10 : 7;
        const [from, to] = tick.comb === 0 ? [y, y + tall] : [y + RULE_HEIGHT, y + RULE_HEIGHT - tall];
        return (
          <line
            key={`${tick.comb}-${tick.at}`}
            x1={at}
            x2={at}
            y1={from}
            y2={to}
            className={`tick ${tick.size}`}
            data-groove={tick.at}
            data-comb={tick.comb}
          />
        );
      })}
      {shown
        .filter((t) => t.label !== "" && t.at > 0 && Number(t.label) % every(t.comb) === 0)
        .map((tick) => (
          <text
            key={`l${tick.comb}-${tick.at}`}
            x={x + tick.at * scale}
            y={two ? (tick.comb === 0 ? y + 16.5 : y + RULE_HEIGHT - 8.5) : y + 26.5}
            textAnchor="middle"
            className="rule-text"
          >
            {tick.label}
          </text>
        ))}
    </g>
  );
}
