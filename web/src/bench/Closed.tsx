import type { BenchView } from "../api/client";

export type ClosedView = NonNullable<BenchView["closed"]>;

/** What the closed card takes on the screen with its envelope round it. */
export const closedSize = (closed: ClosedView, scale: number) => ({
  width: Math.max(closed.envelopeWidth ?? 0, closed.width.units) * scale,
  height: Math.max(closed.envelopeHeight ?? 0, closed.height.units) * scale,
});

/** The closed card with its panels' edges, in the envelope it goes into. */
export function ClosedDrawing({ closed, x, y, scale }: { closed: ClosedView; x: number; y: number; scale: number }) {
  const outer = closedSize(closed, scale);
  const [w, h] = [closed.width.units * scale, closed.height.units * scale];
  const [left, top] = [x + (outer.width - w) / 2, y + (outer.height - h) / 2];
  const [ew, eh] = [(closed.envelopeWidth ?? 0) * scale, (closed.envelopeHeight ?? 0) * scale];
  return (
    <>
      {ew > 0 ? (
        <rect x={x + (outer.width - ew) / 2} y={y + (outer.height - eh) / 2} width={ew} height={eh} className="envelope" />
      ) : null}
      <rect x={left} y={top} width={w} height={h} className="card closed" />
      {closed.panels.map((p) => (
        <rect
          key={p.id}
          x={left + p.x * scale}
          y={top + h - (p.y + p.height) * scale}
          width={p.width * scale}
          height={p.height * scale}
          className="closed-panel"
        />
      ))}
    </>
  );
}
