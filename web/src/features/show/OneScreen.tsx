import { useQuery } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Sentence } from "../../components/Fig";
import { useStoredDesk } from "../../components/PrintPage";
import { Big, ems, Second, UNIT } from "./Big";
import s from "./Show.module.css";
import { StepPicture } from "./StepPicture";
import { clock, type Timer, useNow } from "./useRun";

type Screen = Schemas["ScreenView"];
type ShowView = Schemas["ShowView"];

/** One thing to do: its figure for the back of the room, the piece before and after, what to beware of. */
export function OneScreen({
  view,
  screen,
  timers,
  beside,
}: {
  view: ShowView;
  screen: Screen;
  timers: Timer[];
  beside: string[];
}) {
  // Over half the width is for one figure; what says more has a row to itself.
  const wide = ems(screen.big) + UNIT > 3.1;
  if (beside.length > 0) {
    return (
      <div className={s.variants} data-part="variants">
        <h2 className={s.title}>{screen.title}</h2>
        <div className={s.columns}>
          <Variant name={view.name} view={view} screen={screen} />
          {beside.map((id) => (
            <Other key={id} id={id} screen={screen.id} />
          ))}
        </div>
        {screen.tip ? <p className={s.look}>Tip: {screen.tip}</p> : null}
        <Cautions screen={screen} />
      </div>
    );
  }
  const changes = screen.drawings.some((d) => d.marks.some((m) => !m.new) && d.marks.some((m) => m.new));
  return (
    <article className={s.one} data-wide={wide ? "" : undefined} data-part="screen">
      <div className={s.top}>
        <h2 className={s.title}>{screen.title}</h2>
        {screen.waits ? <Waiting timers={timers} /> : null}
        {screen.big.length > 0 ? (
          <>
            <Big parts={screen.big} unit={view.unit} />
            <Second parts={screen.bigOther} unit={view.other} />
          </>
        ) : null}
      </div>
      <div className={s.words}>
        <p className={s.say}>
          <Sentence parts={screen.say} />
        </p>
        {screen.why ? (
          <p className={s.why}>
            <Sentence parts={screen.why} />
          </p>
        ) : null}
        {screen.lookFor ? (
          <p className={s.look}>
            Check: <Sentence parts={screen.lookFor} />
          </p>
        ) : null}
        {screen.tip ? <p className={s.look}>Tip: {screen.tip}</p> : null}
        <Cautions screen={screen} />
      </div>
      <div className={s.pictures}>
        {screen.drawings.map((d) => (
          <figure key={d.name}>
            <StepPicture drawing={d} />
          </figure>
        ))}
        {changes && screen.drawings.length === 1 && screen.drawings[0] ? (
          <figure className={s.wasBefore}>
            <StepPicture drawing={screen.drawings[0]} before />
            <figcaption>before</figcaption>
          </figure>
        ) : null}
      </div>
    </article>
  );
}

function Waiting({ timers }: { timers: Timer[] }) {
  const now = useNow();
  const left = Math.max(0, ...timers.map((t) => t.ends - now));
  return (
    <p className={s.big} style={{ "--ems": 3.2 } as React.CSSProperties} role="timer" data-part="big">
      {clock(left)}
    </p>
  );
}

function Cautions({ screen }: { screen: Screen }) {
  return screen.cautions.length === 0 ? null : (
    <ul className={s.cautions} aria-label="Take care">
      {screen.cautions.map((c) => (
        <li key={c}>{c}</li>
      ))}
    </ul>
  );
}

function Variant({ name, view, screen }: { name: string; view: ShowView; screen: Screen | undefined }) {
  return (
    <section aria-label={name}>
      <h3>{name}</h3>
      {screen ? (
        <>
          {screen.big.length > 0 ? (
            <>
              <Big parts={screen.big} unit={view.unit} narrow />
              <Second parts={screen.bigOther} unit={view.other} />
            </>
          ) : (
            <p className={s.say}>
              <Sentence parts={screen.say} />
            </p>
          )}
          {screen.drawings[0] ? (
            <figure>
              <StepPicture drawing={screen.drawings[0]} />
            </figure>
          ) : null}
        </>
      ) : (
        <p className={s.say}>Nothing to do on this one.</p>
      )}
    </section>
  );
}

/** Another design from the same base, at the same step. */
function Other({ id, screen }: { id: string; screen: string }) {
  const { desk } = useStoredDesk(id);
  const show = useQuery(queries.show(desk, 1));
  return show.data ? (
    <Variant name={show.data.name} view={show.data} screen={show.data.screens.find((x) => x.id === screen)} />
  ) : (
    <section aria-busy="true" />
  );
}
