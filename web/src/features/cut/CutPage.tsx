import { NumberInput } from "@mantine/core";
import { useDebouncedValue, useDocumentTitle, useElementSize } from "@mantine/hooks";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { answer, api, type BenchView, type Desk, type Edit, problemOf, type Schemas } from "../../api/client";
import { cutOf, queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, IconButton, ThemeButton } from "../../components/Bar";
import { Sentence } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import { useKeys } from "../../keys/useKeys";
import { useDraft } from "../bench/desk/useDesk";
import { nextUnits } from "../bench/edits";
import s from "./Cut.module.css";
import { CutSide } from "./CutSide";
import { SheetDrawing } from "./SheetDrawing";

export type CutPlanView = Schemas["CutPlanView"];

const MOST = 10_000;
const GAP = 34;
const REMEMBERED = "cut.cards";

/** Which sheets so many cards are cut from, how each is cut, and what the stock book has of them. */
export function CutPage() {
  const { id = "" } = useParams();
  const [search, setSearch] = useSearchParams();
  const asked = Number(search.get("cards") ?? localStorage.getItem(REMEMBERED)) || 12;
  const cards = Math.min(MOST, Math.max(1, Math.round(asked)));
  const { queue, design, desk, problem: refused } = useDraft(id);
  const [calm] = useDebouncedValue(cards, 300);
  const cut = useQuery(queries.cut(desk, id, calm));
  const navigate = useNavigate();
  const view = cut.data;
  const units = () => design && view && queue.commit([nextUnits(design.state, { unit: view.unit as BenchView["unit"] })]);
  useKeys({
    away: () => navigate(`/bench/${id}`),
    undo: () => queue.step("undo"),
    redo: () => queue.step("redo"),
    units,
  });
  useDocumentTitle(view ? `${view.name}, cut · Whole Fold` : "Whole Fold");
  const setCards = (n: number) => {
    localStorage.setItem(REMEMBERED, String(n));
    setSearch((was) => ({ ...Object.fromEntries(was), cards: String(n) }), { replace: true });
  };
  return (
    <main className={shell.page}>
      <Bar
        heading={
          <h1>
            {design?.state.name ?? ""}
            <small>
              {view ? (
                <>
                  {view.construction}, <Sentence parts={view.size} />
                </>
              ) : (
                "cut"
              )}
            </small>
          </h1>
        }
      >
        <NumberInput
          aria-label="For how many cards"
          className={s.cards ?? ""}
          suffix={cards === 1 ? " card" : " cards"}
          min={1}
          max={MOST}
          clampBehavior="strict"
          value={cards}
          onChange={(n) => typeof n === "number" && n >= 1 && setCards(n)}
        />
        {design && view ? (
          <IconButton label="Inches, centimetres, both" keys="U" onClick={units}>
            {view.unit}
          </IconButton>
        ) : null}
        <ThemeButton />
        <HelpButton />
      </Bar>
      {refused || cut.error ? <Trouble problem={(refused ?? cut.error) as Error} /> : null}
      {view && desk ? (
        <Planned id={id} view={view} desk={desk} cards={calm} onCards={setCards} onEdit={(edit) => queue.commit([edit])} />
      ) : refused || cut.error ? null : (
        <div className={shell.middle}>
          <Waiting for="Laying pieces on sheets" />
        </div>
      )}
    </main>
  );
}

