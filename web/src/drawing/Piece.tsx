import { memo } from "react";
import type { Schemas } from "../api/client";
import { SvgFig, SvgSentence, sentenceText } from "../components/Fig";
import d from "./drawing.module.css";
import { Flags } from "./Flags";
import { FreeScore } from "./FreeScore";
import { COLUMN, columnsOf, FLAG_GAP, flagsOf, LANE, onRule } from "./measure";
import { RuleDrawing } from "./Rule";

type PieceView = Schemas["PieceView"];
type Spot = Schemas["Spot"];

/** One piece at true relative scale, its creases, layers and glue, its flags, and the rule it lies against. */
export const Piece = memo(function Piece({
  piece,
  rule,
  x,
  y,
  scale,
  selected,
  onSelect,
}: {
  piece: PieceView;
  rule: Schemas["Rule"];
  x: number;
  y: number;
  scale: number;
  /** The figure that is looked at, where it is one of this piece's. */
  selected: string | null;
  onSelect: (figure: string) => void;
}) {
  const width = piece.width.units * scale;
  const height = piece.height.units * scale;
  const { placed, lanes } = flagsOf(piece, scale);
  const ruleTop = y + height + FLAG_GAP + lanes * LANE + 2;
  // The card's foot is drawn at the bottom; the core counts heights from the foot.
  const up = (from: number, size: number) => y + height - (from + size) * scale;
  const point = (p: Spot) => ({ x: x + p.x * scale, y: up(p.y, 0) });
  const path = (corners: Spot[]) =>
    corners
      .map(point)
      .map((p, i) => `${i === 0 ? "M" : "L"}${p.x} ${p.y}`)
      .join("");
  // Over a narrow piece its width stands after its name, not on it.
  const besideName = piece.name.length * 7.4 + 30 > width / 2;
  const columns = columnsOf(piece, scale);
  return (
    <g data-piece={piece.id}>
      <text x={x} y={y - 10} className={d.pieceName}>
        {piece.name}
      </text>
      <SvgFig
        figure={piece.width.text}
        x={besideName ? x + piece.name.length * 7.4 + 8 : x + width / 2}
        y={y - 10}
        className={d.size ?? ""}
        anchor={besideName ? "start" : "middle"}
      />
      <g transform={`translate(${x - 10} ${y + height / 2}) rotate(-90)`}>
        <SvgFig figure={piece.height.text} x={0} y={0} className={d.size ?? ""} anchor="middle" />
      </g>
      <rect x={x + 3} y={y + 4} width={width} height={height} className={d.cardShadow} />
      <rect x={x} y={y} width={width} height={height} className={d.card} />
      {piece.layers.map((layer) => (
        <path key={`${layer.id} ${layer.plate}`} d={`${path(layer.outline)}z`} className={d.layer} />
      ))}
      {piece.glue.map((glue) => (
        <path key={glue.id} d={`${path(glue.outline)}z`} className={d.glue} fill="url(#hatch)">
          <title>{`Bond: ${glue.linedUp}`}</title>
        </path>
      ))}
      {piece.cuts.map((cut) => (
        <path
          key={cut.id}
          d={`${path(cut.line)}${cut.closed ? "z" : ""}`}
          className={`${d.opening} ${d[cut.kind] ?? ""}`}
          data-opening={cut.id}
          data-kind={cut.kind}
        >
          <title>{`${cut.name}, ${sentenceText(cut.size)}`}</title>
        </path>
      ))}
      {piece.plates.map((plate) => (
        <PlateName key={plate.id} plate={plate} x={x} top={up(plate.nameIn.y, plate.nameIn.height)} scale={scale} />
      ))}
      <rect x={x} y={y} width={width} height={height} className={d.cut} data-part="cut" />
      {piece.scores
        .filter((score) => score.runs !== "upright")
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
      <Flags piece={piece} placed={placed} x={x} y={y} ruleTop={ruleTop} scale={scale} selected={selected} onSelect={onSelect} />
    </g>
  );
});

function PlateName({ plate, x, top, scale }: { plate: Schemas["PlateView"]; x: number; top: number; scale: number }) {
  const w = plate.nameIn.width * scale;
  const h = plate.nameIn.height * scale;
  const cx = x + (plate.nameIn.x + plate.nameIn.width / 2) * scale;
  const long = plate.name.length * 6.6 + 6;
  if (w >= long && h > 26) {
    return (
      <>
        <text x={cx} y={top + h / 2} textAnchor="middle" className={d.plateName}>
          {plate.name}
        </text>
        {plate.layerSize && w > sentenceText(plate.layerSize).length * 6.4 && h > 60 ? (
          <SvgSentence parts={plate.layerSize} x={cx} y={top + h / 2 + 17} className={d.layerText ?? ""} />
        ) : null}
      </>
    );
  }
  return h >= long && w > 16 ? (
    <text transform={`translate(${cx + 4} ${top + h / 2}) rotate(-90)`} textAnchor="middle" className={d.plateName}>
      {plate.name}
    </text>
  ) : null;
}
