import { memo } from "react";
import type { Schemas } from "../api/client";
import s from "./Pose.module.css";

export type PosesView = Schemas["PosesView"];

const outline = (points: number[]) => {
  let d = "";
  for (let i = 0; i + 1 < points.length; i += 2) {
    d += `${i === 0 ? "M" : "L"}${points[i]} ${points[i + 1]}`;
  }
  return `${d}z`;
};

/** One picture of the card on its way from closed to shown. The core has seen to what lies where; this fills it in. */
export const Pose = memo(function Pose({
  poses,
  frame,
  label,
  lit,
}: {
  poses: PosesView;
  frame: number;
  label: string;
  /** Plates that the step at hand is about. */
  lit?: readonly string[];
}) {
  const shown = poses.frames[Math.min(frame, poses.frames.length - 1)];
  const edge = Math.max(poses.width, poses.height) * 0.02;
  return (
    <svg
      viewBox={`${poses.left - edge} ${poses.top - edge} ${poses.width + 2 * edge} ${poses.height + 2 * edge}`}
      className={s.pose}
      role="img"
      aria-label={shown?.shapes.some((shape) => shape.struck) ? `${label}; what runs into something is outlined` : label}
    >
      {shown?.shapes.map((shape, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: the order is the picture
          key={i}
          d={outline(shape.outline) + shape.holes.map(outline).join("")}
          fillRule="evenodd"
          className={`${s.shape} ${shape.layer ? s.decor : lit?.includes(shape.plate) ? s.lit : shape.inside ? s.inside : s.outside}`}
          data-part="shape"
          style={{ "--light": shape.light, "--tint": shape.tint ?? undefined } as React.CSSProperties}
          data-tint={shape.tint ? "" : undefined}
          data-struck={shape.struck ? "" : undefined}
        />
      ))}
    </svg>
  );
});

/** Which frame to show at a share of the way; where a card does not move as rigid panels there are only its two ends. */
export const frameAt = (poses: PosesView, share: number) =>
  poses.moves ? Math.round(share * (poses.frames.length - 1)) : share < 0.5 ? 0 : poses.frames.length - 1;
