import { Button, Slider } from "@mantine/core";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { answer, api, type DesignState, type Problem, type Schemas } from "../../api/client";
import { type ClosedView, Panels } from "../../bench/Closed";
import { frameAt, Pose } from "../../bench/Pose";
import { Sentence } from "../../components/Fig";
import { PrintPage, useStoredDesign } from "../../components/PrintPage";

type FoldingView = Schemas["FoldingView"];

/** How the card goes from its envelope to the table, how thick it is where, and how it is put together. */
export function FoldingPage() {
  const { id = "" } = useParams();
  const design = useStoredDesign(id);
  const state = design.data?.state;
  const folding = useQuery({
    queryKey: ["folding", state],
    enabled: state !== undefined,
    queryFn: ({ signal }) => answer(api.POST("/api/bench/poses", { body: { design: state as DesignState }, signal })),
    retry: 0,
  });
  const navigate = useNavigate();
  const queries = useQueryClient();
  const make = useMutation({
    mutationFn: (envelope: DesignState) => answer(api.POST("/api/designs", { body: { state: envelope } })),
    onSuccess: (made) => {
      queries.setQueryData(["design", made.id], made);
      queries.invalidateQueries({ queryKey: ["designs"] });
      navigate(`/bench/${made.id}`);
    },
  });
  return (
    <PrintPage
      id={id}
      heading="How it folds"
      title={state ? `How ${state.name} folds · Whole Fold` : "Whole Fold"}
      problem={(design.error ?? folding.error ?? make.error) as Problem | null}
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
      <p className="wall-head">
        <b>{view.name}</b>, {view.construction}, <Sentence text={view.size} />
      </p>
      <div className="folding">
        <figure className="folding-main">
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
            <Button key={e.construction} size="compact-sm" variant="default" onClick={() => onEnvelope(e)}>
              make the {e.construction?.replace("-", " ")}
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
      <div className="folding-words">
        <section aria-label="Putting it together">
          <h2>Putting it together</h2>
          <ol>
            {view.steps.map((step) => (
              <li key={step.text}>
                {step.text}
                {step.linedUp.map((l) => (
                  <span key={l} className="step-more">
                    Line up: {l}.
                  </span>
                ))}
                {step.rightWhen ? (
                  <span className="step-more">
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
              <li key={c.id}>
                <Sentence text={c.text} />
              </li>
            ))}
          </ul>
          <h2>If something is off</h2>
          <dl className="troubles">
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
    <svg width={width * scale + 4} height={height * scale + 4} role="img" aria-label={label} className="state">
      <Panels panels={panels} left={2} foot={height * scale + 2} scale={scale} />
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
        className="thickness"
      >
        {map.spots.map((s) => (
          <polygon key={s.corners.map(at).join(" ")} points={s.corners.map(at).join(" ")} style={{ opacity: s.share }} />
        ))}
        <circle cx={2 + map.thickestAt.x * scale} cy={2 + h - map.thickestAt.y * scale} r={6} />
      </svg>
      <figcaption>
        Closed <Sentence text={closed.text} />: <b>{map.greatest}</b> at the ring, {map.mean} on average, {closed.weight}.{" "}
        <Sentence text={closed.envelopeText} />
        <span className="target-buttons">{children}</span>
      </figcaption>
    </figure>
  );
}
