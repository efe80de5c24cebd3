import { type PointerEvent, useRef, useState } from "react";
import type { Schemas } from "../../api/client";
import s from "./Build.module.css";

type Piece = Schemas["BuildPieceView"];

const EDGE = 3;

/** A piece flat, with its creases and what is cut out of it; its creases can be dragged where `onMove` is given. */
export function PieceDrawing({
  piece,
  room,
  mark = 1,
  onMove,
}: {
  piece: Piece;
  room: { wide: number; high: number };
  /** By how much a key moves a crease. */
  mark?: number;
  onMove?: ((crease: number, from: number, to: number) => void) | undefined;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const [dragged, setDragged] = useState<{ crease: number; to: number } | null>(null);
  const [wide, high] = piece.upright ? [piece.broad, piece.along] : [piece.along, piece.broad];
  const scale = Math.min(room.wide / Math.max(1, wide), room.high / Math.max(1, high));
  const [width, height] = [wide * scale + 2 * EDGE, high * scale + 2 * EDGE];
  const line = (to: number) => {
    const at = EDGE + (piece.upright ? high - to : to) * scale;
    return piece.upright ? { x1: EDGE, x2: width - EDGE, y1: at, y2: at } : { x1: at, x2: at, y1: EDGE, y2: height - EDGE };
  };
  /** Where along the chain the pointer is, between the creases on both sides. */
  const under = (crease: number, e: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box || box.width === 0) {
      return null;
    }
    const along = piece.upright
      ? high - (((e.clientY - box.top) / box.height) * height - EDGE) / scale
      : (((e.clientX - box.left) / box.width) * width - EDGE) / scale;
    const [low, top] = [piece.creases[crease - 1]?.place ?? 0, piece.creases[crease + 1]?.place ?? piece.along];
    return Math.min(top, Math.max(low, along));
  };
  const drop = () => {
    const from = dragged ? piece.creases[dragged.crease]?.place : undefined;
    if (dragged && onMove && from !== undefined && Math.abs(dragged.to - from) >= mark / 2) {
      onMove(dragged.crease, from, dragged.to);
    }
    setDragged(null);
  };
  return (
    <svg
      ref={svg}
      className={s.drawing}
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role={onMove ? "group" : undefined}
      aria-label={onMove ? `${piece.name}, flat` : undefined}
      aria-hidden={onMove ? undefined : true}
      data-part="piece-drawing"
    >
      <rect x={EDGE} y={EDGE} width={wide * scale} height={high * scale} />
      {piece.openings.map((o) => (
        <rect
          key={`${o.left} ${o.foot}`}
          className={s.window}
          x={EDGE + o.left * scale}
          y={EDGE + (high - o.foot - o.height) * scale}
          width={o.width * scale}
          height={o.height * scale}
        />
      ))}
      {piece.lines.map((l) =>
        l.scored.map((p) => (
          <line
            key={`${l.number} ${p.fromX} ${p.fromY}`}
            data-fold={l.fold}
            x1={EDGE + p.fromX * scale}
            y1={EDGE + (high - p.fromY) * scale}
            x2={EDGE + p.toX * scale}
            y2={EDGE + (high - p.toY) * scale}
          />
        )),
      )}
      {piece.creases.map((c) => {
        const place = line(dragged?.crease === c.number ? dragged.to : c.place);
        if (!onMove) {
          return <line key={c.number} data-fold={c.fold} {...place} />;
        }
        const by = (steps: number) => onMove(c.number, c.place, c.place + steps * mark);
        return (
          <g
            key={c.number}
            role="slider"
            tabIndex={0}
            className={s.grip}
            aria-label={`Crease ${c.number + 1}, ${c.name}`}
            aria-orientation={piece.upright ? "vertical" : "horizontal"}
            aria-valuemin={0}
            aria-valuemax={piece.along}
            aria-valuenow={c.place}
            aria-valuetext={[c.at.whole, c.at.numerator ? `${c.at.numerator}/${c.at.denominator}` : ""].join(" ").trim()}
            data-crease={c.number}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture?.(e.pointerId);
              setDragged({ crease: c.number, to: c.place });
            }}
            onPointerMove={(e) => {
              const to = dragged?.crease === c.number ? under(c.number, e) : null;
              if (to !== null) {
                setDragged({ crease: c.number, to });
              }
            }}
            onPointerUp={drop}
            onPointerCancel={() => setDragged(null)}
            onKeyDown={(e) => {
              const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[e.key];
              if (way) {
                e.preventDefault();
                by(way * (e.shiftKey ? 8 : 1));
              }
            }}
          >
            <line className={s.reach} {...place} />
            <line data-fold={c.fold} {...place} />
          </g>
        );
      })}
    </svg>
  );
}
