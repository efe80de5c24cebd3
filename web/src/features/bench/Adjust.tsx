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
  onPriority,
  curves,
}: {
  view: BenchView;
  desk: Desk | undefined;
  onTry: (parameter: string, value: string) => void;
  onSet: (parameter: string, value: string | null) => void;
  onLock: (parameter: string, value: string | null) => void;
  onChoice: (choice: string, value: string) => void;
  onPriority: (priority: string, name: string) => void;
  curves: ReactNode;
}) {
  const ranges = useQuery(queries.ranges(view.stuck ? undefined : desk));
  const alternatives = useQuery(queries.alternatives(desk));
  return (
    <section className={s.adjust} aria-label="Adjust">
      {curves}
      {view.choices.map((choice) => (
        <div key={choice.id} className={s.choice}>
          <span id={`choice-${choice.id}`} title={choice.meaning}>
            {choice.name}
          </span>
          <SegmentedControl
            size="xs"
            aria-labelledby={`choice-${choice.id}`}
            data={choice.options}
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
          compact={view.parameters.length > 2}
          onTry={onTry}
          onSet={onSet}
          onLock={onLock}
        />
      ))}
      <fieldset className={s.priorities}>
        <legend>If not all can be had</legend>
        {alternatives.data?.map((a) => (
          <button key={a.priority} type="button" aria-pressed={a.current} onClick={() => onPriority(a.priority, a.name)}>
            <b>{a.name}</b>
            <span>{a.same && !a.current ? "the same figures" : <Sentence parts={a.gives} />}</span>
          </button>
        ))}
      </fieldset>
    </section>
  );
}

function Trade({
  parameter,
  range,
  unit,
  compact,
  onTry,
  onSet,
  onLock,
}: {
  parameter: ParameterView;
  /** What it can be set to; not known yet where it is not given. */
  range: RangeView | undefined;
  unit: string;
  compact: boolean;
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
  const label = `trade-${parameter.id}`;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the key is heard from the slider and the buttons in it
    <div
      className={`${s.trade} ${compact ? s.compact : ""}`}
      onKeyDown={(e) => {
        if (e.key.toLowerCase() === "k" && !e.ctrlKey && !e.metaKey && !e.altKey) {
          turnLock();
        }
      }}
    >
      <div className={s.head}>
        <span id={label} title={parameter.meaning}>
          {parameter.name}
        </span>
        <b>
          <Fig figure={moving === null ? parameter.value.text : (stops[at]?.text ?? parameter.value.text)} /> {unit}
        </b>
        <small>
          {stops.length > 1 && compact ? null : stops.length > 1 ? (
            <>
              can be {range ? <Fig figure={range.min.text} /> : null} to {range ? <Fig figure={range.max.text} /> : null}
            </>
          ) : stops.length === 1 ? (
            "only this can be set"
          ) : locked ? (
            "locked"
          ) : parameter.hold === "set" ? (
            "set by you"
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
      {stops.length > 1 ? (
        <div className={s.line}>
          <span aria-hidden="true">{compact && range ? <Fig figure={range.min.text} /> : parameter.least}</span>
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
          <span aria-hidden="true">{compact && range ? <Fig figure={range.max.text} /> : parameter.most}</span>
        </div>
      ) : null}
    </div>
  );
}
