import { NativeSelect } from "@mantine/core";
import { useDocumentTitle, useElementSize } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import { lazy, type PointerEvent, Suspense, useCallback, useEffect, useRef, useState } from "react";
import { useParams } from "react-router";
import { answer, api, type Edit, type Problem, type Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import foot from "../../app/Foot.module.css";
import shell from "../../app/Shell.module.css";
import work from "../../app/Work.module.css";
import { Bar } from "../../components/Bar";
import { Drawn } from "../../components/Drawn";
import { Sentence, sentenceText } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import { Pose } from "../../drawing/Pose";
import { useKeys } from "../../keys/useKeys";
import type { Ask } from "../bench/desk/DraftQueue";
import { useDesk } from "../bench/desk/useDesk";
import { convert, nextUnits } from "../bench/edits";
import { Head } from "../bench/Head";
import s from "./Dress.module.css";
import { cutWindow, putOn } from "./edits";
import { scaleFor } from "./fit";
import { List } from "./List";
import { PaperDefs } from "./Papers";
import { type Chosen, Side } from "./Side";

const Clash = lazy(async () => ({ default: (await import("../bench/Clash")).Clash }));

type DressView = Schemas["DressView"];

/** What the card wears: the faces that a reader sees, pose by pose, and the list of it in the order in which it is made. */
export function DressPage() {
  const { id = "" } = useParams();
  const desk = useDesk(id);
  const { design, commit } = desk;
  const dress = useQuery(queries.dress(desk.desk));
  const inventory = useQuery(queries.inventory());
  const strip = useQuery(queries.strip(desk.desk));
  useDocumentTitle(design ? `${design.state.name}, dressed · Whole Fold` : "Whole Fold");
  const formats = strip.data ?? [];
  const target = desk.view?.target;
  const step = (by: number) => {
    const at = formats.findIndex((f) => f.format === target?.format);
    const next = formats[Math.min(formats.length - 1, Math.max(0, at + by))];
    if (next && next.format !== target?.format) {
      commit([convert(next.format, next.turn)]);
    }
  };
  useKeys({
    formatBefore: () => step(-1),
    formatAfter: () => step(1),
    home: () => formats.filter((f) => f.home).map((f) => commit([convert(f.format, f.turn)])),
    units: () => design && desk.view && commit([nextUnits(design.state, desk.view)]),
    undo: () => desk.step("undo"),
    redo: () => desk.step("redo"),
    mend: () => {
      const first = dress.data?.found.find((f) => f.check.fix)?.check.fix;
      if (first) {
        commit([first.edit]);
      }
    },
  });
  const problem = desk.problem ?? dress.error;
  if (!design || !dress.data) {
    return (
      <main className={shell.page}>
        {design ? (
          <Head desk={desk} inventory={inventory.data} tools={[]} />
        ) : (
          <Bar heading={<h1>{problem ? "This design" : ""}</h1>} />
        )}
        <div className={shell.middle}>{problem ? <Trouble problem={problem} /> : <Waiting for="Laying it out" />}</div>
      </main>
    );
  }
  const tools = (inventory.data?.kinds.find((k) => k.id === "tools")?.things ?? []).filter(
    (t) => t.toHand || ["both", "ruler", "machine"].includes(t.id),
  );
  return (
    <main className={shell.page}>
      <Head desk={desk} inventory={inventory.data} tools={tools} />
      {problem ? (
        <div className={work.troubleRow}>
          <Trouble problem={problem} onClose={desk.clearProblem} />
        </div>
      ) : null}
      <Dress
        view={dress.data}
        onCommit={commit}
        onAsk={desk.ask}
        failed={desk.failed}
        onAgain={desk.tryAgain}
        onLetGo={desk.letGo}
        format={
          <NativeSelect
            size="sm"
            aria-label="Format"
            data={formats.map((f) => ({ value: f.format, label: sentenceText(f.size) }))}
            value={target?.format ?? ""}
            onChange={(e) => {
              const to = formats.find((f) => f.format === e.currentTarget.value);
              if (to) {
                commit([convert(to.format, to.turn)]);
              }
            }}
          />
        }
      />
      {desk.clash ? (
        <Suspense fallback={null}>
          <Clash theirs={desk.clash.theirs} onTake={desk.takeTheirs} onKeep={desk.keepMine} />
        </Suspense>
      ) : null}
    </main>
  );
}

type Drag = { id: string; window: boolean; x: number; y: number; fromX: number; fromY: number; middle: { x: number; y: number } };

export function Dress({
  view,
  onCommit,
  onAsk,
  failed,
  onAgain,
  onLetGo,
  format,
}: {
  view: DressView;
  onCommit: (edits: Edit[]) => void;
  onAsk: (about: string, ask: Ask, told?: (came: boolean) => void) => void;
  failed: { about: string; problem: Problem } | null;
  onAgain: () => void;
  onLetGo: () => void;
  format: React.ReactNode;
}) {
  const [pose, setPose] = useState(view.poses.find((p) => p.id === "shown")?.id ?? view.poses[0]?.id ?? "shown");
  const [chosen, setChosen] = useState<Chosen>(null);
  const [lit, setLit] = useState<number | null>(null);

  /** What is chosen in the list is shown: in the pose at hand where it is seen there, else in the first in which it is. */
  const choose = useCallback(
    (next: Chosen) => {
      setChosen(next);
      const faces =
        next?.kind === "face" ? [next.id] : (view.rows.find((r) => r.kind === next?.kind && r.id === next?.id)?.faces ?? []);
      const poses = view.sides
        .flatMap((x) => x.faces)
        .filter((f) => faces.includes(f.id))
        .flatMap((f) => f.poses);
      if (poses.length > 0) {
        setPose((now) => (poses.includes(now) ? now : (view.poses.find((p) => poses.includes(p.id))?.id ?? now)));
      }
    },
    [view],
  );
  const [drag, setDrag] = useState<Drag | null>(null);
  const dragRef = useRef<Drag | null>(null);
  const { ref, width, height } = useElementSize();
  const shown = view.poses.some((p) => p.id === pose) ? pose : (view.poses[0]?.id ?? "shown");
  const sides = view.sides.filter((side) => side.faces.some((f) => f.poses.includes(shown)));
  const scale = scaleFor(sides, width, height);
  const found = lit === null ? null : view.found[lit];

  const nudge = useCallback(
    (element: string, window: boolean, across: number, up: number) =>
      onAsk(element, async (desk) => {
        const { edit } = await answer(api.POST("/api/dress/nudge", { body: { ...desk, element, window, across, up } }));
        return edit ? [edit] : [];
      }),
    [onAsk],
  );
  const hide = useCallback(
    (element: string, told: (came: boolean) => void) =>
      onAsk(
        element,
        async (desk) => {
          const { edit } = await answer(api.POST("/api/dress/hide", { body: { ...desk, element } }));
          return edit ? [edit] : [];
        },
        told,
      ),
    [onAsk],
  );
  const takeOff = useCallback(
    (element: string, window: boolean) => {
      setChosen(null);
      onCommit([window ? cutWindow(element, null) : putOn(element, null)]);
    },
    [onCommit],
  );
  const grip = useCallback((element: string, window: boolean, e: PointerEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    dragRef.current = {
      id: element,
      window,
      x: 0,
      y: 0,
      fromX: e.clientX,
      fromY: e.clientY,
      middle: { x: box.left + box.width / 2, y: box.top + box.height / 2 },
    };
  }, []);

  useEffect(() => {
    const move = (e: globalThis.PointerEvent) => {
      const now = dragRef.current;
      if (now) {
        const next = { ...now, x: e.clientX - now.fromX, y: e.clientY - now.fromY };
        // A finger that only means to choose does not move a thing.
        if (Math.hypot(next.x, next.y) > 5) {
          dragRef.current = next;
          setDrag(next);
        }
      }
    };
    const drop = (e: globalThis.PointerEvent) => {
      const now = dragRef.current;
      dragRef.current = null;
      if (!now || Math.hypot(now.x, now.y) <= 5) {
        setDrag(null);
        return;
      }
      const side = document.elementFromPoint(e.clientX, e.clientY)?.closest("svg[data-side]");
      setDrag(null);
      if (side instanceof SVGElement) {
        const box = side.getBoundingClientRect();
        const [per, edge] = [Number(side.dataset.scale), Number(side.dataset.edge)];
        const x = Math.round((now.middle.x + now.x - box.left - edge) / per);
        const y = Math.round((box.bottom - edge - now.middle.y - now.y) / per);
        onAsk(now.id, async (desk) => {
          const body = { ...desk, element: now.id, window: now.window, side: side.dataset.side ?? "", x, y };
          const { edit } = await answer(api.POST("/api/dress/drop", { body }));
          return edit ? [edit] : [];
        });
      }
    };
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", drop);
    return () => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", drop);
    };
  }, [onAsk]);

  return (
    <>
      <div className={work.work}>
        <div className={s.left}>
          <svg width={0} height={0} aria-hidden="true" style={{ position: "absolute" }}>
            <PaperDefs papers={view.sides.flatMap((side) => side.faces.flatMap((f) => f.layers))} />
            <defs>
              <pattern id="keep-out" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <path d="M0 0v7" stroke="#55606a" strokeWidth={1.2} opacity={0.75} />
              </pattern>
            </defs>
          </svg>
          <nav className={s.poses} aria-label="Poses">
            {view.poses.map((p) => (
              <button key={p.id} type="button" aria-pressed={p.id === shown} onClick={() => setPose(p.id)}>
                <span className={s.thumb} aria-hidden="true">
                  <Pose poses={view.looks} frame={p.frame} label="" />
                </span>
                <span>
                  <b>{p.name}</b>
                  <small>
                    {p.faces} {p.faces === 1 ? "face" : "faces"}
                  </small>
                </span>
              </button>
            ))}
          </nav>
          <div className={s.table} ref={ref} data-part="faces">
            <Drawn of={view}>
              {sides.map((side) => (
                <Side
                  key={side.id}
                  side={side}
                  pose={shown}
                  scale={scale}
                  chosen={chosen}
                  lit={found?.side === side.id ? (found.box ?? null) : null}
                  dragged={drag}
                  onChoose={choose}
                  onGrip={grip}
                  onNudge={nudge}
                  onTakeOff={takeOff}
                />
              ))}
            </Drawn>
          </div>
        </div>
        <aside className={s.right}>
          <div className={s.line} data-part="target-line">
            <span>{view.atHome ? "At home in" : "Now in"}</span>
            {format}
          </div>
          <List
            view={view}
            chosen={chosen}
            onChoose={choose}
            onCommit={onCommit}
            onHide={hide}
            failed={failed}
            onAgain={onAgain}
            onLetGo={onLetGo}
          />
        </aside>
      </div>
      <footer className={foot.foot} data-part="foot">
        <strong aria-live="polite">
          <Sentence parts={view.summary} />
        </strong>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: where much was found it scrolls, so the keyboard must reach it */}
        <ul tabIndex={0} aria-label="What was found" className={s.found}>
          {view.found.map((f, i) => (
            <li
              key={f.check.id + sentenceText(f.check.text)}
              className={foot[f.check.severity]}
              onMouseEnter={() => setLit(i)}
              onMouseLeave={() => setLit(null)}
              onFocus={() => setLit(i)}
              onBlur={() => setLit(null)}
            >
              {f.check.fix ? (
                <button type="button" className={foot.fix} onClick={() => f.check.fix && onCommit([f.check.fix.edit])}>
                  <Sentence parts={f.check.fix.text} />
                </button>
              ) : null}
              <Sentence parts={f.check.text} />
            </li>
          ))}
        </ul>
      </footer>
    </>
  );
}
