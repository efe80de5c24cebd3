import { NativeSelect, TextInput } from "@mantine/core";
import type { Edit, Schemas } from "../../api/client";
import s from "./Dress.module.css";
import type { PlaceSpec } from "./edits";

type DressView = Schemas["DressView"];
export type Commit = (edits: Edit[]) => void;

/** A text that is given once one leaves it, or presses Enter. */
export function Given({
  label,
  value,
  placeholder,
  onGive,
}: {
  label: string;
  value: string;
  placeholder?: string;
  onGive: (value: string) => void;
}) {
  const give = (text: string) => {
    if (text.trim() !== value) {
      onGive(text.trim());
    }
  };
  return (
    <TextInput
      key={value}
      size="sm"
      label={label}
      defaultValue={value}
      placeholder={placeholder}
      onBlur={(e) => give(e.currentTarget.value)}
      onKeyDown={(e) => {
        if (e.key === "Enter") {
          give(e.currentTarget.value);
        }
      }}
    />
  );
}

/** One of a few, picked. */
export function Pick({
  label,
  data,
  value,
  onPick,
}: {
  label: string;
  data: (string | { value: string; label: string })[];
  value: string | undefined;
  onPick: (picked: string) => void;
}) {
  return <NativeSelect size="sm" label={label} data={data} value={value} onChange={(e) => onPick(e.currentTarget.value)} />;
}

const anchors = ["head-left", "head", "head-right", "left", "centre", "right", "foot-left", "foot", "foot-right"];

/** One of nine places, and its distances from the edges there. */
export function Where({ place, onPlace }: { place: PlaceSpec; onPlace: (place: PlaceSpec) => void }) {
  const anchor = place.anchor ?? "centre";
  const from = place.from ?? [];
  const across = anchor.includes("right") ? "right" : "left";
  const upDown = anchor.includes("head") ? "head" : "foot";
  const given = (edges: string[]) => from.find((f) => edges.includes(f.edge));
  const set = (edges: string[], edge: string, distance: string) =>
    onPlace({
      ...place,
      anchor,
      from: [...from.filter((f) => !edges.includes(f.edge)), ...(distance === "" ? [] : [{ edge, distance }])],
    });
  const sides = given(["left", "right"]);
  const ends = given(["head", "foot"]);
  return (
    <div className={s.pair}>
      <fieldset className={s.anchors}>
        <legend>Where on its face</legend>
        {anchors.map((a) => (
          <button
            key={a}
            type="button"
            aria-pressed={a === anchor}
            aria-label={a.replace("-", ", ")}
            onClick={() => onPlace({ ...place, anchor: a, from: null })}
          >
            {a === anchor ? "●" : "·"}
          </button>
        ))}
      </fieldset>
      <div>
        <Given
          label={`From the ${sides?.edge ?? across}`}
          value={String(sides?.distance ?? "")}
          placeholder={anchor.includes("left") || anchor.includes("right") ? "beside it" : "middle"}
          onGive={(d) => set(["left", "right"], sides?.edge ?? across, d)}
        />
        <Given
          label={`From the ${ends?.edge ?? upDown}`}
          value={String(ends?.distance ?? "")}
          placeholder={anchor.includes("head") || anchor.includes("foot") ? "beside it" : "middle"}
          onGive={(d) => set(["head", "foot"], ends?.edge ?? upDown, d)}
        />
      </div>
    </div>
  );
}

export const faceOptions = (view: DressView) => {
  const faces = view.sides.flatMap((side) => side.faces.map((f) => ({ value: f.id, label: f.name })));
  const roles = view.roles.filter((r) => r.faces.length > 1).map((r) => ({ value: r.id, label: `all of: ${r.name}` }));
  return [...roles, ...faces.filter((f, i) => faces.findIndex((g) => g.value === f.value) === i)];
};

export const named = (view: DressView, role: string) => {
  const single = view.roles.find((r) => r.id === role);
  return single?.faces.length === 1 ? single.faces[0] : role;
};

export const paperOptions = (view: DressView) =>
  view.papers.map((p) => ({ value: p.id, label: `${p.name}${p.wayUp ? " ↑" : ""}` }));
