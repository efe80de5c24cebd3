import { Button, Checkbox, SegmentedControl } from "@mantine/core";
import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import s from "./Dress.module.css";
import { aLayer, around, cutWindow, type LayerSpec, middle, mirrored, newId, shape, tie, type WindowSpec, wear } from "./edits";
import { type Commit, faceOptions, Given, named, Pick, paperOptions, Where } from "./Fields";

type DressView = Schemas["DressView"];

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
      <Pick
        label="Paper"
        data={[{ value: "", label: "the design's own" }, ...paperOptions(view)]}
        value={now.stock ?? ""}
        onPick={(picked) => change({ stock: picked || null })}
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
      <Pick
        label="Cut by"
        data={[
          { value: "", label: "knife and metal rule" },
          ...view.dies.map((d) => ({ value: d.id, label: `${d.name}, ${d.detail}${d.owned ? "" : ", not there"}` })),
        ]}
        value={now.die ?? ""}
        onPick={(picked) =>
          change(picked ? { die: picked, size: null } : { die: null, size: size.length === 2 ? size : [`40 mm`, `40 mm`] })
        }
      />
      {now.die ? null : (
        <div className={s.pair}>
          <Given label="Wide" value={String(size[0] ?? "")} onGive={(w) => change({ size: [w, size[1] ?? w] })} />
          <Given label="High" value={String(size[1] ?? "")} onGive={(h) => change({ size: [size[0] ?? h, h] })} />
        </div>
      )}
      <Pick
        label="In"
        data={faceOptions(view)}
        value={named(view, now.role)}
        onPick={(picked) => change({ role: picked, place: null })}
      />
      {now.around ? (
        <p className={s.nothing}>Round the window {now.around}, with the same middle.</p>
      ) : (
        <Where place={now.place ?? middle} onPlace={(place) => change({ place })} />
      )}
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
        {now.around ? null : (
          <Button size="compact-sm" variant="default" onClick={() => change({ place: mirrored(now.place ?? middle) })}>
            mirror it
          </Button>
        )}
        {now.die ? (
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => {
              const rim = newId(id, view.dressing.windows?.map((w) => w.id) ?? []);
              onCommit([cutWindow(id, { ...now, through: [0] }), cutWindow(rim, around(rim, now))]);
            }}
          >
            a larger one round it, in the paper
          </Button>
        ) : null}
        <Button size="compact-sm" variant="default" onClick={() => onCommit([cutWindow(id, null)])}>
          no window
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
        <Pick
          label="What"
          data={["ribbon", "twine", "thread", "tape", "foam"]}
          value={now.kind ?? "ribbon"}
          onPick={(picked) => change({ kind: picked })}
        />
        <Pick
          label="How"
          data={[
            { value: "run", label: "along the face" },
            { value: "wrap", label: "round the card" },
            { value: "bow", label: "with a bow" },
            { value: "knot", label: "with a knot" },
          ]}
          value={now.rule ?? "wrap"}
          onPick={(picked) => change({ rule: picked })}
        />
      </div>
      <div className={s.pair}>
        <Given label="Width" value={String(now.width ?? "")} onGive={(width) => change({ width: width || undefined })} />
        <Pick
          label="Passes"
          data={["1", "2", "3", "4"]}
          value={String(now.passes ?? 1)}
          onPick={(picked) => change({ passes: Number(picked) })}
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
        <Pick
          label="Cut to"
          data={["roofs", "hills", "waves"]}
          value={now.shape ?? "hills"}
          onPick={(picked) => onCommit([shape(id, { ...now, shape: picked })])}
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
