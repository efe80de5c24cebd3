import { Button, SegmentedControl, Slider } from "@mantine/core";
import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import type { BenchView, Desk, Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Fig, figureText, Sentence } from "../../components/Fig";
import s from "./Adjust.module.css";

type ParameterView = Schemas["ParameterView"];
type RangeView = Schemas["RangeView"];

/** What is traded off: each parameter over the values that can be set, each school, and which wish comes first. */
export function Adjust({
  view,
  desk,
  onTry,
  onSet,
  onLock,
  onChoice,
  onOpens,
  onPriority,
  curves,
}: {
  view: BenchView;
  desk: Desk | undefined;
  onTry: (parameter: string, value: string) => void;
  onSet: (parameter: string, value: string | null) => void;
  onLock: (parameter: string, value: string | null) => void;
  onChoice: (choice: string, value: string) => void;
  onOpens: (opens: string) => void;
  onPriority: (priority: string, name: string) => void;
  curves: ReactNode;
}) {
  const ranges = useQuery(queries.ranges(view.stuck ? undefined : desk));
  const alternatives = useQuery(queries.alternatives(desk));
  // Folded away to a line each; one is open at a time, in its place.
  const [open, setOpen] = useState<string | null>(null);
  const wish = alternatives.data?.find((a) => a.current);
  return (
    <section className={s.adjust} aria-label="Adjust">
      {curves}
      {view.opening ? (
        <div className={s.choice}>
          <span id="choice-opens" title="which edge is up as one reads it: no cut and no score changes">
            opens
          </span>
          <SegmentedControl
            size="xs"
            aria-labelledby="choice-opens"
            data={["sideways", "upwards"].map((way) => ({
              value: way,
              label: (
                <span className={s.way}>
                  {view.closed ? <Read closed={view.closed} as={way} now={view.opening === way} /> : null}
                  {way}
                </span>
              ),
            }))}
            value={view.opening}
            onChange={onOpens}
          />
        </div>
      ) : null}
      {view.choices.map((choice) => (
        <div key={choice.id} className={s.choice}>
          <span id={`choice-${choice.id}`} title={choice.meaning}>
            {choice.name}
          </span>
          <SegmentedControl
            size="xs"
            aria-labelledby={`choice-${choice.id}`}
            data={choice.options.map((option) => ({ value: option, label: spoken(option) }))}
            value={choice.value}
            onChange={(value) => onChoice(choice.id, value)}
          />
        </div>
      ))}
      {view.parameters.map((parameter) => (
        <Trade
          key={parameter.id}
          parameter={parameter}
          range={ranges.data?.find((r) => r.parameter === parameter.id)}
          unit={view.unit}
          open={open === parameter.id}
          onOpen={() => setOpen(open === parameter.id ? null : parameter.id)}
          onTry={onTry}
          onSet={onSet}
          onLock={onLock}
        />
      ))}
      <fieldset className={s.priorities}>
        <legend>
          <button
            type="button"
            className={s.fold}
            aria-expanded={open === WISHES}
            onClick={() => setOpen(open === WISHES ? null : WISHES)}
          >
            <span>If it can't all fit, keep</span>
            <b>{wish?.name ?? ""}</b>
          </button>
        </legend>
        {open === WISHES ? (
          <div className={s.wishes}>
            {alternatives.data?.map((a) => (
              <button key={a.priority} type="button" aria-pressed={a.current} onClick={() => onPriority(a.priority, a.name)}>
                <b>{a.name}</b>
                <span>{a.same && !a.current ? "the same figures" : <Sentence parts={a.gives} />}</span>
              </button>
            ))}
          </div>
        ) : null}
      </fieldset>
    </section>
  );
}

const WISHES = "which wish comes first";

/** An option as it is said: "backTab" is "back tab". */
const spoken = (option: string) => option.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);

/** What stands beside a parameter that does not follow its rule. */
const heldBy: Partial<Record<Schemas["Hold"], string>> = { set: "set by you", fromHome: "from the home size" };

