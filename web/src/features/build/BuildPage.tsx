import { Button } from "@mantine/core";
import { useDocumentTitle } from "@mantine/hooks";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import type { Edit, Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, IconButton, ThemeButton } from "../../components/Bar";
import { Sentence } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import { Pose } from "../../drawing/Pose";
import { useKeys } from "../../keys/useKeys";
import { useDesk } from "../bench/desk/useDesk";
import { onTheTable } from "../folding/FoldingPage";
import s from "./Build.module.css";
import { makeOwn, moveCrease, parameter, unbond } from "./edits";
import { NewPiece } from "./NewPiece";
import { PieceDrawing } from "./PieceDrawing";
import { PieceRules, Rule } from "./PieceRules";

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
        <div className={shell.middle}>{problem ? null : <Waiting for="Taking it apart" />}</div>
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
                    view.isOwn && piece.canMove ? (which, from, to) => commit(moveCrease(piece.id, which, from, to)) : undefined
                  }
                />
                {view.isOwn && piece.canMove && piece.creases.length > 0 ? (
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
