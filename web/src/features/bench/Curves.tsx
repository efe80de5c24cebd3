import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Desk, Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Fig, figureText, Sentence, sentenceText } from "../../components/Fig";
import type { Opener } from "../../components/Later";
import { Pop } from "../../components/Pop";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import s from "./Curves.module.css";

type Curve = Schemas["CurveView"];
type Point = Schemas["CurvePointView"];

type Traded = { desk: Desk | undefined; unit: string; onPick: (curve: Curve, point: Point) => void };

/** What is traded off, as a curve to pick from. */
export function Curves({ button, ...traded }: Traded & { button: Opener }) {
  return (
    <Pop button={button} position="left-end" withinPortal={false} width={400} className={s.curves}>
      {() => <CurveList {...traded} />}
    </Pop>
  );
}

/** Worked out when it is looked at. */
function CurveList({ desk, unit, onPick }: Traded) {
  const curves = useQuery(queries.curves(desk));
  return (
    <>
      {curves.error ? <Trouble problem={curves.error} /> : null}
      {curves.isLoading ? <Waiting for="Trying every value" /> : null}
      {curves.data?.length === 0 ? <p>Nothing is traded off here: every value that can be set is as good in one way.</p> : null}
      {curves.data?.map((curve) => (
        <CurveDrawing key={curve.parameter + curve.oneName} curve={curve} unit={unit} onPick={(point) => onPick(curve, point)} />
      ))}
    </>
  );
}

const WIDTH = 300;
const HEIGHT = 150;

/** Every point is one that can be set; none is worse than another in everything. */
export function CurveDrawing({ curve, unit, onPick }: { curve: Curve; unit: string; onPick: (point: Point) => void }) {
  const [looked, setLooked] = useState<Point | null>(null);
  const shown = looked ?? curve.points.find((p) => p.current) ?? curve.points[0];
  const at = (p: Point) => ({ left: Math.round(p.x * WIDTH), top: Math.round((1 - p.y) * HEIGHT) });
  return (
    <fieldset className={s.curve} data-part="curve">
      <legend>
        {curve.oneName} against {curve.otherName}
      </legend>
      <div className={s.plot} data-part="curve-plot" style={{ width: WIDTH, height: HEIGHT }}>
        <svg width={WIDTH} height={HEIGHT} aria-hidden="true">
          <polyline points={curve.points.map((p) => `${at(p).left},${at(p).top}`).join(" ")} />
        </svg>
        {curve.points.map((point) => (
          <button
            key={point.value.units}
            type="button"
            style={at(point)}
            className={`${point.current ? s.current : ""} ${point.costly ? s.costly : ""}`}
            aria-pressed={point.current}
            aria-label={[
              `${curve.parameterName} ${figureText(point.value.text)} ${unit}: ${curve.oneName} ${figureText(point.one)}`,
              `${curve.otherName} ${figureText(point.other)}`,
              sentenceText(point.costs),
            ].join(", ")}
            onMouseEnter={() => setLooked(point)}
            onFocus={() => setLooked(point)}
            onMouseLeave={() => setLooked(null)}
            onBlur={() => setLooked(null)}
            onClick={() => onPick(point)}
          />
        ))}
      </div>
      <p className={s.axes} aria-hidden="true">
        <span>↑ more {curve.otherName}</span>
        <span>more {curve.oneName} →</span>
      </p>
      {shown ? (
        <p aria-hidden="true">
          {curve.parameterName}{" "}
          <b>
            <Fig figure={shown.value.text} /> {unit}
          </b>
          : {curve.oneName} <Fig figure={shown.one} />, {curve.otherName} <Fig figure={shown.other} />;{" "}
          <Sentence parts={shown.costs} />
        </p>
      ) : null}
    </fieldset>
  );
}
