import { Button, Group, Loader, Modal, Text, useComputedColorScheme, useMantineColorScheme } from "@mantine/core";
import { useDocumentTitle, useHotkeys } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { answer, api, type DesignState, type Schemas } from "../../api/client";
import { Table } from "../../bench/Table";
import { Sentence } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { Help } from "../help/Help";
import { Adjust } from "./Adjust";
import { IconButton, Pick, Preferences, ThemeButton, UnitsSwitch, Wordmark } from "./Bar";
import { Curves } from "./Curves";
import { nextUnits, targetOf, withChoice, withParameter, withPreference, withTarget } from "./changes";
import { Foot } from "./Foot";
import { Ledger } from "./Ledger";
import { Papers } from "./Papers";
import { Strip } from "./Strip";
import { Stuck } from "./Stuck";
import { useDesign } from "./useDesign";

export function BenchPage() {
  const { id = "" } = useParams();
  const desk = useDesign(id);
  const { design, state, view, commit, commitCompared } = desk;
  const navigate = useNavigate();
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme("light");
  const [open, setOpen] = useState<string | null>(null);
  const [help, setHelp] = useState(false);
  const catalogue = useQuery({
    queryKey: ["catalogue"],
    queryFn: () => answer(api.GET("/api/catalogue")),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const drawer = useQuery({ queryKey: ["drawer"], queryFn: () => answer(api.GET("/api/drawer")) });
  useDocumentTitle(state ? `${state.name} · Whole Fold` : "Whole Fold");

  const pick = (format: Schemas["StripFormat"]) =>
    state &&
    targetOf(state).format !== format.format &&
    commit(withTarget(state, format.format, format.turn), `to ${format.name}`);
  const pickAt = (index: number) => {
    const format = view?.strip[index];
    if (format) {
      pick(format);
    }
  };
  // From what was chosen last, which the view on the bench may not have caught up with.
  const step = (by: number) => {
    const strip = view?.strip ?? [];
    const chosen = state ? targetOf(state).format : "";
    pickAt(Math.min(strip.length - 1, Math.max(0, strip.findIndex((f) => f.format === chosen) + by)));
  };
  const turn = () => {
    if (state) {
      const { format, turn: turned } = targetOf(state);
      commit(withTarget(state, format, !turned), `${view?.strip.find((f) => f.format === format)?.name ?? format} turned`);
    }
  };
  const toHand = (kind: string) => new Set((drawer.data ?? []).filter((d) => d.kind === kind && d.toHand).map((d) => d.id));
  const tools = catalogue.data?.tools ?? [];
  const stocks = catalogue.data?.stocks ?? [];
  const toolsToHand = tools.filter(
    (t) => toHand("tools").size === 0 || toHand("tools").has(t.id) || t.id === "both" || t.id === "ruler" || t.id === "machine",
  );
  const stocksToHand = stocks.filter((s) => toHand("stock").size === 0 || toHand("stock").has(s.id) || s.id === state?.stock);
  const setTools = (tool: { id: string; name: string } | undefined) =>
    state && tool && commitCompared({ ...state, tools: tool.id }, tool.name);
  const setUnits = (next: DesignState) => commit(next, next.bothSystems ? "both systems" : `in ${next.units}`);
  const nextTools = () =>
    setTools(toolsToHand[(toolsToHand.findIndex((t) => t.name === view?.tools) + 1) % Math.max(1, toolsToHand.length)]);

  useHotkeys([
    ...Array.from({ length: 9 }, (_, i): [string, () => void] => [String(i + 1), () => pickAt(i)]),
    ["[", () => step(-1)],
    ["]", () => step(1)],
    ["H", () => pickAt(view?.strip.findIndex((f) => f.home) ?? -1)],
    ["T", turn],
    ["U", () => state && view && setUnits(nextUnits(state, view.unit))],
    ["B", nextTools],
    ["D", () => setColorScheme(scheme === "dark" ? "light" : "dark")],
    ["G", () => navigate("/drawer")],
    ["P", () => navigate(`/sheet/${id}`)],
    ["W", () => navigate(`/wall/${id}`)],
    ["F", () => navigate(`/folding/${id}`)],
    ["Escape", desk.stopComparing],
    ["mod+Z", desk.undo],
    ["mod+shift+Z", desk.redo],
    ["mod+Y", desk.redo],
    ["shift+?", () => setHelp(true)],
    ["?", () => setHelp(true)],
  ]);

  if (!design || !state) {
    return (
      <main className="page bench">
        <header className="bar">
          <Wordmark />
        </header>
        <div className="middle">{desk.problem ? <Trouble problem={desk.problem} /> : <Loader aria-label="Laying it out" />}</div>
      </main>
    );
  }

  return (
    <main className="page bench">
      <header className="bar">
        <Wordmark />
        <h1 title={state.name}>
          {state.name}
          <small>{view?.constructionName}</small>
        </h1>
        <IconButton
          label={design.undo ? `Undo: ${design.undo}` : "Nothing to undo"}
          keys="Ctrl Z"
          disabled={!design.undo}
          onClick={desk.undo}
        >
          ↶
        </IconButton>
        <IconButton
          label={design.redo ? `Redo: ${design.redo}` : "Nothing to redo"}
          keys="Ctrl Shift Z"
          disabled={!design.redo}
          onClick={desk.redo}
        >
          ↷
        </IconButton>
        <Pick
          label="Tools"
          shown={view?.tools ?? ""}
          items={toolsToHand}
          value={tools.find((t) => t.name === view?.tools)?.id ?? ""}
          onPick={(item) => setTools(item)}
        >
          <Preferences
            preferences={view?.preferences ?? []}
            onChange={(p, on) => commitCompared(withPreference(state, p.id, on), on ? p.name : `no more “${p.name}”`)}
          />
        </Pick>
        <Papers
          state={state}
          shown={view?.stock ?? ""}
          stocks={stocksToHand}
          all={stocks}
          adhesives={catalogue.data?.adhesives ?? []}
          accepted={catalogue.data?.acceptsCaliper ?? ""}
          pieces={view?.pieces ?? []}
          onChange={commitCompared}
        />
        <Pick
          label="Reveal"
          shown={state.reveal ?? ""}
          items={catalogue.data?.reveals ?? []}
          value={state.reveal ?? ""}
          onPick={(item) => commitCompared({ ...state, reveal: item.id }, `${item.name} reveal`)}
        />
        <UnitsSwitch
          value={state.bothSystems ? "both" : (view?.unit ?? "in")}
          onChange={(value) =>
            setUnits(value === "both" ? { ...state, bothSystems: true } : { ...state, bothSystems: false, units: value })
          }
        />
        <ThemeButton />
        <IconButton label="Keys and help" keys="?" onClick={() => setHelp(true)}>
          ?
        </IconButton>
      </header>
      {view ? (
        <>
          <Strip formats={view.strip} onPick={pick} onTyped={(text) => commit(withTarget(state, text, false), `to ${text}`)} />
          {desk.problem ? (
            <div className="trouble-row">
              <Trouble problem={desk.problem} onClose={desk.clearProblem} />
            </div>
          ) : null}
          <div className="work">
            <div className="left">
              {view.stuck ? (
                <Stuck view={view} onRemedy={(remedy) => commit(remedy.state, remedy.text.slice(0, 150))} />
              ) : (
                <Table view={view} selected={open} onSelect={setOpen} />
              )}
            </div>
            <aside className="right">
              <div className="target-line">
                <span>
                  {view.atHome ? (
                    <>
                      At home in{" "}
                      <b>
                        <Sentence text={view.home} />
                      </b>
                    </>
                  ) : (
                    <>
                      <Sentence text={view.home} /> →{" "}
                      <b>
                        <Sentence text={view.targetSize} />
                      </b>
                    </>
                  )}
                </span>
                <span className="target-buttons">
                  <Button size="compact-sm" variant="default" component={Link} to={`/folding/${id}`} aria-keyshortcuts="f">
                    folds
                  </Button>
                  <Button size="compact-sm" variant="default" component={Link} to={`/wall/${id}`} aria-keyshortcuts="w">
                    wall
                  </Button>
                  <Button size="compact-sm" variant="default" component={Link} to={`/sheet/${id}`} aria-keyshortcuts="p">
                    sheet
                  </Button>
                  <Button size="compact-sm" variant="default" onClick={turn} aria-keyshortcuts="t">
                    turn it
                  </Button>
                </span>
              </div>
              {view.compared && desk.compared ? (
                <output className="compared">
                  <span>
                    <b>{desk.compared}.</b> {view.compared.text}
                  </span>
                  <button type="button" onClick={desk.stopComparing}>
                    done
                  </button>
                </output>
              ) : null}
              <Ledger view={view} both={state.bothSystems ?? false} open={open} onOpen={setOpen} />
              <Adjust
                view={view}
                onTry={(parameter, value) => desk.tryOut(withParameter(state, view, parameter, value))}
                onSet={(p, value, text) =>
                  commit(
                    withParameter(state, view, p.id, value),
                    value === null ? `${p.name} let go` : `${p.name} to ${text} ${view.unit}`,
                  )
                }
                onChoice={(choice, value) => commit(withChoice(state, choice, value), `${choice} ${value}`)}
                onPriority={(priority, name) => commitCompared({ ...state, priority }, name)}
                curves={
                  view.stuck ? null : (
                    <Curves
                      state={state}
                      unit={view.unit}
                      onPick={(curve, point) =>
                        commit(
                          withParameter(state, view, curve.parameter, point.value.exact),
                          `${curve.parameterName} to ${point.value.text} ${view.unit}`,
                        )
                      }
                    />
                  )
                }
              />
            </aside>
          </div>
          <Foot view={view} />
        </>
      ) : (
        <div className="middle">
          {desk.problem ? <Trouble problem={desk.problem} onClose={desk.clearProblem} /> : <Loader aria-label="Working it out" />}
        </div>
      )}
      <Help opened={help} onClose={() => setHelp(false)} />
      <Modal opened={desk.clash !== null} onClose={desk.takeTheirs} title="Changed in another window" centered>
        <Text>
          Your change “{desk.clash?.gesture}” came after another one to the same design. Neither is lost: whichever you take, the
          other stays in its history.
        </Text>
        <Group mt="md" justify="flex-end">
          <Button variant="default" onClick={desk.takeTheirs}>
            Take the other
          </Button>
          <Button onClick={desk.keepMine}>Put mine on top</Button>
        </Group>
      </Modal>
    </main>
  );
}
