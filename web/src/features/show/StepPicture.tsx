import type { Schemas } from "../../api/client";
import s from "./StepPicture.module.css";

const line = (points: number[], closed: boolean) => {
  let d = "";
  for (let i = 0; i + 1 < points.length; i += 2) {
    d += `${i === 0 ? "M" : "L"}${points[i]} ${points[i + 1]}`;
  }
  return closed ? `${d}z` : d;
};

/** What one has in hand after a step; what the step brings stands out. The core has seen to what is where. */
export function StepPicture({ drawing, before }: { drawing: Schemas["DrawnStep"]; before?: boolean }) {
  const size = Math.max(drawing.width, drawing.height);
  const edge = size * 0.04;
  return (
    <svg
      className={s.picture}
      viewBox={`${-edge} ${-edge} ${drawing.width + 2 * edge} ${drawing.height + 2 * edge}`}
      role="img"
      aria-label={`${drawing.name}, ${before ? "before" : "after"}`}
    >
      {drawing.marks
        .filter((m) => !before || !m.new)
        .map((mark, i) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: the order is the picture
            key={i}
            d={mark.lines.map((l) => line(l, mark.closed)).join("")}
            fillRule="evenodd"
            className={`${s.mark} ${s[mark.kind]}`}
            data-kind={mark.kind}
            data-new={mark.new ? "" : undefined}
            style={
              {
                "--unit": `${size / 300}px`,
                "--light": mark.light,
                ...(mark.tint ? { "--tint": mark.tint } : {}),
              } as React.CSSProperties
            }
          />
        ))}
    </svg>
  );
}
