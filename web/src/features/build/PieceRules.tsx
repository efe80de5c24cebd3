import { NativeSelect, TextInput } from "@mantine/core";
import type { Edit, Schemas } from "../../api/client";
import { Fig } from "../../components/Fig";
import s from "./Build.module.css";
import { crease, extent, join, panelWindow, removePiece, split } from "./edits";

type Piece = Schemas["BuildPieceView"];

/** Every panel and crease of a piece by its rule, with what can be done to it. */
export function PieceRules({
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
  const [can, canMove] = [isOwn && piece.canChange, isOwn && piece.canMove];
  return (
    <>
      {isOwn && !piece.canMove ? <p>Its creases slant, so its panels go by what can be set, below.</p> : null}
      <Rule
        label={piece.upright ? "its width, along the creases" : "its height, along the creases"}
        rule={piece.across}
        now={piece.acrossNow}
        disabled={!canMove}
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
              disabled={!canMove}
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
      {piece.lines.map((l) => (
        <CreaseRow key={l.number} piece={piece} fold={l} isOwn={isOwn} can={false} onCommit={onCommit} />
      ))}
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

function CreaseRow({
  piece,
  fold,
  isOwn,
  can,
  onCommit,
}: {
  piece: Piece;
  fold: Piece["creases"][number] | Piece["lines"][number];
  isOwn: boolean;
  can: boolean;
  onCommit: (edit: Edit) => void;
}) {
  if (!isOwn) {
    return (
      <div className={s.crease} data-fold={fold.fold}>
        <ScoredAt fold={fold} />
        {fold.fold}, {fold.closed === 0 ? "flat" : fold.closed === 90 ? "upright" : "folded over"} when closed, {fold.shown}° when
        shown
      </div>
    );
  }
  const change = (way: string, closed: number, shown: number) =>
    onCommit(crease(piece.id, fold.number, way === "mountain" ? "mountain" : "valley", closed, shown));
  return (
    <div className={s.crease} data-fold={fold.fold}>
      <ScoredAt fold={fold} />
      <NativeSelect
        size="xs"
        aria-label={`Which way the score ${fold.name} folds`}
        data={["valley", "mountain"]}
        value={fold.fold}
        onChange={(e) => change(e.currentTarget.value, fold.closed, fold.shown)}
      />
      <NativeSelect
        size="xs"
        aria-label={`Closed, the score ${fold.name}`}
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
        aria-label={`Shown, the score ${fold.name}`}
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
          aria-label={`No score ${fold.name}`}
        >
          leave it out
        </button>
      ) : null}
    </div>
  );
}

/** Where a score is; of one that is none of the chain's, between what. */
function ScoredAt({ fold }: { fold: Piece["creases"][number] | Piece["lines"][number] }) {
  const across = "scored" in fold;
  return (
    <b>
      {fold.at ? (
        <>
          {across ? "score across at " : "score at "}
          <Fig figure={fold.at} />
        </>
      ) : (
        `score ${fold.name}`
      )}
    </b>
  );
}

/** A figure's rule as one types it, with what it comes to; Enter or leaving it takes it. */
export function Rule({
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
