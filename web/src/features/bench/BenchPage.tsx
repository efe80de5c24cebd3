import { Button } from "@mantine/core";
import { useDocumentTitle } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useCallback, useState } from "react";
import { useLocation, useParams } from "react-router";
import { answer, api, type Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import s from "../../app/Work.module.css";
import { Bar } from "../../components/Bar";
import { Drawn } from "../../components/Drawn";
import { Sentence, sentenceText } from "../../components/Fig";
import { Later } from "../../components/Later";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import { Table } from "../../drawing/Table";
import { useKeys } from "../../keys/useKeys";
import { Adjust } from "./Adjust";
import { useDesk } from "./desk/useDesk";
import { beginIn, choose, convert, freeFigure, lockFigure, nextUnits, setFigure, take, unlockFigure } from "./edits";
import { Foot } from "./Foot";
import { Head } from "./Head";
import { Ledger } from "./Ledger";
import { Strip } from "./Strip";
import { Stuck } from "./Stuck";

/** What a question about the home size is about. */
const HOME = "home";

const Curves = lazy(async () => ({ default: (await import("./Curves")).Curves }));
const Clash = lazy(async () => ({ default: (await import("./Clash")).Clash }));

type StripFormat = Schemas["StripFormat"];

/** What turning a size is called, as it is drawn in the strip; null of a square. */
const turning = (size: Partial<Pick<StripFormat, "width" | "height">> | undefined) =>
  size?.width === size?.height ? null : (size?.width ?? 0) > (size?.height ?? 0) ? "stand upright" : "lay on its side";

export function BenchPage() {
  const { id = "" } = useParams();
  const desk = useDesk(id);
  const { design, view, commit, commitCompared } = desk;
  const [open, setOpen] = useState<string | null>(null);
  const strip = useQuery(queries.strip(desk.desk));
  const inventory = useQuery(queries.inventory());
  useDocumentTitle(design ? `${design.state.name} · Whole Fold` : "Whole Fold");

  const begun = (useLocation().state as { begun?: boolean } | null)?.begun ?? false;
  const untouched =
    design?.undo === null &&
    (desk.desk?.edits ?? []).length === 0 &&
    !design.state.dressing &&
    Object.keys(design.state.set ?? {}).length === 0;
  const formats = strip.data ?? [];
  // What was chosen last counts, which the view on the bench may not have caught up with.
  const state = desk.desk?.design;
  const chosen = [...(desk.desk?.edits ?? [])].reverse().find((e) => e.edit === "convert");
  const format = (chosen?.edit === "convert" ? chosen.format : state?.target) ?? state?.format;
  const target = formats.find((f) => f.format === format) ?? view?.target;
  const sized = formats.find((f) => f.format === format);
  const pick = (format: StripFormat | undefined) => {
    if (format && format.format !== target?.format) {
      commit([convert(format.format, format.turn)]);
    }
  };
  const step = (by: number) => {
    const at = formats.findIndex((f) => f.format === target?.format);
    pick(formats[Math.min(formats.length - 1, Math.max(0, at + by))]);
  };
  const turn = () => {
    const turned = chosen?.edit === "convert" ? chosen.turn : state?.target ? state.targetTurn : state?.turn;
    if (target) {
      commit([convert(target.format, !turned)]);
    }
  };
  const tools = inventory.data?.kinds.find((k) => k.id === "tools")?.things ?? [];
  const toolsToHand = tools.filter((t) => t.toHand || ["both", "ruler", "machine"].includes(t.id));
  const nextTools = () => {
    const at = toolsToHand.findIndex((t) => t.id === view?.toolsId);
    const next = toolsToHand[(at + 1) % Math.max(1, toolsToHand.length)];
    if (next) {
      commitCompared([take("tools", next.id)], next.name);
    }
  };

  const makeHome = () => desk.ask(HOME, async (laid) => (await answer(api.POST("/api/bench/home", { body: laid }))).edits);

  useKeys({
    format: (which) => pick(formats[which]),
    formatBefore: () => step(-1),
    formatAfter: () => step(1),
    home: () => pick(formats.find((f) => f.home)),
    turn,
    units: () => design && view && commit([nextUnits(design.state, view)]),
    tools: nextTools,
    away: desk.stopComparing,
    undo: () => desk.step("undo"),
    redo: () => desk.step("redo"),
  });
  const select = useCallback((figure: string | null) => setOpen(figure), []);

  if (!design) {
    return (
      <main className={shell.page}>
        <Bar heading={<h1>{desk.problem ? "This design" : ""}</h1>} />
        <div className={shell.middle}>{desk.problem ? <Trouble problem={desk.problem} /> : <Waiting for="Laying it out" />}</div>
      </main>
    );
  }

  return (
    <main className={shell.page}>
      <Head desk={desk} inventory={inventory.data} tools={toolsToHand} />
      {view ? (
        <>
          <Strip
            formats={formats}
            onPick={pick}
            onTyped={(text) => commit([untouched ? beginIn(text) : convert(text, false)])}
            first={begun && untouched}
          />
          {desk.problem ? (
            <div className={s.troubleRow}>
              <Trouble problem={desk.problem} onClose={desk.clearProblem} />
            </div>
          ) : null}
          <div className={s.work}>
            <div className={s.left}>
              {view.stuck ? (
                <Stuck desk={desk.desk} view={view} stuck={view.stuck} onRemedy={commit} />
              ) : (
                <Drawn of={view}>
                  <Table view={view} selected={open} onSelect={select} />
                </Drawn>
              )}
            </div>
            <aside className={s.right}>
              <div className={s.targetLine} data-part="target-line">
                <span>
                  {view.target.atHome ? "At home in " : null}
                  {view.target.atHome ? null : (
                    <>
                      <Sentence parts={view.home} /> →{" "}
                    </>
                  )}
                  <b>
                    <Sentence parts={view.target.size} />
                  </b>
                </span>
                <span className={s.targetButtons}>
                  {view.target.atHome || view.stuck ? null : (
                    <Button size="compact-sm" variant="default" onClick={makeHome}>
                      make this the home size
                    </Button>
                  )}
                  {turning(sized) ? (
                    <Button size="compact-sm" variant="default" onClick={turn} aria-keyshortcuts="t">
                      {turning(sized)}
                    </Button>
                  ) : null}
                </span>
              </div>
              {desk.failed?.about === HOME ? (
                <Trouble problem={desk.failed.problem} onAgain={desk.tryAgain} onClose={desk.letGo} />
              ) : null}
              {view.compared && desk.compared ? (
                <output className={s.compared} data-part="compared">
                  <span>
                    <b>{desk.compared}.</b> {view.compared.text}
                  </span>
                  <button type="button" onClick={desk.stopComparing}>
                    done
                  </button>
                </output>
              ) : null}
              <Ledger view={view} desk={desk.desk} both={design.state.bothSystems ?? false} open={open} onOpen={select} />
              <Adjust
                view={view}
                desk={desk.desk}
                onTry={(parameter, value) => desk.tryOut([setFigure(parameter, value)])}
                onLock={(parameter, value) => commit([value === null ? unlockFigure(parameter) : lockFigure(parameter, value)])}
                onSet={(parameter, value) => commit([value === null ? freeFigure(parameter) : setFigure(parameter, value)])}
                onOpens={(opens) => commit([take("opens", opens)])}
                onChoice={(choice, option) => commit([choose(choice, option)])}
                onPriority={(priority, name) => commitCompared([take("priority", priority)], name)}
                curves={
                  view.stuck ? null : (
                    <Later
                      button={
                        <Button size="compact-xs" variant="default" className={s.trade} aria-haspopup="dialog">
                          Trade-offs
                        </Button>
                      }
                    >
                      {(button) => (
                        <Curves
                          button={button}
                          desk={desk.desk}
                          unit={view.unit}
                          onPick={(curve, point) => commit([setFigure(curve.parameter, point.value.exact)])}
                        />
                      )}
                    </Later>
                  )
                }
              />
            </aside>
          </div>
          <Foot view={view} desk={desk.desk} onFix={commit} />
        </>
      ) : (
        <div className={shell.middle}>
          {desk.problem ? <Trouble problem={desk.problem} onClose={desk.clearProblem} /> : <Waiting for="Working it out" />}
        </div>
      )}
      {desk.clash ? (
        <Suspense fallback={null}>
          <Clash theirs={desk.clash.theirs} onTake={desk.takeTheirs} onKeep={desk.keepMine} />
        </Suspense>
      ) : null}
      <span className="unseen" aria-live="polite">
        {view ? sentenceText(view.target.size) : ""}
      </span>
    </main>
  );
}
