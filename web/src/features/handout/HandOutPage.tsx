import { Button, Checkbox, NativeSelect, NumberInput, SegmentedControl } from "@mantine/core";
import { useDocumentTitle } from "@mantine/hooks";
import { useMutation, useQuery } from "@tanstack/react-query";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { answer, api, type Desk, problemOf, type Schemas } from "../../api/client";
import { type HandOutAsk, queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, ThemeButton } from "../../components/Bar";
import { GuestChoice } from "../../components/GuestChoice";
import { keepFile } from "../../components/keepFile";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import { useKeys } from "../../keys/useKeys";
import { useDraft } from "../bench/desk/useDesk";
import { take } from "../bench/edits";
import { Sheet } from "../sheet/Sheet";
import s from "./HandOut.module.css";

/** What is handed out, in the order in which people ask for it. */
const kinds = [
  { id: "sheet", name: "Measure sheet", about: "all it takes to make the card, in both systems" },
  { id: "booklet", name: "Step booklet", about: "step by step, with pictures and cautions" },
  { id: "templates", name: "Templates", about: "at full size, over as many pages as it takes" },
  { id: "cuts", name: "Cut list", about: "what is cut from what, for all the cards" },
  { id: "kit", name: "Kits", about: "a page for every bag" },
  { id: "text", name: "Plain text", about: "measures and supplies, to put under a post" },
  { id: "picture", name: "Picture", about: "the card or a step, for a post" },
  { id: "figures", name: "Figures and settings", about: "how each is set, to tick off at the board" },
] as const;

const forms: Record<string, string> = {
  pdf: "PDF",
  svg: "SVG",
  png: "PNG picture",
  dxf: "DXF for cutting",
  fold: "FOLD for folding",
  csv: "CSV table",
  txt: "text file",
};

