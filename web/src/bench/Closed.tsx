import type { BenchView } from "../api/client";

export type ClosedView = NonNullable<BenchView["closed"]>;

/** What the closed card takes on the screen with its envelope round it. */
export const closedSize = (closed: ClosedView, scale: number) => ({
  width: Math.max(closed.envelopeWidth ?? 0, closed.width.units) * scale,
  height: Math.max(closed.envelopeHeight ?? 0, closed.height.units) * scale,
});

/** Panels seen from above, each by its outline. */
export function Panels({
  panels,
  left,
  foot,
  scale,
}: {
  panels: ClosedView["panels"];
  left: number;
  foot: number;
  scale: number;
}) {
  return panels.map((p) => (
    <polygon
      key={p.id}
      points={p.corners.map((c) => `${left + c.x * scale},${foot - c.y * scale}`).join(" ")}
      className="closed-panel"
    />
  ));
}

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
      <Panels panels={closed.panels} left={left} foot={top + h} scale={scale} />
    </>
  );
}
