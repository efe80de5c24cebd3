import { Button, Slider } from "@mantine/core";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type KeyboardEvent, type PointerEvent, type ReactNode, useRef, useState } from "react";
import { useParams } from "react-router";
import type { DesignState, Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Sentence, sentenceText } from "../../components/Fig";
import { PrintPage, useStoredDesk } from "../../components/PrintPage";
import { type ClosedView, Panels } from "../../drawing/Closed";
import { frameAt, Pose } from "../../drawing/Pose";
import { useBegin } from "../drawer/useBegin";
import s from "./Folding.module.css";
import { Section } from "./Section";

type FoldingView = Schemas["FoldingView"];

/** From where the card is looked at, in degrees: round it, and up. */
export type From = { aside: number; above: number };
export const onTheTable: From = { aside: 28, above: 22 };
const TURN = 15;
const within = (least: number, value: number, most: number) => Math.min(most, Math.max(least, value));
const turned = (from: From, aside: number, above: number): From => ({
  aside: ((from.aside + aside + 540) % 360) - 180,
  above: within(7, from.above + above, 82),
});

/** How the card goes from its envelope to the table, how thick it is where, and how it is put together. */
export function FoldingPage() {
  const { id = "" } = useParams();
  const { design, desk } = useStoredDesk(id);
  const [from, setFrom] = useState(onTheTable);
  const folding = useQuery({ ...queries.folding(desk, from), placeholderData: keepPreviousData });
  const make = useBegin();
  return (
    <PrintPage
      id={id}
      heading="How it folds"
      title={desk ? `How ${desk.design.name} folds · Whole Fold` : "Whole Fold"}
      problem={design.error ?? folding.error ?? make.error}
      waiting={folding.isLoading || design.isLoading ? "Folding it" : null}
    >
      {folding.data ? (
        <Folding view={folding.data} from={from} onTurn={setFrom} onEnvelope={(envelope) => make.mutate(envelope)} />
      ) : null}
    </PrintPage>
  );
}

