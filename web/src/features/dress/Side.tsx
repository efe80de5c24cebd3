import { type KeyboardEvent, memo, type PointerEvent } from "react";
import type { Schemas } from "../../api/client";
import { SvgFig } from "../../components/Fig";
import s from "./Dress.module.css";
import { paperFill } from "./Papers";

type SideView = Schemas["SideView"];
type FaceView = Schemas["FaceView"];
type ThingView = Schemas["PutView"];
type Spot = Schemas["Spot"];
type Box = Schemas["BoxView"];

export type Chosen = { kind: "face" | "window" | "element" | "layer" | "soft" | "contour"; id: string } | null;

/** One side of a flat piece as its reader has it before her. The core has seen to what lies where; this only places it. */
export const Side = memo(function Side({
  side,
  pose,
  scale,
  chosen,
  lit,
  dragged,
  onChoose,
  onGrip,
  onNudge,
  onTakeOff,
}: {
  side: SideView;
  pose: string;
  scale: number;
  chosen: Chosen;
  lit: Box | null;
  dragged: { id: string; window: boolean; x: number; y: number } | null;
  onChoose: (chosen: Chosen) => void;
  onGrip: (id: string, window: boolean, event: PointerEvent) => void;
  onNudge: (id: string, window: boolean, across: number, up: number) => void;
  onTakeOff: (id: string, window: boolean) => void;
}) {
  const [w, h] = [side.width * scale, side.height * scale];
  // What stands out of the piece is drawn beside it.
  const edge = 26;
  const at = (p: Spot) => `${edge + p.x * scale},${edge + h - p.y * scale}`;
  const line = (points: readonly Spot[]) => points.map(at).join(" ");
  const rect = (b: Box) => ({
    x: edge + b.x * scale,
    y: edge + h - (b.y + b.height) * scale,
    width: b.width * scale,
    height: b.height * scale,
  });
  const above = Math.max(0, ...side.plates.flat().map((p) => p.y - side.height)) * scale;
  const seen = side.faces.filter((f) => f.poses.includes(pose));
  return (
    <figure className={s.side}>
      <svg
        width={w + 2 * edge}
        height={h + 2 * edge}
        data-side={side.id}
        data-scale={scale}
        data-edge={edge}
        aria-label={side.name}
      >
        {side.plates.map((plate) => (
          <polygon key={line(plate)} points={line(plate)} className={s.plate} style={{ fill: side.colour }} />
        ))}
        {seen.map((face) => (
          <Face key={face.role + face.id} face={face} line={line} chosen={chosen} onChoose={onChoose} />
        ))}
        {side.creases.map((c) => (
          <line
            key={`${at(c.from)} ${at(c.to)}`}
            x1={edge + c.from.x * scale}
            y1={edge + h - c.from.y * scale}
            x2={edge + c.to.x * scale}
            y2={edge + h - c.to.y * scale}
            className={`${c.valley ? s.valley : s.mountain} ${c.working ? "" : s.set}`}
          />
        ))}
        {seen.map((face) => (
          <g key={face.role + face.id}>
            {face.keepOuts
              .filter((k) => k.kind !== "outOfFootprint" && k.kind !== "writing")
              .map((k) => (
                <polygon key={k.kind + line(k.outline)} points={line(k.outline)} className={s.keepOut}>
                  <title>{k.why}</title>
                </polygon>
              ))}
            {chosen?.kind === "face" && chosen.id === face.id
              ? face.hidden.map((b) => <rect key={`${b.x} ${b.y}`} {...rect(b)} className={s.hidden} />)
              : null}
            {face.things.map((thing) => (
              <Thing
                key={thing.id}
                thing={thing}
                line={line}
                box={rect(thing.box)}
                chosen={chosen?.id === thing.id && chosen.kind === (thing.window ? "window" : "element")}
                dragged={dragged?.id === thing.id && dragged.window === thing.window ? dragged : null}
                onChoose={onChoose}
                onGrip={onGrip}
                onNudge={onNudge}
                onTakeOff={onTakeOff}
              />
            ))}
          </g>
        ))}
        {side.faces
          .filter((f) => !f.poses.includes(pose))
          .map((f) => (
            <polygon key={f.role + f.id} points={line(f.outline)} className={s.unseenFace} />
          ))}
        {seen.flatMap((face) =>
          face.things
            .filter((t) => chosen?.id === t.id)
            .flatMap((t) =>
              t.distances.map((d) => {
                const [x1, y1] = [edge + d.from.x * scale, edge + h - d.from.y * scale];
                const [x2, y2] = [edge + d.to.x * scale, edge + h - d.to.y * scale];
                // Where the line is too short for its figure that stands beyond the edge, off the thing.
                const short = Math.hypot(x2 - x1, y2 - y1) < 58;
                const over = rect(t.box);
                const past = x1 > over.x && x1 < over.x + over.width && y1 > over.y && y1 < over.y + over.height;
                const [ax, ay, bx, by] = past ? [x2, y2, x1, y1] : [x1, y1, x2, y2];
                const [mx, my] = short
                  ? [ax + Math.sign(Math.round(ax - bx)) * 27, ay + Math.sign(Math.round(ay - by)) * 14]
                  : [(x1 + x2) / 2, (y1 + y2) / 2];
                return (
                  <g key={t.id + d.edge} className={s.distance}>
                    <line x1={x1} y1={y1} x2={x2} y2={y2} />
                    <g transform={`translate(${mx} ${my})`}>
                      <rect x={-24} y={-11} width={48} height={22} rx={4} />
                      <SvgFig figure={d.distance} x={0} y={5} anchor="middle" className={s.distanceText ?? ""} />
                    </g>
                  </g>
                );
              }),
            ),
        )}
        {seen.map((face) => {
          const { x, y, width } = rect(face.box);
          return face.name.length * 6.4 < width + 8 ? (
            <text key={face.role + face.id} x={x + width / 2} y={y - 8 - above} className={s.faceName}>
              {face.name}
            </text>
          ) : null;
        })}
        {lit ? <rect {...rect(lit)} className={s.lit} /> : null}
      </svg>
      <figcaption>{side.name}</figcaption>
    </figure>
  );
});

