import { Button, SegmentedControl, Slider } from "@mantine/core";
import { type ReactNode, useState } from "react";
import type { BenchView, Schemas } from "../../api/client";
import { Fig, Sentence } from "../../components/Fig";

type ParameterView = Schemas["ParameterView"];

/** What is traded off: each parameter over the values that can be set, each school, and which wish comes first. */
export function Adjust({
  view,
  onTry,
  onSet,
  onChoice,
  onPriority,
  curves,
}: {
  view: BenchView;
  onTry: (parameter: string, value: string) => void;
  onSet: (parameter: ParameterView, value: string | null, text: string) => void;
  onChoice: (choice: string, value: string) => void;
  onPriority: (priority: string, name: string) => void;
  curves: ReactNode;
}) {
  return (
    <section className="adjust" aria-label="Adjust">
      {curves}
      {view.choices.map((choice) => (
        <div key={choice.id} className="choice">
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
          unit={view.unit}
          compact={view.parameters.length > 2}
          onTry={onTry}
          onSet={onSet}
        />
      ))}
      <fieldset className="priorities">
        <legend>If not all can be had</legend>
        {view.alternatives.map((a) => (
          <button
            key={a.priority}
            type="button"
            aria-pressed={a.current}
            className={a.same && !a.current ? "same" : ""}
            onClick={() => onPriority(a.priority, a.name)}
          >
            <b>{a.name}</b>
            <span>{a.same && !a.current ? "the same figures" : <Sentence text={a.gives} />}</span>
          </button>
        ))}
      </fieldset>
    </section>
  );
}

function Trade({
  parameter,
  unit,
  compact,
  onTry,
  onSet,
}: {
  parameter: ParameterView;
  unit: string;
  compact: boolean;
  onTry: (parameter: string, value: string) => void;
  onSet: (parameter: ParameterView, value: string | null, text: string) => void;
}) {
  const stops = parameter.stops;
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
    <div className={compact ? "trade compact" : "trade"}>
      <div className="trade-head">
        <span id={label} title={parameter.meaning}>
          {parameter.name}
        </span>
        <b>
          <Fig text={moving === null ? parameter.value.text : (stops[at]?.text ?? "")} /> {unit}
        </b>
        <small>
          {stops.length > 1 && compact ? null : stops.length > 1 ? (
            <>
              can be <Fig text={parameter.min?.text ?? ""} /> to <Fig text={parameter.max?.text ?? ""} />
            </>
          ) : stops.length === 1 ? (
            "only this can be set"
          ) : (
            "set by you"
          )}
        </small>
        {parameter.pinned ? (
          <Button size="compact-xs" variant="default" onClick={() => onSet(parameter, null, "")}>
            let go
          </Button>
        ) : null}
      </div>
      {stops.length > 1 ? (
        <div className="trade-line">
          <span aria-hidden="true">{compact ? <Fig text={parameter.min?.text ?? ""} /> : parameter.least}</span>
          <Slider
            min={0}
            max={stops.length - 1}
            step={1}
            value={at}
            size={6}
            thumbSize={22}
            label={null}
            thumbLabel={`${parameter.name}: ${parameter.meaning}`}
            thumbProps={{ "aria-valuetext": `${stops[at]?.text} ${unit}` }}
            onChange={(i) => {
              setMoving(i);
              onTry(parameter.id, stops[i]?.exact ?? "");
            }}
            onChangeEnd={(i) => {
              setMoving(null);
              const stop = stops[i];
              if (stop && stop.units !== parameter.value.units) {
                onSet(parameter, stop.exact, stop.text);
              } else if (stop && moving !== null) {
                onSet(parameter, stop.exact, stop.text);
              }
            }}
          />
          <span aria-hidden="true">{compact ? <Fig text={parameter.max?.text ?? ""} /> : parameter.most}</span>
        </div>
      ) : null}
    </div>
  );
}
