import type { Schemas } from "../../api/client";
import { Sentence } from "../../components/Fig";
import { Second } from "./Big";
import s from "./Show.module.css";
import { StepPicture } from "./StepPicture";

/** On a phone: the maker's own list, the step at hand open, what is done ticked. */
export function MakerList({
  view,
  screens,
  at,
  onGo,
}: {
  view: Schemas["ShowView"];
  screens: Schemas["ScreenView"][];
  at: string | null;
  onGo: (to: string | null) => void;
}) {
  const index = at === "end" ? screens.length : screens.findIndex((x) => x.id === at);
  return (
    <ol className={s.list} aria-label="Steps">
      {screens.map((x, i) => (
        <li key={x.id} data-done={i < index ? "" : undefined}>
          <button type="button" aria-current={i === index ? "step" : undefined} onClick={() => onGo(x.id)}>
            <span aria-hidden="true">{i < index ? "✓" : "·"}</span> {x.title}
            {x.big.length > 0 ? (
              <b>
                <Sentence parts={x.big} /> {view.unit}
              </b>
            ) : null}
          </button>
          {i === index ? (
            <div>
              <Second parts={x.bigOther} unit={view.other} />
              <p>
                <Sentence parts={x.say} />
              </p>
              {x.drawings.map((d) => (
                <figure key={d.name}>
                  <StepPicture drawing={d} />
                </figure>
              ))}
              {x.cautions.map((c) => (
                <p key={c} className={s.why}>
                  {c}
                </p>
              ))}
              <button type="button" className={s.go} onClick={() => onGo(screens[i + 1]?.id ?? "end")}>
                done, next
              </button>
            </div>
          ) : null}
        </li>
      ))}
    </ol>
  );
}
