import { Button, NativeSelect, NumberInput } from "@mantine/core";
import { useDocumentTitle, useFullscreenDocument, useMediaQuery } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useEffect, useRef, useState } from "react";
import { useParams, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, IconButton, ThemeButton } from "../../components/Bar";
import { Sentence } from "../../components/Fig";
import { GuestChoice } from "../../components/GuestChoice";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import { useKeys } from "../../keys/useKeys";
import { useDesk } from "../bench/desk/useDesk";
import { showIn, take } from "../bench/edits";
import { End } from "./End";
import { MakerList } from "./MakerList";
import { OneScreen } from "./OneScreen";
import s from "./Show.module.css";
import { Timers } from "./Timers";
import { useRun } from "./useRun";

const CameOut = lazy(async () => ({ default: (await import("./CameOut")).CameOut }));

type ShowView = Schemas["ShowView"];
const none: Schemas["ScreenView"][] = [];

/** One thing to do a screen, for a room: hands-free, in both systems, with what is still setting. */
export function ShowPage() {
  const { id = "" } = useParams();
  const [search, setSearch] = useSearchParams();
  const cards = Math.min(200, Math.max(1, Number(search.get("cards")) || 1));
  const desk = useDesk(id);
  const show = useQuery(queries.show(desk.desk, cards));
  const view = show.data;
  const problem = desk.problem ?? show.error;
  useDocumentTitle(view ? `${view.name}, shown · Whole Fold` : "Whole Fold");
  if (!view || !desk.desk || !desk.design) {
    return (
      <main className={shell.page}>
        <Bar heading={<h1>Show</h1>} />
        <div className={shell.middle}>{problem ? <Trouble problem={problem} /> : <Waiting for="Laying out the steps" />}</div>
      </main>
    );
  }
  return (
    <Show
      id={id}
      view={view}
      desk={desk}
      cards={cards}
      follows={search.has("follow")}
      beside={search.getAll("beside")}
      onCards={(n) => setSearch((was) => ({ ...Object.fromEntries(was), cards: String(n) }), { replace: true })}
      onBeside={(ids) =>
        setSearch(
          (was) => {
            const next = new URLSearchParams(was);
            next.delete("beside");
            for (const other of ids) {
              next.append("beside", other);
            }
            return next;
          },
          { replace: true },
        )
      }
    />
  );
}

/** A screen that stays lit while it is looked at. */
function useLit() {
  useEffect(() => {
    let held: WakeLockSentinel | undefined;
    const hold = async () => {
      if (document.visibilityState === "visible") {
        held = await navigator.wakeLock?.request("screen").catch(() => undefined);
      }
    };
    void hold();
    document.addEventListener("visibilitychange", hold);
    return () => {
      document.removeEventListener("visibilitychange", hold);
      void held?.release();
    };
  }, []);
}

