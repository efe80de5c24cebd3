import { useElementSize } from "@mantine/hooks";
import type { BenchView } from "../api/client";
import { ClosedDrawing, type ClosedView, closedSize } from "./Closed";
import { type Item, layOut } from "./layout";
import { flagsOf, Piece, roomBelow, roomRight } from "./Piece";

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
    <div className="table" ref={ref}>
      {width > 0 && height > 0 && view.pieces.length > 0 ? (
        <Drawing view={view} width={width} height={height} selected={selected} onSelect={onSelect} />
      ) : null}
    </div>
  );
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
  const closed = view.closed;
  const items = (scale: number): Item[] => [
    ...view.pieces.map((p) => ({
      id: p.id,
      width: p.width.units,
      height: p.height.units,
      above: 26,
      below: roomBelow(flagsOf(p, scale).lanes),
      left: 26,
      right: roomRight(p, scale),
    })),
    ...(closed
      ? [
          {
            id: "closed",
            width: Math.max(closed.envelopeWidth ?? 0, closed.width.units) * INSET,
            height: Math.max(closed.envelopeHeight ?? 0, closed.height.units) * INSET,
            above: 26,
            below: 40,
            left: 8,
            right: 8,
          },
        ]
      : []),
  ];
  // Flags need more lanes the smaller the drawing, so the scale is settled in a few rounds.
  let scale = layOut(items(0.05), width - 20, height - 16)[0]?.scale ?? 0.01;
  for (let round = 0; round < 4; round++) {
    scale = layOut(items(scale), width - 20, height - 16)[0]?.scale ?? scale;
  }
  const places = layOut(items(scale), width - 20, height - 16);
  const drawn = places[0]?.scale ?? scale;
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${view.constructionName} for ${view.target}: ${view.pieces.map((p) => `${p.name} ${p.width.text} by ${p.height.text}`).join(", ")}. All figures are in the list of figures.`}
    >
      <defs>
        <pattern id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" className="hatch" />
        </pattern>
      </defs>
      {view.pieces.map((piece) => {
        const place = places.find((p) => p.id === piece.id);
        return place ? (
          <Piece
            key={piece.id}
            piece={piece}
            rule={view.rule}
            x={place.x + 10}
            y={place.y + 8}
            scale={drawn}
            selected={selected}
            onSelect={onSelect}
          />
        ) : null;
      })}
      {closed ? (
        <Closed
          closed={closed}
          x={(places.find((p) => p.id === "closed")?.x ?? 0) + 10}
          y={(places.find((p) => p.id === "closed")?.y ?? 0) + 8}
          scale={drawn * INSET}
        />
      ) : null}
    </svg>
  );
}

/** The finished card inside the envelope it goes into. */
function Closed({ closed, x, y, scale }: { closed: ClosedView; x: number; y: number; scale: number }) {
  const { width, height } = closedSize(closed, scale);
  return (
    <g data-piece="closed">
      <text x={x} y={y - 10} className="piece-name">
        Closed
      </text>
      <ClosedDrawing closed={closed} x={x} y={y} scale={scale} />
      <text x={x + width / 2} y={y + height + 18} textAnchor="middle" className="layer-text">
        {closed.envelopeName ? `${closed.envelopeName} envelope` : closed.envelopeText}
      </text>
      <text x={x + width / 2} y={y + height + 34} textAnchor="middle" className="layer-text">
        {closed.thickness} thick, {closed.weight}
      </text>
    </g>
  );
}
