import { useElementSize } from "@mantine/hooks";
import { useMemo } from "react";
import type { BenchView } from "../api/client";
import { figureText } from "../components/Fig";
import { ClosedDrawing, type ClosedView, closedSize } from "./Closed";
import d from "./drawing.module.css";
import { type Item, layOut } from "./layout";
import { flagsOf, onItsSide, roomBelow, roomRight } from "./measure";
import { Piece } from "./Piece";

/** The closed card is drawn at half the scale of the pieces: they are what one works on. */
const INSET = 0.5;

/** The table: every piece and the closed card at one scale. */
export function Table({
  view,
  selected,
  onSelect,
}: {
  view: BenchView;
  selected: string | null;
  onSelect: (figure: string) => void;
}) {
  const { ref, width, height } = useElementSize();
  return (
    <div className={d.table} ref={ref}>
      {width > 0 && height > 0 && view.pieces.length > 0 ? (
        <Drawing view={view} width={width} height={height} selected={selected} onSelect={onSelect} />
      ) : null}
    </div>
  );
}

/** What is written under the closed card is at least so wide, however small it is drawn. */
function beside(closed: ClosedView, scale: number) {
  const width = Math.max(closed.envelope?.width ?? 0, closed.width.units) * INSET * scale;
  const side = Math.max(8, (130 - width) / 2);
  return { left: side, right: side };
}

/** Where everything lies, for the space there is. */
function places(pieces: BenchView["pieces"], closed: ClosedView | null, width: number, height: number) {
  const items = (scale: number): Item[] => [
    ...pieces.map((p) => ({
      id: p.id,
      width: p.width.units,
      height: p.height.units,
      above: 26,
      below: roomBelow(flagsOf(p, scale).lanes),
      left: 26,
      right: roomRight(p, scale),
      mayTurn: p.scores.length === 0,
    })),
    ...(closed
      ? [
          {
            id: "closed",
            width: Math.max(closed.envelope?.width ?? 0, closed.width.units) * INSET,
            height: Math.max(closed.envelope?.height ?? 0, closed.height.units) * INSET,
            above: 26,
            below: 40,
            ...beside(closed, scale),
          },
        ]
      : []),
  ];
  const placed = layOut(items, width - 20, height - 16);
  return {
    at: new Map(placed.map((p) => [p.id, { x: p.x + 10, y: p.y + 8 }])),
    laid: pieces.map((p) => (placed.find((q) => q.id === p.id)?.turned ? onItsSide(p) : p)),
    scale: placed[0]?.scale ?? 0.01,
  };
}

function Drawing({
  view,
  width,
  height,
  selected,
  onSelect,
}: {
  view: BenchView;
  width: number;
  height: number;
  selected: string | null;
  onSelect: (figure: string) => void;
}) {
  const { pieces, closed, rule } = view;
  const { at, laid, scale } = useMemo(() => places(pieces, closed, width, height), [pieces, closed, width, height]);
  const closedAt = at.get("closed");
  const read = pieces.map((p) => `${p.name} ${figureText(p.width.text)} by ${figureText(p.height.text)}`).join(", ");
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${view.construction} for ${view.target.name}: ${read}. All figures are in the list of figures.`}
    >
      <defs>
        <pattern id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" className={d.hatch} />
        </pattern>
      </defs>
      {laid.map((piece) => {
        const place = at.get(piece.id);
        return place ? (
          <Piece
            key={piece.id}
            piece={piece}
            rule={rule}
            x={place.x}
            y={place.y}
            scale={scale}
            selected={selected !== null && piece.scores.some((s) => s.figureId === selected) ? selected : null}
            onSelect={onSelect}
          />
        ) : null;
      })}
      {closed && closedAt ? <Closed closed={closed} x={closedAt.x} y={closedAt.y} scale={scale * INSET} /> : null}
    </svg>
  );
}

/** The finished card inside the envelope it goes into. */
function Closed({ closed, x, y, scale }: { closed: ClosedView; x: number; y: number; scale: number }) {
  const { width, height } = closedSize(closed, scale);
  return (
    <g data-piece="closed">
      <text x={x} y={y - 10} className={d.pieceName}>
        Closed
      </text>
      <ClosedDrawing closed={closed} x={x} y={y} scale={scale} />
      <text x={x + width / 2} y={y + height + 18} textAnchor="middle" className={d.layerText}>
        {closed.envelopeName}
      </text>
      <text x={x + width / 2} y={y + height + 34} textAnchor="middle" className={d.layerText}>
        {closed.thickness} thick, {closed.weight}
      </text>
    </g>
  );
}