function Show({
  id,
  view,
  desk,
  cards,
  follows,
  beside,
  onCards,
  onBeside,
}: {
  id: string;
  view: ShowView;
  desk: ReturnType<typeof useDesk>;
  cards: number;
  /** A second window: it shows what the first one shows, and nothing else. */
  follows: boolean;
  beside: string[];
  onCards: (cards: number) => void;
  onBeside: (ids: string[]) => void;
}) {
  const { screens, screen, index, run, go, next, before, setReady, putAway, again } = useRun(id, view.screens ?? none);
  const [jumping, setJumping] = useState(false);
  const [cameOut, setCameOut] = useState(false);
  const { toggle, fullscreen } = useFullscreenDocument();
  const small = useMediaQuery("(max-width: 640px)");
  const swipe = useRef<{ x: number; y: number } | null>(null);
  useLit();
  useKeys({
    next,
    before,
    jump: () => setJumping((now) => !now),
    cameOut: () => screen && screen.figures.length > 0 && setCameOut(true),
    whole: () => void toggle(),
    units: () => desk.commit([showIn(view.unit === "in" ? "cm" : "in", false)]),
    undo: () => desk.step("undo"),
    redo: () => desk.step("redo"),
    away: () => setJumping(false),
  });
  // What is cut or scored by now, for the pieces that are sized again.
  const done = screens.slice(0, Math.max(0, index)).flatMap((x) => x.figures.map((f) => f.id));
  const steps = [...new Map(screens.map((x) => [x.step, x])).values()];
  const at = steps.findIndex((x) => x.step === screen?.step);
  const bar = (
    <header className={s.head} data-part="bar">
      <span className={s.progress} role="img" aria-label={screen ? `Step ${at + 1} of ${steps.length}` : view.name}>
        {steps.map((x, i) => (
          <i key={x.id} data-done={run.at === "end" || i < at ? "" : undefined} data-now={i === at ? "" : undefined} />
        ))}
      </span>
      <span className={s.where}>
        {screen ? `${at + 1} of ${steps.length}` : view.name} · about {view.minutes} min
      </span>
      {follows ? null : (
        <>
          <IconButton label="Jump to a step" keys="J" onClick={() => setJumping((now) => !now)}>
            ≡
          </IconButton>
          <IconButton label={fullscreen ? "Leave the whole screen" : "The whole screen"} keys="X" onClick={() => void toggle()}>
            ⤢
          </IconButton>
          <ThemeButton />
          <HelpButton />
        </>
      )}
    </header>
  );
  if (small && !follows) {
    return (
      <main className={`${shell.page} ${s.small}`}>
        <h1 className={s.name}>{view.name}</h1>
        <MakerList view={view} screens={screens} at={run.at} onGo={go} />
        <Timers timers={run.timers} quiet={false} onPutAway={putAway} />
      </main>
    );
  }
  return (
    <main
      className={`${shell.page} ${s.page}`}
      data-follows={follows ? "" : undefined}
      onPointerDown={(e) => {
        swipe.current = e.pointerType === "mouse" ? null : { x: e.clientX, y: e.clientY };
      }}
      onPointerUp={(e) => {
        const from = swipe.current;
        swipe.current = null;
        if (from && Math.abs(e.clientX - from.x) > 60 && Math.abs(e.clientX - from.x) > 2 * Math.abs(e.clientY - from.y)) {
          (e.clientX < from.x ? next : before)();
        }
      }}
    >
      <h1 className="unseen">{view.name}, shown step by step</h1>
      {bar}
      <div className={s.room} aria-live="polite">
        {run.at === "end" ? (
          <End view={view} desk={desk} run={run} cards={cards} onAgain={again} />
        ) : screen ? (
          <OneScreen key={screen.id} view={view} screen={screen} timers={run.timers} beside={beside} />
        ) : (
          <Ready
            view={view}
            id={id}
            ready={run.ready}
            cards={cards}
            decorate={desk.design?.state.order === "decorate"}
            beside={beside}
            onReady={setReady}
            onCards={onCards}
            onOrder={(order) => desk.commit([take("order", order)])}
            guest={desk.design?.state.guest}
            onGuest={(tools) => desk.commit([take("guest", tools)])}
            onBeside={onBeside}
          />
        )}
      </div>
      <footer className={s.foot}>
        <Timers timers={run.timers} quiet={follows} onPutAway={putAway} />
        {follows ? null : (
          <span className={s.controls}>
            {screen && screen.figures.length > 0 ? (
              <Button variant="default" radius="xl" onClick={() => setCameOut(true)} aria-keyshortcuts="C">
                It came out different
              </Button>
            ) : null}
            {run.at !== null ? (
              <Button variant="default" radius="xl" size="md" onClick={before} aria-keyshortcuts="ArrowLeft">
                back
              </Button>
            ) : null}
            {run.at === "end" ? null : (
              <Button radius="xl" size="md" onClick={next} aria-keyshortcuts="Space">
                {run.at === null ? "space: begin" : "space: next"}
              </Button>
            )}
          </span>
        )}
      </footer>
      {jumping && !follows ? (
        <nav className={s.jump} aria-label="All steps">
          <ol>
            {steps.map((x, i) => (
              <li key={x.id}>
                <button
                  type="button"
                  aria-current={i === at ? "step" : undefined}
                  onClick={() => {
                    setJumping(false);
                    go(x.id);
                  }}
                >
                  {i + 1} {x.title}
                </button>
              </li>
            ))}
          </ol>
        </nav>
      ) : null}
      {cameOut && screen && desk.desk ? (
        <Suspense fallback={null}>
          <CameOut
            screen={screen}
            desk={desk.desk}
            done={done}
            onTake={(edits) => {
              setCameOut(false);
              desk.commit(edits);
            }}
            onClose={() => setCameOut(false)}
          />
        </Suspense>
      ) : null}
    </main>
  );
}

