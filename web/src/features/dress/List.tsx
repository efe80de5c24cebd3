import { Button } from "@mantine/core";
import { type ReactNode, useRef } from "react";
import type { Edit, Problem, Schemas } from "../../api/client";
import { Sentence } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import s from "./Dress.module.css";
import { ContourEditor, Editor, LayerEditor, SoftEditor, WindowEditor } from "./Editors";
import { ElementEditor } from "./ElementEditor";
import { aLayer, aMotif, aWindow, cutWindow, newId, putOn, wear } from "./edits";
import { Swatch } from "./Papers";
import type { Chosen } from "./Side";

type DressView = Schemas["DressView"];
type Row = Schemas["DressRow"];

const sections: { kinds: Row["kind"][]; title: string; detail: string }[] = [
  { kinds: ["layer"], title: "On the card", detail: "in the order it is made" },
  { kinds: ["window", "contour"], title: "Windows and edges", detail: "cut while it is flat" },
  { kinds: ["element"], title: "Stamped, raised and printed", detail: "each its own size" },
  { kinds: ["soft"], title: "From the roll", detail: "for one card" },
];

export function List({
  view,
  chosen,
  onChoose,
  onCommit,
  onHide,
  failed,
  onAgain,
  onLetGo,
}: {
  view: DressView;
  chosen: Chosen;
  onChoose: (c: Chosen) => void;
  onCommit: (edits: Edit[]) => void;
  onHide: (element: string, told: (came: boolean) => void) => void;
  failed: { about: string; problem: Problem } | null;
  onAgain: () => void;
  onLetGo: () => void;
}) {
  const face = chosen?.kind === "face" ? chosen.id : null;
  const faces = view.sides.flatMap((x) => x.faces);
  const chosenFace = faces.find((f) => f.id === face);
  const where = face ?? view.roles[0]?.faces[0] ?? "";
  const ids = [...(view.dressing.elements ?? []).map((e) => e.id), ...(view.dressing.windows ?? []).map((w) => w.id)];
  const small = view.unit === "in" ? ["1 in", "1 in"] : ["25 mm", "25 mm"];
  return (
    <div className={s.list}>
      {sections.map(({ kinds, title, detail }) => {
        const rows = view.rows.filter((r) => kinds.includes(r.kind));
        return rows.length === 0 ? null : (
          <section key={title} aria-label={title}>
            <h2>
              {title} <small>{detail}</small>
            </h2>
            <ul>
              {rows.map((row) => (
                <ListRow
                  key={row.kind + row.id}
                  row={row}
                  view={view}
                  chosen={chosen}
                  onChoose={onChoose}
                  onCommit={onCommit}
                  onHide={onHide}
                >
                  {failed?.about === row.id ? <Trouble problem={failed.problem} onAgain={onAgain} onClose={onLetGo} /> : null}
                </ListRow>
              ))}
            </ul>
          </section>
        );
      })}
      {view.rows.length === 0 ? (
        <p className={s.nothing}>
          Nothing is on it yet: choose a face on the left, and give it a paper, a window or something to look at.
        </p>
      ) : null}
      <div className={s.add}>
        <Button
          size="compact-md"
          variant="default"
          onClick={() => {
            const layers = faces.find((f) => f.id === where)?.layers.length ?? 0;
            onCommit([wear(where, layers + 1, aLayer(where, layers + 1))]);
          }}
        >
          + paper
        </Button>
        <Button
          size="compact-md"
          variant="default"
          onClick={() => {
            const id = newId("window", ids);
            onCommit([cutWindow(id, aWindow(id, where, small))]);
            onChoose({ kind: "window", id });
          }}
        >
          + window
        </Button>
        <Button
          size="compact-md"
          variant="default"
          onClick={() => {
            const id = newId("star", ids);
            onCommit([putOn(id, aMotif(id, where, "star", small))]);
            onChoose({ kind: "element", id });
          }}
        >
          Add a stamp, die cut or sticker
        </Button>
        <small className={s.nothing}>
          {chosenFace
            ? `on ${chosenFace.name}${chosenFace.seen == null ? "" : chosenFace.seen === 100 ? ", seen whole once it is shown" : `; ${chosenFace.seen} of a hundred parts of it are seen once it is shown, the rest is dimmed`}`
            : "choose a face to say where"}
        </small>
      </div>
    </div>
  );
}

function ListRow({
  row,
  view,
  chosen,
  onChoose,
  onCommit,
  onHide,
  children,
}: {
  row: Row;
  view: DressView;
  chosen: Chosen;
  onChoose: (c: Chosen) => void;
  onCommit: (edits: Edit[]) => void;
  onHide: (element: string, told: (came: boolean) => void) => void;
  children: ReactNode;
}) {
  const kind = row.kind as NonNullable<Chosen>["kind"];
  const open = chosen?.kind === kind && chosen.id === row.id;
  const wasOpen = useRef(false);
  const touched = chosen?.kind === "face" && row.faces.includes(chosen.id);
  return (
    <li
      className={s.row}
      data-open={open || touched || undefined}
      ref={(li) => {
        if (open && li && !wasOpen.current) {
          li.scrollIntoView?.({ block: "nearest" });
        }
        wasOpen.current = open;
      }}
    >
      <button type="button" aria-expanded={open} onClick={() => onChoose(open ? null : { kind, id: row.id })}>
        {row.colour ? <Swatch colour={row.colour} pattern={row.pattern ?? "plain"} /> : <span />}
        <span>
          <b>{row.name}</b>
          <small>{row.detail}</small>
        </span>
        <span className={s.size}>
          {row.was ? (
            <small>
              was <Sentence parts={row.was} />{" "}
            </small>
          ) : null}
          <Sentence parts={row.size} />
          {row.count > 1 ? <small> × {row.count}</small> : null}
        </span>
      </button>
      {children}
      {open ? (
        <Editor why={<Sentence parts={row.why} />}>
          {kind === "layer" ? (
            <LayerEditor view={view} role={row.role} level={row.level} face={null} onCommit={onCommit} />
          ) : kind === "window" ? (
            <WindowEditor view={view} id={row.id} onCommit={onCommit} />
          ) : kind === "element" ? (
            <ElementEditor view={view} id={row.id} onCommit={onCommit} onHide={onHide} />
          ) : kind === "contour" ? (
            <ContourEditor view={view} id={row.id} onCommit={onCommit} />
          ) : (
            <SoftEditor view={view} id={row.id} onCommit={onCommit} />
          )}
        </Editor>
      ) : touched && kind === "layer" && row.faces.length > 1 ? (
        <Editor>
          <LayerEditor view={view} role={row.role} level={row.level} face={chosen.id} onCommit={onCommit} />
        </Editor>
      ) : null}
    </li>
  );
}
