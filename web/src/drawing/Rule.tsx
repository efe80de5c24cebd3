import { memo } from "react";
import type { Schemas } from "../api/client";
import d from "./drawing.module.css";
import { RULE_HEIGHT } from "./measure";

/** The user's own board as a rule: its grooves where they are, figures where a person reads them. */
export const RuleDrawing = memo(function RuleDrawing({
  rule,
  x,
  y,
  scale,
  length,
}: {
  rule: Schemas["Rule"];
  x: number;
  y: number;
  scale: number;
  length: number;
}) {
  const shown = rule.ticks.filter((t) => t.at <= length);
  const end = Math.min(length, rule.end) * scale;
  const two = rule.ticks.some((t) => t.comb > 0);
  // Grooves nearer than three pixels would run into a grey band; the whole ones always show.
  const near = (size: string, comb: number) => {
    const same = rule.ticks.filter((t) => t.comb === comb);
    const step = (same[1]?.at ?? 1) - (same[0]?.at ?? 0);
    return size === "groove" && step * scale < 3;
  };
  // Every whole mark carries its figure where there is room, otherwise every second, fifth or tenth.
  const every = (comb: number) => {
    const wholes = rule.ticks.filter((t) => t.comb === comb && t.size === "whole");
    const step = ((wholes[1]?.at ?? 0) - (wholes[0]?.at ?? 0)) * scale;
    return [1, 2, 5, 10].find((n) => n * step >= 19) ?? 10;
  };
  return (
    <g data-rule-x={x}>
      <rect x={x - 8} y={y} width={end + 16} height={RULE_HEIGHT} rx={3} className={d.ruleBody} />
      {shown.map((tick) => {
        if (near(tick.size, tick.comb)) {
          return null;
        }
        const at = x + tick.at * scale;
        const tall = tick.size === "whole" ? 13 : tick.size === "half" ? 10 : 7;
        const [from, to] = tick.comb === 0 ? [y, y + tall] : [y + RULE_HEIGHT, y + RULE_HEIGHT - tall];
        return (
          <line
            key={`${tick.comb}-${tick.at}`}
            x1={at}
            x2={at}
            y1={from}
            y2={to}
            className={`${d.tick} ${tick.size === "groove" ? d.groove : ""}`}
            data-groove={tick.at}
            data-comb={tick.comb}
          />
        );
      })}
      {shown
        .filter((t) => t.label !== "" && t.at > 0 && Number(t.label) % every(t.comb) === 0)
        .map((tick) => (
          <text
            key={`l${tick.comb}-${tick.at}`}
            x={x + tick.at * scale}
            y={two ? (tick.comb === 0 ? y + 16.5 : y + RULE_HEIGHT - 8.5) : y + 26.5}
            textAnchor="middle"
            className={d.ruleText}
          >
            {tick.label}
          </text>
        ))}
    </g>
  );
});
