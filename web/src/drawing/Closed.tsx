import type { BenchView } from "../api/client";
import d from "./drawing.module.css";

export type ClosedView = NonNullable<BenchView["closed"]>;

/** What the closed card takes on the screen with its envelope round it. */
export const closedSize = (closed: ClosedView, scale: number) => ({
  width: Math.max(closed.envelope?.width ?? 0, closed.width.units) * scale,
  height: Math.max(closed.envelope?.height ?? 0, closed.height.units) * scale,
});

/** Panels seen from above, each by its outline. */
export function Panels({
  panels,
  left,
  foot,
  scale,
  filled,
}: {
  panels: ClosedView["panels"];
  left: number;
  foot: number;
  scale: number;
  filled?: boolean;
}) {
  return panels.map((p) => (
    <polygon
      key={p.id}
      points={p.corners.map((c) => `${left + c.x * scale},${foot - c.y * scale}`).join(" ")}
      className={filled ? d.filledPanel : d.closedPanel}
    />
  ));
}

/** What the closed card wears outside: papers, windows, what is on them. */
export function Worn({ worn, left, foot, scale }: { worn: ClosedView["worn"]; left: number; foot: number; scale: number }) {
  return worn.map((w) => {
    const points = w.corners.map((c) => `${left + c.x * scale},${foot - c.y * scale}`).join(" ");
    return (
      <polygon
        key={w.colour + points}
        points={points}
        className={d.worn}
        style={w.hole ? undefined : { fill: w.colour || undefined }}
      />
    );
  });
}

/** The closed card with its panels' edges, in the envelope it goes into. */
export function ClosedDrawing({ closed, x, y, scale }: { closed: ClosedView; x: number; y: number; scale: number }) {
  const outer = closedSize(closed, scale);
  const [w, h] = [closed.width.units * scale, closed.height.units * scale];
  const [left, top] = [x + (outer.width - w) / 2, y + (outer.height - h) / 2];
  const { envelope } = closed;
  return (
    <>
      {envelope ? (
        <rect
          x={left + envelope.x * scale}
          y={top + envelope.y * scale}
          width={envelope.width * scale}
          height={envelope.height * scale}
          className={d.envelope}
        />
      ) : null}
      <rect x={left} y={top} width={w} height={h} className={d.closedCard} />
      <Worn worn={closed.worn} left={left} foot={top + h} scale={scale} />
      {closed.worn.length > 0 ? null : <Panels panels={closed.panels} left={left} foot={top + h} scale={scale} />}
    </>
  );
}
