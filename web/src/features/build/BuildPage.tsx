import { Button, Loader, NativeSelect, TextInput } from "@mantine/core";
import { useDocumentTitle } from "@mantine/hooks";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import type { Edit, Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, IconButton, ThemeButton } from "../../components/Bar";
import { Fig, Sentence } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { Pose } from "../../drawing/Pose";
import { useKeys } from "../../keys/useKeys";
import { useDesk } from "../bench/desk/useDesk";
import { onTheTable } from "../folding/FoldingPage";
import s from "./Build.module.css";
import { addPiece, crease, extent, join, makeOwn, moveCrease, panelWindow, parameter, removePiece, split, unbond } from "./edits";
import { PieceDrawing } from "./PieceDrawing";

type Piece = Schemas["BuildPieceView"];

/** How a card is made: its panels and creases by their rules, on the drawing and in the list, and whether it closes. */
export function BuildPage() {
  const { id = "" } = useParams();
  const desk = useDesk(id);
  const build = useQuery({ ...queries.build(desk.desk), placeholderData: keepPreviousData });
  const folding = useQuery({ ...queries.folding(desk.desk, onTheTable), placeholderData: keepPreviousData });
  const [chosen, setChosen] = useState(0);
  useKeys({ undo: () => desk.step("undo"), redo: () => desk.step("redo") });
  const { design } = desk;
  useDocumentTitle(design ? `How ${design.state.name} is made · Whole Fold` : "Whole Fold");
  const problem = desk.problem ?? build.error;
  const view = build.data;
  const piece = view?.pieces[Math.min(chosen, (view?.pieces.length ?? 1) - 1)];
  const commit = (edit: Edit) => desk.commit([edit]);
  return (
    <main className={shell.page}>
      <Bar
        heading={
          <h1>
            {design?.state.name ?? "This design"}
            <small>{view ? `how it is made: ${view.construction}` : ""}</small>
          </h1>
        }
      >
        <IconButton
          label={design?.undo ? `Undo: ${design.undo}` : "Nothing to undo"}
          keys="Ctrl Z"
          disabled={!design?.undo}
          onClick={() => desk.step("undo")}
        >
          ↶
        </IconButton>
        <IconButton
          label={design?.redo ? `Redo: ${design.redo}` : "Nothing to redo"}
          keys="Ctrl Shift Z"
          disabled={!design?.redo}
          onClick={() => desk.step("redo")}
        >
          ↷
        </IconButton>
        <Button component={Link} to={`/bench/${id}`} variant="default">
          back to the bench
        </Button>
        <ThemeButton />
        <HelpButton />
      </Bar>
      {problem ? (
        <div className={s.trouble}>
          <Trouble problem={problem} onClose={desk.clearProblem} />
        </div>
      ) : null}
      {!view ? (
        <div className={shell.middle}>{problem ? null : <Loader aria-label="Taking it apart" />}</div>
      ) : (
        <div className={s.page}>
          {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
          <section className={s.pieces} aria-label="Its pieces" tabIndex={0}>
            {view.pieces.map((p, i) => (
              <PieceButton key={p.id} piece={p} pressed={p === piece} onChoose={() => setChosen(i)} />
            ))}
            {view.isOwn ? (
              <NewPiece
                onAdd={(edit) => {
                  commit(edit);
                  setChosen(view.pieces.length);
                }}
              />
            ) : null}
          </section>
          {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
          <section className={s.rules} aria-label="The piece that is chosen" tabIndex={0} data-part="build-piece">
            {view.isOwn ? null : (
              <p className={s.copy}>
                This is a construction on the shelf. A copy of it can be changed.{" "}
                <Button onClick={() => commit(makeOwn())}>make a copy my own</Button>
              </p>
            )}
            {piece ? (
              <>
                <h2>{piece.name}</h2>
                <PieceDrawing
                  piece={piece}
                  room={{ wide: 560, high: 220 }}
                  mark={view.mark}
                  onMove={
                    view.isOwn && piece.canChange ? (which, from, to) => commit(moveCrease(piece.id, which, from, to)) : undefined
                  }
                />
                {view.isOwn && piece.canChange && piece.creases.length > 0 ? (
                  <p className={s.hint}>Drag a crease, or move it with the arrow keys.</p>
                ) : null}
                <PieceRules piece={piece} isOwn={view.isOwn} isFirst={piece === view.pieces[0]} onCommit={commit} />
              </>
            ) : null}
            {view.parameters.length > 0 ? <h2>What can be set</h2> : null}
            {view.parameters.map((p) => (
              <Rule
                key={p.id}
                label={p.name}
                rule={p.rule}
                now={p.now}
                disabled={!view.isOwn}
                onRule={(rule) => commit(parameter(p.id, rule))}
              />
            ))}
          </section>
          {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
          <aside className={s.closes} aria-label="Whether it closes" tabIndex={0}>
            <p className={s.says} data-bad={view.closes ? undefined : ""} aria-live="polite" data-part="build-says">
              <Sentence parts={view.says} />
            </p>
            {folding.data ? (
              <div className={s.poses}>
                <Pose poses={folding.data.poses} frame={0} label="closed" />
                <Pose poses={folding.data.poses} frame={folding.data.poses.frames.length - 1} label="shown" />
              </div>
            ) : null}
            <h2>What holds it together</h2>
            {view.bonds.length === 0 ? <p>Nothing is bonded.</p> : null}
            <ul>
              {view.bonds.map((b) => (
                <li key={b.id}>
                  {b.words}
                  {b.loose ? " (lies there, not bonded)" : ""}{" "}
                  {view.isOwn && !b.loose ? (
                    <button
                      type="button"
                      className={s.plain}
                      onClick={() => commit(unbond(b.id))}
                      aria-label={`No bond: ${b.words}`}
                    >
                      take it away
                    </button>
                  ) : null}
                </li>
              ))}
            </ul>
            {view.proposals.length > 0 ? (
              <>
                <h2>Edges that match</h2>
                <ul>
                  {view.proposals.map((p) => (
                    <li key={p.words}>
                      {p.words}{" "}
                      <button type="button" className={s.plain} onClick={() => commit(p.edit)} aria-label={`Bond ${p.words}`}>
                        bond it
                      </button>
                    </li>
                  ))}
                </ul>
              </>
            ) : null}
          </aside>
        </div>
      )}
    </main>
  );
}

/** A piece in the list; choosing it shows its rules. */
function PieceButton({ piece, pressed, onChoose }: { piece: Piece; pressed: boolean; onChoose: () => void }) {
  return (
    <button type="button" className={s.piece} aria-pressed={pressed} onClick={onChoose}>
      <PieceDrawing piece={piece} room={{ wide: 240, high: 240 }} />
      <span>
        {piece.name}
        {piece.quantity > 1 ? `, cut ${piece.quantity}` : ""}
      </span>
    </button>
  );
}

function PieceRules({
  piece,
  isOwn,
  isFirst,
  onCommit,
}: {
  piece: Piece;
  isOwn: boolean;
  isFirst: boolean;
  onCommit: (edit: Edit) => void;
}) {
  const can = isOwn && piece.canChange;
  return (
    <>
      {isOwn && !piece.canChange ? <p>Creases cross its chain, so its panels are changed in its file.</p> : null}
      <Rule
        label={piece.upright ? "its width, along the creases" : "its height, along the creases"}
        rule={piece.across}
        now={piece.acrossNow}
        disabled={!isOwn}
        onRule={(rule) => onCommit(extent(piece.id, null, rule))}
      />
      {piece.panels.map((p, i) => {
        const fold = piece.creases[i];
        return (
          <div key={p.id} className={s.panel}>
            <Rule
              label={p.name}
              rule={p.rule}
              now={p.now}
              disabled={!can}
              onRule={(rule) => onCommit(extent(piece.id, p.id, rule))}
            />
            {p.window && p.windowNow ? (
              <Rule
                label={`window in it, border on each side`}
                rule={p.window}
                now={p.windowNow}
                disabled={!can}
                onRule={(rule) => onCommit(panelWindow(piece.id, p.id, rule))}
              />
            ) : null}
            {can ? (
              <div className={s.ways}>
                <button
                  type="button"
                  className={s.plain}
                  onClick={() => onCommit(split(piece.id, p.id))}
                  aria-label={`Score ${p.name} in two`}
                >
                  score it in two
                </button>
                <button
                  type="button"
                  className={s.plain}
                  onClick={() => onCommit(panelWindow(piece.id, p.id, p.window ? null : firstBorder))}
                  aria-label={p.window ? `No window in ${p.name}` : `Cut a window in ${p.name}`}
                >
                  {p.window ? "no window" : "cut a window in it"}
                </button>
              </div>
            ) : null}
            {fold ? <CreaseRow piece={piece} fold={fold} isOwn={isOwn} can={can} onCommit={onCommit} /> : null}
          </div>
        );
      })}
      {isOwn && !isFirst ? (
        <button type="button" className={s.plain} onClick={() => onCommit(removePiece(piece.id))}>
          take this piece away
        </button>
      ) : null}
    </>
  );
}

/** What a window begins with, until its maker says otherwise. */
const firstBorder = "1/2 in or 12 mm";

/** A new flat piece by its name and two rules; until it is bonded it lies in the middle of the widest panel. */
function NewPiece({ onAdd }: { onAdd: (edit: Edit) => void }) {
  const [opened, setOpened] = useState(false);
  const [name, setName] = useState("");
  const [along, setAlong] = useState("width / 2");
  const [across, setAcross] = useState("height / 2");
  if (!opened) {
    return (
      <Button variant="default" onClick={() => setOpened(true)}>
        add a piece
      </Button>
    );
  }
  return (
    <form
      className={s.add}
      aria-label="A new piece"
      onSubmit={(e) => {
        e.preventDefault();
        onAdd(addPiece(name.trim(), along.trim(), across.trim()));
        setOpened(false);
        setName("");
      }}
    >
      <TextInput
        label="What it is called"
        value={name}
        onChange={(e) => setName(e.currentTarget.value)}
        maxLength={40}
        required
        autoFocus
      />
      <TextInput label="How long it is" value={along} onChange={(e) => setAlong(e.currentTarget.value)} required />
      <TextInput label="How high it is" value={across} onChange={(e) => setAcross(e.currentTarget.value)} required />
      <div className={s.ways}>
        <Button type="submit" disabled={name.trim() === ""}>
          add it
        </Button>
        <Button variant="default" onClick={() => setOpened(false)}>
          not now
        </Button>
      </div>
    </form>
  );
}

function CreaseRow({
  piece,
  fold,
  isOwn,
  can,
  onCommit,
}: {
  piece: Piece;
  fold: Piece["creases"][number];
  isOwn: boolean;
  can: boolean;
  onCommit: (edit: Edit) => void;
}) {
  if (!isOwn) {
    return (
      <div className={s.crease} data-fold={fold.fold}>
        <b>
          score at <Fig figure={fold.at} />
        </b>
        {fold.fold}, {fold.closed === 0 ? "flat" : fold.closed === 90 ? "upright" : "folded over"} when closed, {fold.shown}° when
        shown
      </div>
    );
  }
  const change = (way: string, closed: number, shown: number) =>
    onCommit(crease(piece.id, fold.number, way === "mountain" ? "mountain" : "valley", closed, shown));
  return (
    <div className={s.crease} data-fold={fold.fold}>
      <b>
        score at <Fig figure={fold.at} />
      </b>
      <NativeSelect
        size="xs"
        aria-label={`Which way the score between ${fold.name} folds`}
        data={["valley", "mountain"]}
        value={fold.fold}
        onChange={(e) => change(e.currentTarget.value, fold.closed, fold.shown)}
      />
      <NativeSelect
        size="xs"
        aria-label={`Closed, the score between ${fold.name}`}
        data={[
          { value: "180", label: "closed: folded over" },
          { value: "90", label: "closed: upright" },
          { value: "0", label: "closed: flat" },
        ]}
        value={String(fold.closed)}
        onChange={(e) => change(fold.fold, Number(e.currentTarget.value), fold.shown)}
      />
      <NativeSelect
        size="xs"
        aria-label={`Shown, the score between ${fold.name}`}
        data={[0, 45, 60, 90, 120, 180, fold.shown]
          .filter((a, i, all) => all.indexOf(a) === i)
          .sort((a, b) => a - b)
          .map((a) => ({ value: String(a), label: `shown: ${a}°` }))}
        value={String(fold.shown)}
        onChange={(e) => change(fold.fold, fold.closed, Number(e.currentTarget.value))}
      />
      {can ? (
        <button
          type="button"
          className={s.plain}
          onClick={() => onCommit(join(piece.id, fold.number))}
          aria-label={`No score between ${fold.name}`}
        >
          leave it out
        </button>
      ) : null}
    </div>
  );
}

/** A figure's rule as one types it, with what it comes to; Enter or leaving it takes it. */
function Rule({
  label,
  rule,
  now,
  disabled,
  onRule,
}: {
  label: string;
  rule: string;
  now: Schemas["FigureText"];
  disabled: boolean;
  onRule: (rule: string) => void;
}) {
  const take = (typed: string) => {
    if (typed.trim() !== rule) {
      onRule(typed.trim());
    }
  };
  return (
    <div className={s.rule}>
      <TextInput
        key={rule}
        label={label}
        defaultValue={rule}
        readOnly={disabled}
        variant={disabled ? "unstyled" : "default"}
        onKeyDown={(e) => e.key === "Enter" && take(e.currentTarget.value)}
        onBlur={(e) => take(e.currentTarget.value)}
      />
      <b className={s.now}>
        <Fig figure={now} />
      </b>
    </div>
  );
}
