import { Button, Slider } from "@mantine/core";
import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { useParams } from "react-router";
import type { DesignState, Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Sentence, sentenceText } from "../../components/Fig";
import { PrintPage, useStoredDesk } from "../../components/PrintPage";
import { type ClosedView, Panels } from "../../drawing/Closed";
import { frameAt, Pose } from "../../drawing/Pose";
import { useBegin } from "../drawer/NewDesign";
import s from "./Folding.module.css";

type FoldingView = Schemas["FoldingView"];

/** How the card goes from its envelope to the table, how thick it is where, and how it is put together. */
export function FoldingPage() {
  const { id = "" } = useParams();
  const { design, desk } = useStoredDesk(id);
  const folding = useQuery(queries.folding(desk));
  const make = useBegin();
  return (
    <PrintPage
      id={id}
      heading="How it folds"
      title={desk ? `How ${desk.design.name} folds · Whole Fold` : "Whole Fold"}
      problem={design.error ?? folding.error ?? make.error}
      waiting={folding.isLoading || design.isLoading ? "Folding it" : null}
    >
      {folding.data ? <Folding view={folding.data} onEnvelope={(envelope) => make.mutate(envelope)} /> : null}
    </PrintPage>
  );
}

export function Folding({ view, onEnvelope }: { view: FoldingView; onEnvelope: (envelope: DesignState) => void }) {
  const [share, setShare] = useState(1);
  const { poses, closed, map, states } = view;
  const where = poses.frames[frameAt(poses, share)]?.name ?? "on the way";
  return (
    <>
      <p className={s.head}>
        <b>{view.name}</b>, {view.construction}, <Sentence parts={view.size} />
      </p>
      <div className={s.folding}>
        <figure className={s.main} data-part="folding-main">
          <Pose poses={poses} frame={frameAt(poses, share)} label={`The card ${where}`} />
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
              <Pose poses={poses} frame={0} label="The card closed" />
              <figcaption>Shown, and closed. Between the two its paper bends, so nothing is drawn there.</figcaption>
            </>
          )}
        </figure>
        <ThicknessMap closed={closed} map={map}>
          {view.envelopes.map((e) => (
            <Button key={e.name} size="compact-sm" variant="default" onClick={() => onEnvelope(e.design)}>
              make the {e.name.toLowerCase()}
            </Button>
          ))}
        </ThicknessMap>
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
        <section aria-label="Putting it together">
          <h2>Putting it together</h2>
          <ol>
            {view.steps.map((step) => (
              <li key={step.text}>
                {step.text}
                {step.linedUp.map((l) => (
                  <span key={l} className={s.more}>
                    Line up: {l}.
                  </span>
                ))}
                {step.rightWhen ? (
                  <span className={s.more}>
                    {step.pressed ? `${step.pressed[0]?.toUpperCase()}${step.pressed.slice(1)}. ` : ""}Right when {step.rightWhen}
                    .
                  </span>
                ) : null}
              </li>
            ))}
          </ol>
        </section>
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