/** Before one begins: what lies ready, and what was done before. */
function Ready({
  view,
  id,
  ready,
  cards,
  decorate,
  beside,
  onReady,
  onCards,
  onOrder,
  guest,
  onGuest,
  onBeside,
}: {
  view: ShowView;
  id: string;
  ready: string[];
  cards: number;
  decorate: boolean;
  beside: string[];
  onReady: (phases: string[]) => void;
  onCards: (cards: number) => void;
  onOrder: (order: string) => void;
  guest: string | null | undefined;
  onGuest: (tools: string | null) => void;
  onBeside: (ids: string[]) => void;
}) {
  const designs = useQuery(queries.designs());
  const others = (designs.data ?? []).filter(
    (d) => d.id !== id && !beside.includes(d.id) && d.construction === view.construction,
  );
  const told = (phase: string, on: boolean) => onReady(on ? [...ready, phase] : ready.filter((p) => p !== phase));
  return (
    <div className={s.readyPage}>
      <h2>{view.name}</h2>
      <p className={s.sub}>
        {view.construction}, <Sentence parts={view.size} />; {view.steps} steps, about {view.minutes} minutes.
      </p>
      <div className={s.readyColumns}>
        <section aria-label="What you need">
          <h3>What you need</h3>
          <ul>
            {view.ready.map((r) => (
              <li key={r}>
                <label>
                  <input type="checkbox" /> {r}
                </label>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="How it is shown" className={s.form}>
          <h3>How it is shown</h3>
          <NumberInput
            label="For how many cards"
            min={1}
            max={200}
            value={cards}
            onChange={(n) => typeof n === "number" && n >= 1 && n <= 200 && onCards(n)}
          />
          <NativeSelect
            label="In which order"
            data={[
              { value: "assemble", label: "assemble, then decorate" },
              { value: "decorate", label: "decorate, then assemble" },
            ]}
            value={decorate ? "decorate" : "assemble"}
            onChange={(e) => onOrder(e.currentTarget.value)}
          />
          <GuestChoice guest={guest} onChange={onGuest} />
          <label>
            <input type="checkbox" checked={ready.includes("cut")} onChange={(e) => told("cut", e.currentTarget.checked)} />{" "}
            Everything is already cut
          </label>
          <label>
            <input type="checkbox" checked={ready.includes("score")} onChange={(e) => told("score", e.currentTarget.checked)} />{" "}
            Everything is already scored
          </label>
          {others.length > 0 && beside.length < 2 ? (
            <NativeSelect
              label="A variant from the same base, side by side"
              data={[{ value: "", label: "none" }, ...others.map((d) => ({ value: d.id, label: d.name }))]}
              value=""
              onChange={(e) => e.currentTarget.value && onBeside([...beside, e.currentTarget.value])}
            />
          ) : null}
          {beside.map((other) => (
            <Button key={other} size="compact-sm" variant="default" onClick={() => onBeside(beside.filter((b) => b !== other))}>
              without {designs.data?.find((d) => d.id === other)?.name ?? other}
            </Button>
          ))}
          <Button
            variant="default"
            size="compact-sm"
            component="a"
            href={`?${new URLSearchParams([["follow", ""], ["cards", String(cards)], ...beside.map((b): [string, string] => ["beside", b])])}`}
            target="_blank"
            rel="noreferrer"
          >
            Open the audience window
          </Button>
        </section>
      </div>
    </div>
  );
}
