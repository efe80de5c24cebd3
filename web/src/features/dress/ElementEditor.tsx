import { Button, Checkbox } from "@mantine/core";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import s from "./Dress.module.css";
import { type ElementSpec, middle, mirrored, putOn } from "./edits";
import { type Commit, faceOptions, Given, named, Pick, paperOptions, Where } from "./Fields";

type DressView = Schemas["DressView"];

export function ElementEditor({
  view,
  id,
  onCommit,
  onHide,
}: {
  view: DressView;
  id: string;
  onCommit: Commit;
  onHide: (element: string, told: (came: boolean) => void) => void;
}) {
  const [told, setTold] = useState("");
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
        <Pick label="On" data={faceOptions(view)} value={named(view, now.role)} onPick={(picked) => change({ role: picked })} />
      </div>
      <div className={s.pair}>
        <Given label="Wide" value={String(size[0] ?? "")} onGive={(w) => change({ size: [w, size[1] ?? w] })} />
        <Given label="High" value={String(size[1] ?? "")} onGive={(h) => change({ size: [size[0] ?? h, h] })} />
      </div>
      <div className={s.pair}>
        <Pick
          label="Shape"
          data={[
            { value: "rectangle", label: "rectangle" },
            { value: "circle", label: "circle" },
            { value: "ellipse", label: "oval" },
            ...view.motifs.map((m) => ({ value: `motif:${m}`, label: m })),
            ...(now.shape === "polygon" && !now.motif ? [{ value: "polygon", label: "its own drawing" }] : []),
          ]}
          value={now.motif ? `motif:${now.motif}` : (now.shape ?? "rectangle")}
          onPick={(picked) => {
            const to = picked;
            change(
              to.startsWith("motif:")
                ? { shape: "polygon", motif: to.slice(6), outline: null, svg: null }
                : { shape: to, motif: null },
            );
          }}
        />
        <Pick
          label="Made"
          data={[
            { value: "stamped", label: "stamped" },
            { value: "printed", label: "printed" },
            { value: "die-cut", label: "cut by die" },
            { value: "built-up", label: "built up" },
          ]}
          value={now.made ?? "die-cut"}
          onPick={(picked) => change({ made: picked })}
        />
      </div>
      {now.made === "stamped" || now.made === "printed" ? null : (
        <>
          <div className={s.pair}>
            <Pick
              label="Cut from"
              data={[{ value: "", label: "the design's mat" }, ...paperOptions(view)]}
              value={now.stock ?? ""}
              onPick={(picked) => change({ stock: picked || null })}
            />
            <Given
              label="Stands off its face"
              value={String(now.height ?? "")}
              placeholder="flat"
              onGive={(height) => change({ height: height || undefined })}
            />
          </div>
          <Pick
            label="Held"
            data={[
              { value: "face", label: "on its face" },
              { value: "lock", label: "as what a lock catches under" },
              { value: "strip", label: "by a clear strip" },
              { value: "thread", label: "by a thread, to turn" },
              { value: "slide", label: "on the slide" },
            ]}
            value={now.held ?? "face"}
            onPick={(picked) => change({ held: picked })}
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
      <Checkbox
        size="sm"
        label="may stand over the card’s edge"
        checked={now.overEdge ?? false}
        onChange={(e) => change({ overEdge: e.currentTarget.checked })}
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
        <Button
          size="compact-sm"
          variant="default"
          onClick={() =>
            onHide(id, (came) => setTold(came ? "" : "Nothing before it can be made high enough, or it is hidden already."))
          }
        >
          just high enough to hide it
        </Button>
        <Button size="compact-sm" variant="default" onClick={() => onCommit([putOn(id, null)])}>
          take it off
        </Button>
      </div>
      <output className={s.nothing}>{told}</output>
    </>
  );
}
