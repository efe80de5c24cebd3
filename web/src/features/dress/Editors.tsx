import { Button, Checkbox, NativeSelect, SegmentedControl, TextInput } from "@mantine/core";
import type { ReactNode } from "react";
import type { Edit, Schemas } from "../../api/client";
import s from "./Dress.module.css";
import {
  aLayer,
  cutWindow,
  type ElementSpec,
  type LayerSpec,
  middle,
  mirrored,
  type PlaceSpec,
  putOn,
  shape,
  tie,
  type WindowSpec,
  wear,
} from "./edits";

type DressView = Schemas["DressView"];
type Commit = (edits: Edit[]) => void;

/** A text that is given once one leaves it, or presses Enter. */
function Given({
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

const anchors = ["head-left", "head", "head-right", "left", "centre", "right", "foot-left", "foot", "foot-right"];

/** One of nine places, and its distances from the edges there. */
function Where({ place, onPlace }: { place: PlaceSpec; onPlace: (place: PlaceSpec) => void }) {
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

const faceOptions = (view: DressView) => {
  const faces = view.sides.flatMap((side) => side.faces.map((f) => ({ value: f.id, label: f.name })));
  const roles = view.roles.filter((r) => r.faces.length > 1).map((r) => ({ value: r.id, label: `all of: ${r.name}` }));
  return [...roles, ...faces.filter((f, i) => faces.findIndex((g) => g.value === f.value) === i)];
};

const named = (view: DressView, role: string) => {
  const single = view.roles.find((r) => r.id === role);
  return single?.faces.length === 1 ? single.faces[0] : role;
};

const paperOptions = (view: DressView) => view.papers.map((p) => ({ value: p.id, label: `${p.name}${p.wayUp ? " ↑" : ""}` }));

export function LayerEditor({
  view,
  role,
  level,
  face,
  onCommit,
}: {
  view: DressView;
  role: string;
  level: number;
  face: string | null;
  onCommit: Commit;
}) {
  const target = face ?? role;
  const now: LayerSpec =
    view.dressing.layers?.find((l) => l.role === target && l.level === level) ??
    view.dressing.layers?.find((l) => l.role === role && l.level === level) ??
    aLayer(target, level);
  const change = (part: Partial<LayerSpec>) => onCommit([wear(target, level, { ...now, ...part, role: target, level })]);
  return (
    <>
      <NativeSelect
        size="sm"
        label="Paper"
        data={[{ value: "", label: "the design's own" }, ...paperOptions(view)]}
        value={now.stock ?? ""}
        onChange={(e) => change({ stock: e.currentTarget.value || null })}
      />
      <div className={s.pair}>
        <Given
          label="Border at the sides"
          value={String(now.reveal?.x ?? "")}
          placeholder="as the design's reveal"
          onGive={(x) => change({ reveal: { ...now.reveal, x: x || undefined } })}
        />
        <Given
          label="Border at head and foot"
          value={String(now.reveal?.y ?? "")}
          placeholder="as the design's reveal"
          onGive={(y) => change({ reveal: { ...now.reveal, y: y || undefined } })}
        />
      </div>
      <SegmentedControl
        size="xs"
        aria-label="Where something is bonded on its face"
        data={[
          { value: "", label: "as usual" },
          { value: "free", label: "ends beside it" },
          { value: "first", label: "goes on first" },
        ]}
        value={now.under ?? ""}
        onChange={(under) => change({ under: under || null })}
      />
      <Checkbox
        size="sm"
        label="to write on"
        checked={now.write ?? false}
        onChange={(e) => change({ write: e.currentTarget.checked })}
      />
      <div className={s.buttons}>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => onCommit([wear(target, level, { ...now, role: target, level, worn: false })])}
        >
          leave it bare
        </Button>
        <Button size="compact-sm" variant="default" onClick={() => onCommit([wear(target, level, null)])}>
          as usual
        </Button>
      </div>
    </>
  );
}

export function WindowEditor({ view, id, onCommit }: { view: DressView; id: string; onCommit: Commit }) {
  const now = view.dressing.windows?.find((w) => w.id === id);
  if (!now) {
    return null;
  }
  const change = (part: Partial<WindowSpec>) => onCommit([cutWindow(id, { ...now, ...part })]);
  const size = now.size ?? [];
  return (
    <>
      <NativeSelect
        size="sm"
        label="Cut by"
        data={[
          { value: "", label: "knife and metal rule" },
          ...view.dies.map((d) => ({ value: d.id, label: `${d.name}, ${d.detail}${d.owned ? "" : ", not there"}` })),
        ]}
        value={now.die ?? ""}
        onChange={(e) =>
          change(
            e.currentTarget.value
              ? { die: e.currentTarget.value, size: null }
              : { die: null, size: size.length === 2 ? size : [`40 mm`, `40 mm`] },
          )
        }
      />
      {now.die ? null : (
        <div className={s.pair}>
          <Given label="Wide" value={String(size[0] ?? "")} onGive={(w) => change({ size: [w, size[1] ?? w] })} />
          <Given label="High" value={String(size[1] ?? "")} onGive={(h) => change({ size: [size[0] ?? h, h] })} />
        </div>
      )}
      <NativeSelect
        size="sm"
        label="In"
        data={faceOptions(view)}
        value={named(view, now.role)}
        onChange={(e) => change({ role: e.currentTarget.value, place: null })}
      />
      <Where place={now.place ?? middle} onPlace={(place) => change({ place })} />
      <SegmentedControl
        size="xs"
        aria-label="Through what it is cut"
        data={[
          { value: "all", label: "card and papers" },
          { value: "card", label: "card alone" },
          { value: "paper", label: "first paper alone" },
        ]}
        value={now.through == null ? "all" : now.through.includes(0) ? "card" : "paper"}
        onChange={(through) => change({ through: through === "all" ? null : through === "card" ? [0] : [1] })}
      />
      <div className={s.buttons}>
        <Button size="compact-sm" variant="default" onClick={() => change({ place: mirrored(now.place ?? middle) })}>
          mirror it
        </Button>
        <Button size="compact-sm" variant="default" onClick={() => onCommit([cutWindow(id, null)])}>
          no window
        </Button>
      </div>
    </>
  );
}

export function ElementEditor({ view, id, onCommit }: { view: DressView; id: string; onCommit: Commit }) {
  const now = view.dressing.elements?.find((e) => e.id === id);
  if (!now) {
    return null;
  }
  const change = (part: Partial<ElementSpec>) => onCommit([putOn(id, { ...now, ...part })]);
  const size = now.size ?? [];
  const like = view.roles.find((r) => r.faces.length > 1 && r.faces.includes(now.role));
  return (
    <>
      <div className={s.pair}>
        <Given label="What it is" value={now.name ?? ""} onGive={(name) => change({ name })} />
        <NativeSelect
          size="sm"
          label="On"
          data={faceOptions(view)}
          value={named(view, now.role)}
          onChange={(e) => change({ role: e.currentTarget.value })}
        />
      </div>
      <div className={s.pair}>
        <Given label="Wide" value={String(size[0] ?? "")} onGive={(w) => change({ size: [w, size[1] ?? w] })} />
        <Given label="High" value={String(size[1] ?? "")} onGive={(h) => change({ size: [size[0] ?? h, h] })} />
      </div>
      <div className={s.pair}>
        <NativeSelect
          size="sm"
          label="Shape"
          data={[
            { value: "rectangle", label: "rectangle" },
            { value: "circle", label: "circle" },
            { value: "ellipse", label: "oval" },
            ...view.motifs.map((m) => ({ value: `motif:${m}`, label: m })),
            ...(now.shape === "polygon" && !now.motif ? [{ value: "polygon", label: "its own drawing" }] : []),
          ]}
          value={now.motif ? `motif:${now.motif}` : (now.shape ?? "rectangle")}
          onChange={(e) => {
            const to = e.currentTarget.value;
            change(
              to.startsWith("motif:")
                ? { shape: "polygon", motif: to.slice(6), outline: null, svg: null }
                : { shape: to, motif: null },
            );
          }}
        />
        <NativeSelect
          size="sm"
          label="Made"
          data={[
            { value: "stamped", label: "stamped" },
            { value: "printed", label: "printed" },
            { value: "die-cut", label: "cut by die" },
            { value: "built-up", label: "built up" },
          ]}
          value={now.made ?? "die-cut"}
          onChange={(e) => change({ made: e.currentTarget.value })}
        />
      </div>
      {now.made === "stamped" || now.made === "printed" ? null : (
        <>
          <div className={s.pair}>
            <NativeSelect
              size="sm"
              label="Cut from"
              data={[{ value: "", label: "the design's mat" }, ...paperOptions(view)]}
              value={now.stock ?? ""}
              onChange={(e) => change({ stock: e.currentTarget.value || null })}
            />
            <Given
              label="Stands off its face"
              value={String(now.height ?? "")}
              placeholder="flat"
              onGive={(height) => change({ height: height || undefined })}
            />
          </div>
          <NativeSelect
            size="sm"
            label="Held"
            data={[
              { value: "face", label: "on its face" },
              { value: "lock", label: "as what a lock catches under" },
              { value: "strip", label: "by a clear strip" },
              { value: "thread", label: "by a thread, to turn" },
              { value: "slide", label: "on the slide" },
            ]}
            value={now.held ?? "face"}
            onChange={(e) => change({ held: e.currentTarget.value })}
          />
          <Checkbox
            size="sm"
            label="bonded on this panel only, so that it may hang over"
            checked={now.bondedOn != null}
            onChange={(e) =>
              change({
                bondedOn: e.currentTarget.checked
                  ? (view.sides
                      .flatMap((x) => x.faces)
                      .find((f) => f.things.some((t) => t.id === id && !t.window))
                      ?.id.split(".")
                      .slice(0, 2)
                      .join(".") ?? null)
                  : null,
              })
            }
          />
        </>
      )}
      <Where place={now.place ?? middle} onPlace={(place) => change({ place })} />
      <Checkbox
        size="sm"
        label="keeps its size in every format"
        checked={now.fixed ?? true}
        onChange={(e) => change({ fixed: e.currentTarget.checked })}
      />
      <div className={s.buttons}>
        {like ? (
          <Button size="compact-sm" variant="default" onClick={() => change({ role: like.id })}>
            on all {like.faces.length} like it
          </Button>
        ) : null}
        <Button size="compact-sm" variant="default" onClick={() => change({ place: mirrored(now.place ?? middle) })}>
          mirror it
        </Button>
        <Button size="compact-sm" variant="default" onClick={() => onCommit([putOn(id, null)])}>
          take it off
        </Button>
      </div>
    </>
  );
}

export function SoftEditor({ view, id, onCommit }: { view: DressView; id: string; onCommit: Commit }) {
  const now = view.dressing.soft?.find((x) => x.id === id);
  if (!now) {
    return null;
  }
  const change = (part: Partial<typeof now>) => onCommit([tie(id, { ...now, ...part })]);
  return (
    <>
      <div className={s.pair}>
        <NativeSelect
          size="sm"
          label="What"
          data={["ribbon", "twine", "thread", "tape", "foam"]}
          value={now.kind ?? "ribbon"}
          onChange={(e) => change({ kind: e.currentTarget.value })}
        />
        <NativeSelect
          size="sm"
          label="How"
          data={[
            { value: "run", label: "along the face" },
            { value: "wrap", label: "round the card" },
            { value: "bow", label: "with a bow" },
            { value: "knot", label: "with a knot" },
          ]}
          value={now.rule ?? "wrap"}
          onChange={(e) => change({ rule: e.currentTarget.value })}
        />
      </div>
      <div className={s.pair}>
        <Given label="Width" value={String(now.width ?? "")} onGive={(width) => change({ width: width || undefined })} />
        <NativeSelect
          size="sm"
          label="Passes"
          data={["1", "2", "3", "4"]}
          value={String(now.passes ?? 1)}
          onChange={(e) => change({ passes: Number(e.currentTarget.value) })}
        />
      </div>
      <Button size="compact-sm" variant="default" onClick={() => onCommit([tie(id, null)])}>
        take it off
      </Button>
    </>
  );
}

export function ContourEditor({ view, id, onCommit }: { view: DressView; id: string; onCommit: Commit }) {
  const now = view.dressing.contours?.find((c) => c.id === id);
  if (!now) {
    return null;
  }
  return (
    <>
      <div className={s.pair}>
        <NativeSelect
          size="sm"
          label="Cut to"
          data={["roofs", "hills", "waves"]}
          value={now.shape ?? "hills"}
          onChange={(e) => onCommit([shape(id, { ...now, shape: e.currentTarget.value })])}
        />
        <Given
          label="Rises"
          value={String(now.height ?? "")}
          placeholder="as usual"
          onGive={(height) => onCommit([shape(id, { ...now, height: height || undefined })])}
        />
      </div>
      <Button size="compact-sm" variant="default" onClick={() => onCommit([shape(id, null)])}>
        straight again
      </Button>
    </>
  );
}

/** What a chosen thing is changed by, in place. */
export function Editor({ children, why }: { children: ReactNode; why?: ReactNode }) {
  return (
    <div className={s.editor}>
      {why ? <p>{why}</p> : null}
      {children}
    </div>
  );
}
