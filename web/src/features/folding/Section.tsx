import type { Schemas } from "../../api/client";
import s from "./Section.module.css";

const WIDTH = 330;
const ROW = 17;

/** The closed card cut through at its thickest, its plies in their order, as far apart as one can see them. */
export function Section({ section, lit }: { section: Schemas["SectionView"]; lit: string[] }) {
  const scale = WIDTH / section.width;
  const height = (section.rows - 1) * ROW;
  const x = (at: number) => 12 + at * scale;
  const y = (row: number) => 12 + height - row * ROW;
  return (
    <figure>
      <svg
        width={WIDTH + 24}
        height={height + 24}
        role="img"
        aria-label={`The plies of the closed card, from the table up: ${[...section.plies]
          .sort((a, b) => a.row - b.row)
          .map((p) => p.name)
          .join(", ")}`}
        className={s.section}
      >
        {section.stuck.map((g) => (
          <rect
            key={`${g.from} ${g.to} ${g.low} ${g.high}`}
            x={x(g.from)}
            y={y(g.high)}
            width={(g.to - g.from) * scale}
            height={(g.high - g.low) * ROW}
            className={s.stuck}
          />
        ))}
        {section.folds.map((f) => {
          // The fold bulges outwards: to the side on which neither of its plies goes on.
          const out = section.plies.some((p) => (p.row === f.low || p.row === f.high) && Math.abs(p.from - f.from) < 2) ? -1 : 1;
          const by = out * Math.min(10, ((f.high - f.low) * ROW) / 2);
          return (
            <path
              key={`${f.from} ${f.low} ${f.high}`}
              d={`M${x(f.from)} ${y(f.low)}C${x(f.from) + by} ${y(f.low)} ${x(f.from) + by} ${y(f.high)} ${x(f.from)} ${y(f.high)}`}
              className={s.fold}
            />
          );
        })}
        {section.plies.map((p) => (
          <g key={`${p.plate} ${p.from}`}>
            <title>{p.name}</title>
            <line
              x1={x(p.from)}
              x2={x(p.to)}
              y1={y(p.row)}
              y2={y(p.row)}
              className={`${s.ply} ${lit.includes(p.plate) ? s.lit : ""}`}
              data-part="ply"
            />
            {(p.to - p.from) * scale > p.name.length * 6.2 + 8 ? (
              <text x={x((p.from + p.to) / 2)} y={y(p.row) - 3.5} textAnchor="middle">
                {p.name}
              </text>
            ) : null}
          </g>
        ))}
      </svg>
      <figcaption>
        Cut through at its thickest, seen {section.acrossX ? "from the foot" : "from the side"}: the order of its plies, spread so
        that one sees it.
      </figcaption>
    </figure>
  );
}