function Planned({
  id,
  view,
  desk,
  cards,
  onCards,
  onEdit,
}: {
  id: string;
  view: CutPlanView;
  desk: Desk;
  cards: number;
  onCards: (cards: number) => void;
  onEdit: (edit: Edit) => void;
}) {
  const cache = useQueryClient();
  const [lit, setLit] = useState<string | null>(null);
  const isShort = !view.running && view.book.some((b) => b.short > 0);
  const short = useQuery(queries.cutShort(isShort ? desk : undefined, id, cards));
  const goodFor = useQuery(queries.cutGoodFor(view.running ? undefined : desk, id, cards));
  const again = (ask: { stop?: boolean; goOn?: boolean }) =>
    answer(api.POST("/api/cut", { body: { ...cutOf(desk, id, cards), ...ask } })).then((next) =>
      cache.setQueryData(queries.cut(desk, id, cards).queryKey, next),
    );
  const stop = useMutation({ mutationFn: () => again({ stop: true }) });
  const goOn = useMutation({
    mutationFn: async () => {
      await again({ goOn: true });
      await cache.invalidateQueries({ queryKey: queries.cut(desk, id, cards).queryKey });
    },
  });
  useEffect(() => {
    if (!view.running) {
      cache.invalidateQueries({ queryKey: ["worked", "kept"] });
    }
  }, [view.running, cache]);
  const problem = stop.error ?? goOn.error;
  return (
    <>
      <div className={s.work}>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
        <section className={s.sheets} aria-label="Sheets as they are cut" tabIndex={0} data-part="cut-sheets">
          {problem ? <Trouble problem={problemOf(problem)} /> : null}
          <Sheets view={view} lit={lit} onLit={setLit} />
        </section>
        <CutSide
          id={id}
          view={view}
          desk={desk}
          cards={cards}
          goodFor={goodFor.data}
          lit={lit}
          onLit={setLit}
          onStop={() => stop.mutate()}
          onGoOn={() => goOn.mutate()}
        />
      </div>
      <Foot view={view} short={isShort ? short.data : undefined} onCards={onCards} onEdit={onEdit} />
    </>
  );
}

/** Sheets that are cut alike are shown once, all of them to one scale. */
export function Sheets({ view, lit, onLit }: { view: CutPlanView; lit: string | null; onLit: (lit: string | null) => void }) {
  const sheets = view.stocks.flatMap((stock) => stock.sheets.map((sheet, i) => ({ stock, sheet, key: `${stock.id}.${i}` })));
  const widest = Math.max(1, ...sheets.map((x) => x.sheet.width));
  const highest = Math.max(1, ...sheets.map((x) => x.sheet.height));
  // As many side by side as stay easy to read, as large as there is room for.
  const { ref, width } = useElementSize();
  const beside = Math.max(1, Math.min(sheets.length, Math.floor((width || 640) / 250)));
  const scale = Math.min(((width || 640) - (beside - 1) * GAP) / beside - 34, 460) / Math.max(widest, highest * 0.8);
  return (
    <div className={s.grid} ref={ref}>
      {view.stocks
        .filter((stock) => stock.problem)
        .map((stock) => (
          <p key={stock.id} className={s.none} role="alert">
            <b>{stock.name}:</b> <Sentence parts={stock.problem ?? []} />
          </p>
        ))}
      {sheets.map(({ stock, sheet, key }) => (
        <SheetDrawing key={key} id={key} sheet={sheet} colour={stock.colour} scale={scale} lit={lit} onLit={onLit} />
      ))}
    </div>
  );
}

function Foot({
  view,
  short,
  onCards,
  onEdit,
}: {
  view: CutPlanView;
  short: Schemas["ShortView"] | undefined;
  onCards: (cards: number) => void;
  onEdit: (edit: Edit) => void;
}) {
  const missing = view.book.filter((b) => b.short > 0);
  return (
    <footer className={s.foot} data-part="cut-foot">
      {view.running ? (
        <strong>Still looking.</strong>
      ) : missing.length > 0 ? (
        <>
          <strong className={s.bad}>{missing.map((m) => `${m.short} ${m.stock} short`).join(", ")}.</strong>
          {short ? (
            <ul>
              {short.ways.map((way) => (
                <li key={way.text}>
                  <button
                    type="button"
                    onClick={() => (way.edit ? onEdit(way.edit) : way.cards ? onCards(way.cards) : undefined)}
                  >
                    {way.text}
                  </button>
                </li>
              ))}
            </ul>
          ) : (
            <span>Looking for what would make it go.</span>
          )}
        </>
      ) : view.stocks.some((x) => x.problem) ? (
        <strong className={s.bad}>Not everything can be cut.</strong>
      ) : (
        <>
          <strong>Enough of everything.</strong>
          <span>{view.book.some((b) => b.entry === null) ? "What the stock book doesn’t know is taken as there." : null}</span>
        </>
      )}
    </footer>
  );
}