export function Folding({
  view,
  from,
  onTurn,
  onEnvelope,
}: {
  view: FoldingView;
  from: From;
  onTurn: (from: From) => void;
  onEnvelope: (envelope: DesignState) => void;
}) {
  const [share, setShare] = useState(1);
  const [step, setStep] = useState<number | null>(null);
  const { poses, closed, map, states } = view;
  const where = poses.frames[frameAt(poses, share)]?.name ?? "on the way";
  const lit = step === null ? [] : (view.steps[step]?.lights ?? []);
  return (
    <>
      <p className={s.head}>
        <b>{view.name}</b>, {view.construction}, <Sentence parts={view.size} />
      </p>
      <div className={s.beside}>
        <figure className={s.main} data-part="folding-main">
          <Turnable from={from} onTurn={onTurn}>
            <Pose poses={poses} frame={frameAt(poses, share)} label={`The card ${where}`} lit={lit} />
          </Turnable>
          {poses.moves ? (
            <Slider
              thumbLabel="From closed to shown"
              label={null}
              min={0}
              max={1}
              step={1 / (poses.frames.length - 1)}
              value={share}
              onChange={setShare}
              marks={poses.frames.filter((f) => f.name).map((f) => ({ value: f.share, label: f.name }))}
            />
          ) : (
            <>
              <Pose poses={poses} frame={0} label="The card closed" lit={lit} />
              <figcaption>Shown, and closed. Between the two its paper bends, so nothing is drawn there.</figcaption>
            </>
          )}
        </figure>
        <section aria-label="Putting it together" className={s.steps} data-part="folding-steps">
          <h2>Putting it together</h2>
          <ol>
            {view.steps.map((one, i) => (
              <li key={one.id}>
                <button
                  type="button"
                  aria-pressed={step === i}
                  aria-label={`Step ${i + 1}`}
                  title={one.lights.length > 0 ? "show on the drawing what it bonds" : undefined}
                  onClick={() => setStep(step === i ? null : i)}
                >
                  {i + 1}
                </button>
                <span>
                  <Sentence parts={one.say} />
                  {one.cautions.map((c) => (
                    <span key={c} className={s.caution}>
                      {c}
                    </span>
                  ))}
                </span>
              </li>
            ))}
          </ol>
        </section>
      </div>
      <div className={s.folding}>
        <ThicknessMap closed={closed} map={map}>
          {view.envelopes.map((e) => (
            <Button key={e.name} size="compact-sm" variant="default" onClick={() => onEnvelope(e.design)}>
              make the {e.name.toLowerCase()}
            </Button>
          ))}
        </ThicknessMap>
        {view.section ? <Section section={view.section} lit={lit} /> : null}
        {states.map((s) => (
          <figure key={s.id}>
            <Flat panels={s.panels} width={s.width} height={s.height} label={s.name} />
            <figcaption>
              <b>{s.name}</b>: {s.how}
            </figcaption>
          </figure>
        ))}
      </div>
      <div className={s.words} data-part="folding-words">
        <section aria-label="What to watch for">
          <h2>What to watch for</h2>
          <ul>
            {view.watch.map((w) => (
              <li key={w}>{w}</li>
            ))}
            {view.cautions.map((c) => (
              <li key={c.id + sentenceText(c.text)}>
                <Sentence parts={c.text} />
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="If something is off">
          <h2>If something is off</h2>
          <dl className={s.troubles}>
            {view.troubles.map((t) => (
              <div key={t.sign}>
                <dt>{t.sign}</dt>
                <dd>
                  {t.cause}: {t.remedy}.
                </dd>
              </div>
            ))}
          </dl>
        </section>
      </div>
    </>
  );
}

/** Turned about by dragging, or with the arrow keys; Home puts it back on the table. */
function Turnable({ from, onTurn, children }: { from: From; onTurn: (from: From) => void; children: ReactNode }) {
  const grip = useRef<{ x: number; y: number; from: From } | null>(null);
  const keys: Record<string, From> = {
    ArrowLeft: turned(from, -TURN, 0),
    ArrowRight: turned(from, TURN, 0),
    ArrowUp: turned(from, 0, TURN),
    ArrowDown: turned(from, 0, -TURN),
    Home: onTheTable,
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: it is turned about, and no element of the page is for that
    <div
      className={s.turn}
      role="group"
      aria-label="The card: arrow keys turn it about, Home puts it back"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: the keyboard turns it
      tabIndex={0}
      onKeyDown={(e: KeyboardEvent) => {
        const to = keys[e.key];
        if (to) {
          e.preventDefault();
          onTurn(to);
        }
      }}
      onPointerDown={(e: PointerEvent<HTMLDivElement>) => {
        grip.current = { x: e.clientX, y: e.clientY, from };
        e.currentTarget.setPointerCapture?.(e.pointerId);
      }}
      onPointerMove={(e) => {
        if (grip.current) {
          const { x, y, from: start } = grip.current;
          const step = (by: number) => Math.round(by / 30) * TURN;
          const to = turned(start, step(x - e.clientX), step(e.clientY - y));
          if (to.aside !== from.aside || to.above !== from.above) {
            onTurn(to);
          }
        }
      }}
      onPointerUp={() => {
        grip.current = null;
      }}
      onPointerCancel={() => {
        grip.current = null;
      }}
    >
      {children}
    </div>
  );
}

function Flat({ panels, width, height, label }: { panels: ClosedView["panels"]; width: number; height: number; label: string }) {
  const scale = 150 / Math.max(width, height);
  return (
    <svg width={width * scale + 4} height={height * scale + 4} role="img" aria-label={label} className={s.state}>
      <Panels panels={panels} left={2} foot={height * scale + 2} scale={scale} filled />
    </svg>
  );
}

/** The darker, the more lies there; the ring is where it is thickest. */
function ThicknessMap({ closed, map, children }: { closed: ClosedView; map: FoldingView["map"]; children: ReactNode }) {
  const scale = 220 / Math.max(closed.width.units, closed.height.units);
  const [w, h] = [closed.width.units * scale, closed.height.units * scale];
  const at = (p: Schemas["Spot"]) => `${2 + p.x * scale},${2 + h - p.y * scale}`;
  return (
    <figure>
      <svg
        width={w + 4}
        height={h + 4}
        role="img"
        aria-label={`How thick the closed card is: ${map.greatest} at the most, ${map.mean} on average`}
        className={s.thickness}
      >
        {map.spots.map((s) => (
          <polygon key={s.corners.map(at).join(" ")} points={s.corners.map(at).join(" ")} style={{ opacity: s.share }} />
        ))}
        <circle cx={2 + map.thickestAt.x * scale} cy={2 + h - map.thickestAt.y * scale} r={6} />
      </svg>
      <figcaption>
        Closed <Sentence parts={closed.size} />: <b>{map.greatest}</b> at the ring, {map.mean} on average, {closed.weight}.{" "}
        <Sentence parts={closed.envelopeText} />
        <span className={s.buttons}>{children}</span>
      </figcaption>
    </figure>
  );
}