/** Chosen, seen as it will print, in the words and the system of whoever gets it; kept or printed. */
export function HandOutPage() {
  const { id = "" } = useParams();
  const [search, setSearch] = useSearchParams();
  const { queue, design, desk, problem: refused } = useDraft(id);
  const navigate = useNavigate();
  useKeys({ away: () => navigate(`/bench/${id}`) });
  const kind = kinds.find((k) => k.id === search.get("as"))?.id ?? "sheet";
  const set = (name: string, value: string | null) =>
    setSearch(
      (was) => {
        const next = new URLSearchParams(was);
        if (value === null || value === "") {
          next.delete(name);
        } else {
          next.set(name, value);
        }
        return next;
      },
      { replace: true },
    );
  const ask: HandOutAsk = {
    kind,
    paper: search.get("paper"),
    units: search.get("units"),
    cards: Math.min(200, Math.max(1, Number(search.get("cards")) || 1)),
    step: kind === "picture" ? Number(search.get("step")) || null : null,
    background: search.get("background") !== "none",
  };
  const seen = useQuery(queries.handOut(desk, ask));
  const sheet = useQuery(queries.sheet(kind === "figures" ? desk : undefined));
  const keep = useMutation({ mutationFn: (form: string) => fetchFile(desk, ask, form) });
  useDocumentTitle(design ? `${design.state.name}, handed out · Whole Fold` : "Whole Fold");
  const problem = refused ?? seen.error ?? sheet.error ?? (keep.error ? problemOf(keep.error) : null);
  return (
    <main className={shell.page}>
      <Bar
        heading={
          <h1>
            {design?.state.name ?? ""}
            <small>hand out</small>
          </h1>
        }
      >
        <ThemeButton />
        <HelpButton />
      </Bar>
      <div className={s.page}>
        <nav className={s.kinds} aria-label="What is handed out">
          {kinds.map((k) => (
            <button key={k.id} type="button" aria-pressed={k.id === kind} onClick={() => set("as", k.id)}>
              <b>{k.name}</b>
              <small>{k.about}</small>
            </button>
          ))}
        </nav>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
        <section className={s.seen} aria-label="As it will print" tabIndex={0} data-part="preview">
          {problem ? <Trouble problem={problem} /> : null}
          {seen.isFetching || sheet.isFetching ? <Waiting for="Drawing it" size="sm" className={s.loader} /> : null}
          {kind === "figures" ? sheet.data ? <Sheet sheet={sheet.data} /> : null : seen.data ? <Seen view={seen.data} /> : null}
        </section>
        <aside className={s.how} aria-label="How it is handed out">
          <GuestChoice guest={design?.state.guest} onChange={(tools) => queue.commit([take("guest", tools)])} />
          {kind === "figures" ? null : (
            <>
              <SegmentedControl
                aria-label="Which system comes first"
                data={[
                  { value: "", label: "as it is" },
                  { value: "in", label: "in" },
                  { value: "cm", label: "cm" },
                ]}
                value={ask.units ?? ""}
                onChange={(u) => set("units", u)}
              />
              {kind === "text" || kind === "picture" ? null : (
                <NativeSelect
                  label="Paper"
                  data={[
                    { value: "", label: "the usual one" },
                    { value: "a4", label: "A4" },
                    { value: "letter", label: "Letter" },
                    { value: "a4-wide", label: "A4 on its side" },
                    { value: "letter-wide", label: "Letter on its side" },
                  ]}
                  value={ask.paper ?? ""}
                  onChange={(e) => set("paper", e.currentTarget.value)}
                />
              )}
              {kind === "picture" ? (
                <>
                  <NumberInput
                    label="Which step"
                    placeholder="the finished card"
                    min={1}
                    value={ask.step ?? ""}
                    onChange={(n) => set("step", n === "" ? null : String(n))}
                  />
                  <Checkbox
                    label="with a ground behind it"
                    checked={ask.background}
                    onChange={(e) => set("background", e.currentTarget.checked ? null : "none")}
                  />
                </>
              ) : (
                <NumberInput
                  label="For how many cards"
                  min={1}
                  max={200}
                  value={ask.cards}
                  onChange={(n) => typeof n === "number" && set("cards", n === 1 ? null : String(n))}
                />
              )}
              <div className={s.keep}>
                {(seen.data?.forms ?? []).map((form, i) => (
                  <Button
                    key={form}
                    variant={i === 0 ? "filled" : "default"}
                    loading={keep.isPending && keep.variables === form}
                    onClick={() => keep.mutate(form)}
                  >
                    Save as {forms[form] ?? form}
                  </Button>
                ))}
              </div>
              {kind === "templates" ? (
                <Button component={Link} to={`/stand-ins/${id}`} variant="default">
                  try it on stand-ins
                </Button>
              ) : null}
              {seen.data?.text ? (
                <Button variant="default" onClick={() => void navigator.clipboard?.writeText(seen.data?.text ?? "")}>
                  copy it
                </Button>
              ) : null}
            </>
          )}
          <Button variant="default" onClick={() => window.print()}>
            Print this page
          </Button>
        </aside>
      </div>
    </main>
  );
}

async function fetchFile(desk: Desk | undefined, ask: HandOutAsk, form: string) {
  if (!desk) {
    return;
  }
  let name = `${ask.kind}.${form}`;
  const blob = await answer(
    api.POST("/api/handouts/file", { body: { ...desk, ...ask, form, page: 1 }, parseAs: "blob" }).then((r) => {
      name = /filename="?([^";]+)/.exec(r.response.headers.get("content-disposition") ?? "")?.[1] ?? name;
      return r as unknown as { data?: Blob; error?: unknown };
    }),
  );
  keepFile(blob, name);
}

function Seen({ view }: { view: Schemas["HandOutView"] }) {
  if (view.text) {
    return <pre className={s.text}>{view.text}</pre>;
  }
  return (
    <>
      {view.pages.map((page, i) => (
        // biome-ignore lint/a11y/useSemanticElements: a page of a hand-out is a drawing made of text and lines
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: pages are in order
          key={i}
          className={s.sheet}
          role="group"
          aria-label={`Page ${i + 1} of ${view.count}`}
          // biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by the core, which escapes every text in it
          dangerouslySetInnerHTML={{ __html: page }}
        />
      ))}
      {view.count > view.pages.length ? <p>And {view.count - view.pages.length} more pages in the file.</p> : null}
    </>
  );
}