const enter = (event: KeyboardEvent, act: () => void) => {
  if (event.key === "Enter" || event.key === " ") {
    event.preventDefault();
    act();
  }
};

function Face({
  face,
  line,
  chosen,
  onChoose,
}: {
  face: FaceView;
  line: (p: readonly Spot[]) => string;
  chosen: Chosen;
  onChoose: (c: Chosen) => void;
}) {
  const on = chosen?.kind === "face" && chosen.id === face.id;
  const wears = face.layers.length === 0 ? "bare" : `${face.layers.length === 1 ? "one paper" : `${face.layers.length} papers`}`;
  const choose = () => onChoose(on ? null : { kind: "face", id: face.id });
  return (
    // biome-ignore lint/a11y/useSemanticElements: no button can be drawn in a drawing
    <g
      role="button"
      tabIndex={0}
      aria-pressed={on}
      aria-label={`${face.name}: ${wears}${face.things.length > 0 ? `, with ${face.things.map((t) => t.name).join(", ")}` : ""}${face.seen == null ? "" : `; ${face.seen} hundredths of it seen`}`}
      className={`${s.face} ${on ? s.chosen : ""}`}
      onClick={choose}
      onKeyDown={(e) => enter(e, choose)}
    >
      <polygon points={line(face.outline)} className={s.free} />
      {face.layers.map((layer) => (
        <path
          key={layer.id + layer.level}
          d={`M${line(layer.outline).replaceAll(" ", "L")}z${layer.holes.map((hole) => `M${line(hole).replaceAll(" ", "L")}z`).join("")}`}
          fillRule="evenodd"
          className={s.layer}
          style={{ fill: paperFill(layer.colour, layer.pattern) }}
        />
      ))}
    </g>
  );
}

const ways: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };

function Thing({
  thing,
  line,
  box,
  chosen,
  dragged,
  onChoose,
  onGrip,
  onNudge,
  onTakeOff,
}: {
  thing: ThingView;
  line: (p: readonly Spot[]) => string;
  box: { x: number; y: number; width: number; height: number };
  chosen: boolean;
  dragged: { x: number; y: number } | null;
  onChoose: (c: Chosen) => void;
  onGrip: (id: string, window: boolean, event: PointerEvent) => void;
  onNudge: (id: string, window: boolean, across: number, up: number) => void;
  onTakeOff: (id: string, window: boolean) => void;
}) {
  const choose = () => onChoose(chosen ? null : { kind: thing.window ? "window" : "element", id: thing.id });
  const where = thing.distances
    .map(
      (d) =>
        `${d.distance.whole}${d.distance.numerator ? ` ${d.distance.numerator}/${d.distance.denominator}` : ""} from ${d.edge}`,
    )
    .join(", ");
  return (
    // biome-ignore lint/a11y/useSemanticElements: no button can be drawn in a drawing
    <g
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={`${thing.name}: ${where}`}
      className={`${s.thing} ${chosen ? s.chosen : ""} ${thing.window ? s.window : ""}`}
      style={dragged ? { transform: `translate(${dragged.x}px, ${dragged.y}px)`, pointerEvents: "none" } : undefined}
      data-thing={thing.id}
      onClick={choose}
      onPointerDown={(e) => {
        onGrip(thing.id, thing.window, e);
      }}
      onKeyDown={(e) => {
        const way = ways[e.key];
        if (way) {
          e.preventDefault();
          onNudge(thing.id, thing.window, way[0] * (e.shiftKey ? 8 : 1), way[1] * (e.shiftKey ? 8 : 1));
        } else if (e.key === "Delete") {
          onTakeOff(thing.id, thing.window);
        } else {
          enter(e, choose);
        }
      }}
    >
      {thing.raised ? <polygon points={line(thing.outline)} className={s.raised} transform="translate(3 4)" /> : null}
      <polygon
        points={line(thing.outline)}
        className={thing.ink ? s.ink : s.body}
        style={thing.colour ? { fill: thing.colour } : undefined}
      />
      {thing.ink ? (
        <text
          x={box.x + box.width / 2}
          y={box.y + box.height / 2}
          className={s.inkText}
          style={{ fontSize: Math.max(9, Math.min(22, box.height * 0.55, (box.width / Math.max(4, thing.name.length)) * 1.7)) }}
        >
          {thing.name}
        </text>
      ) : null}
    </g>
  );
}