function Trade({
  parameter,
  range,
  unit,
  open,
  onOpen,
  onTry,
  onSet,
  onLock,
}: {
  parameter: ParameterView;
  /** What it can be set to; not known yet where it is not given. */
  range: RangeView | undefined;
  unit: string;
  open: boolean;
  onOpen: () => void;
  onTry: (parameter: string, value: string) => void;
  onSet: (parameter: string, value: string | null) => void;
  onLock: (parameter: string, value: string | null) => void;
}) {
  const locked = parameter.hold === "locked";
  const turnLock = () => onLock(parameter.id, locked ? null : parameter.value.exact);
  const stops = range?.stops ?? [];
  const here = stops.reduce(
    (best, stop, i) =>
      Math.abs(stop.units - parameter.value.units) <
      Math.abs((stops[best]?.units ?? Number.MAX_SAFE_INTEGER) - parameter.value.units)
        ? i
        : best,
    0,
  );
  const [moving, setMoving] = useState<number | null>(null);
  const at = moving ?? here;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the key is heard from the slider and the buttons in it
    <div
      className={s.trade}
      onKeyDown={(e) => {
        if (e.key.toLowerCase() === "k" && !e.ctrlKey && !e.metaKey && !e.altKey) {
          turnLock();
        }
      }}
    >
      <button
        type="button"
        className={s.fold}
        aria-expanded={open}
        aria-label={`Adjust ${parameter.name}`}
        title={parameter.meaning}
        onClick={onOpen}
      >
        <span>{parameter.name}</span>
        <small>{locked ? "locked" : (heldBy[parameter.hold] ?? "")}</small>
        <b>
          <Fig figure={moving === null ? parameter.value.text : (stops[at]?.text ?? parameter.value.text)} /> {unit}
        </b>
      </button>
      {open ? (
        <div className={s.head}>
          <small>
            {stops.length > 1 && range ? (
              <>
                can be <Fig figure={range.min.text} /> to <Fig figure={range.max.text} />
              </>
            ) : stops.length === 1 ? (
              "only this can be set"
            ) : null}
          </small>
          <Button
            size="compact-xs"
            variant={locked ? "filled" : "default"}
            className={s.button}
            aria-pressed={locked}
            title={
              locked
                ? "kept exactly, in every format and on every board: press to let it move again"
                : "keep it exactly, in every format and on every board: a die, a bought blank, a piece already cut"
            }
            onClick={turnLock}
          >
            {locked ? "locked" : "lock"}
          </Button>
          {parameter.hold === "set" ? (
            <Button size="compact-xs" variant="default" className={s.button} onClick={() => onSet(parameter.id, null)}>
              let go
            </Button>
          ) : null}
        </div>
      ) : null}
      {open && stops.length > 1 ? (
        <div className={s.line}>
          <span aria-hidden="true">{parameter.least}</span>
          <Slider
            min={0}
            max={stops.length - 1}
            step={1}
            value={at}
            size={6}
            thumbSize={22}
            label={null}
            thumbLabel={`${parameter.name}: ${parameter.meaning}`}
            thumbValueText={`${stops[at] ? figureText(stops[at].text) : ""} ${unit}`}
            onChange={(i) => {
              setMoving(i);
              onTry(parameter.id, stops[i]?.exact ?? "");
            }}
            onChangeEnd={(i) => {
              setMoving(null);
              const stop = stops[i];
              if (stop && (stop.units !== parameter.value.units || moving !== null)) {
                onSet(parameter.id, stop.exact);
              }
            }}
          />
          <span aria-hidden="true">{parameter.most}</span>
        </div>
      ) : null}
    </div>
  );
}

/** How large a closed card stands in a choice, in pixels. */
const SMALL = 18;

/**
 * The closed card as it is held when it opens that way, its spine at the left or at the top: read the other way, its sides change places.
 */
function Read({ closed, as, now }: { closed: Schemas["ClosedView"]; as: string; now: boolean }) {
  const sides = [closed.width.units, closed.height.units] as const;
  const scale = SMALL / Math.max(...sides);
  const [wide, high] = (now ? sides : [sides[1], sides[0]]).map((side) => side * scale) as [number, number];
  return (
    <svg width={wide + 2} height={high + 2} aria-hidden="true" data-part="read-as">
      <rect x={1} y={1} width={wide} height={high} fill="none" stroke="currentColor" />
      <path d={as === "upwards" ? `M1 2h${wide}` : `M2 1v${high}`} stroke="currentColor" strokeWidth={3} />
    </svg>
  );
}
