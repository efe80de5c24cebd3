import { Button, FileButton, NativeSelect, Textarea } from "@mantine/core";
import { useDebouncedValue, useDocumentTitle, useLocalStorage } from "@mantine/hooks";
import { useMutation, useQuery } from "@tanstack/react-query";
import { answer, api, type Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, ThemeButton } from "../../components/Bar";
import { Fig, Sentence, sentenceText } from "../../components/Fig";
import { SizeField } from "../../components/SizeField";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import { useBegin } from "../drawer/useBegin";
import s from "./Own.module.css";

const sample =
  "base 8 x 5, score at 1 and 7\ntier one 7 x 3, scores 1/2, 6 1/2\ntier two 7 x 4 1/8, scores 1/2, 6 1/2\nmat 5 3/4 x 2 3/4";

/** A list of one's own: typed or pasted as it is, read line by line, drawn at once, and said what it is. */
export function OwnPage() {
  const [text, setText] = useLocalStorage({ key: "wholefold.own", defaultValue: "", getInitialValueInEffect: false });
  const [units, setUnits] = useLocalStorage({ key: "wholefold.own.units", defaultValue: "in", getInitialValueInEffect: false });
  const [format, setFormat] = useLocalStorage({ key: "wholefold.own.format", defaultValue: "", getInitialValueInEffect: false });
  const [rules, setRules] = useLocalStorage<Schemas["RuleSaid"][]>({
    key: "wholefold.own.said",
    defaultValue: [],
    getInitialValueInEffect: false,
  });
  /** What was said of a line holds while it stands there as it was; what was said of the card while any line does. */
  const write = (next: string) => {
    const [was, now] = [text.split("\n"), next.split("\n")];
    setRules((before) =>
      before.filter(({ key }) => {
        const line = Number.parseInt(key, 10);
        return Number.isNaN(line) ? was.some((l) => l.trim() !== "" && now.includes(l)) : was[line - 1] === now[line - 1];
      }),
    );
    setText(next);
  };
  const [asked] = useDebouncedValue(text, 250);
  const own = useQuery(queries.own(asked, units, format, rules));
  const inventory = useQuery(queries.inventory());
  const begin = useBegin();
  useDocumentTitle("Your own list · Whole Fold");
  const view = own.data;
  /** What another program drew, as a list: it goes on from there like one that was typed. */
  const drawing = useMutation({
    mutationFn: async (file: File) => answer(api.POST("/api/own/drawing", { body: { text: await file.text(), units } })),
    onSuccess: (read) => write(read.list),
  });
  /** One after the other: each means what was shown when it was said. */
  const say = (key: string, which: number) => setRules((before) => [...before, { key, which }]);
  const take = () => view?.design && begin.mutate(view.design);
  const formats = inventory.data?.kinds.find((k) => k.id === "formats")?.things ?? [];
  return (
    <main className={shell.page}>
      <Bar heading={<h1>Your own list</h1>}>
        <ThemeButton />
        <HelpButton />
      </Bar>
      <div className={s.page}>
        <section className={s.write} aria-label="The list">
          <Textarea
            label="Pieces, a line each, as you write them"
            placeholder={sample}
            autosize
            minRows={12}
            maxRows={22}
            value={text}
            onChange={(e) => write(e.currentTarget.value)}
            onKeyDown={(e) => {
              if (e.key === "Enter" && (e.ctrlKey || e.metaKey)) {
                take();
              }
            }}
            classNames={{ input: s.text, label: s.label }}
          />
          <div className={s.pair}>
            <NativeSelect
              label="Bare numbers are"
              data={["in", "cm", "mm"]}
              value={units}
              onChange={(e) => setUnits(e.currentTarget.value)}
            />
            <SizeField
              label="See it in"
              placeholder="as it is"
              formats={formats}
              at={format}
              shows={format}
              onTaken={setFormat}
            />
          </div>
          <FileButton onChange={(file) => file && drawing.mutate(file)} accept=".fold,.svg,.dxf">
            {(props) => (
              <Button variant="default" loading={drawing.isPending} {...props}>
                open a drawing (FOLD, SVG, DXF)
              </Button>
            )}
          </FileButton>
          {drawing.error ? <Trouble problem={drawing.error} /> : null}
          {drawing.data && drawing.data.leftOut.length > 0 ? (
            <p className={s.kept}>Not carried over from the drawing: {drawing.data.leftOut.join("; ")}.</p>
          ) : null}
          {(view?.noted ?? []).map((n) => (
            <p key={n.line + n.name} className={s.kept}>
              Line {n.line} names a figure that is no side and no score: {n.name}, <Fig figure={n.value} />. It is kept, and
              nothing is worked out by it.
            </p>
          ))}
          {(view?.left ?? []).map((l) => (
            <p key={l.line + l.text} className={s.left}>
              Line {l.line} is kept but not {l.inPart ? "wholly " : ""}understood: <u>{l.text}</u>. It could be {l.would}.
            </p>
          ))}
        </section>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
        <section className={s.drawn} aria-label="As it is read" tabIndex={0} data-part="own-pieces">
          {own.error ? <Trouble problem={own.error} /> : null}
          {begin.error ? <Trouble problem={begin.error} /> : null}
          {text.trim() === "" ? (
            <div className={s.empty}>
              <p>Type or paste the measure list that you have. It is drawn here as you type.</p>
              <Button variant="default" onClick={() => write(sample)}>
                show me with one
              </Button>
            </div>
          ) : (
            <Pieces pieces={view?.pieces ?? []} />
          )}
        </section>
        <aside className={s.said} aria-label="What it is">
          <p className={s.says} aria-live="polite" data-part="own-says">
            {view ? <Sentence parts={view.says} /> : null}{" "}
            {own.isFetching && text !== "" ? <Waiting size="xs" for="Reading it" /> : null}
          </p>
          {view?.design ? (
            <Button onClick={take} loading={begin.isPending} aria-keyshortcuts="Control+Enter">
              {view.isKnown ? "take it to the bench" : "make it a card of my own"}
            </Button>
          ) : null}
          {(view?.aside ?? []).map((a) => (
            <p key={sentenceText(a)} className={s.kept}>
              <Sentence parts={a} />
            </p>
          ))}
          {view && view.contradictions.length > 0 ? (
            <ul className={s.found}>
              {view.contradictions.map((c) => (
                <li key={sentenceText(c)}>
                  <Sentence parts={c} />
                </li>
              ))}
            </ul>
          ) : null}
          {view && view.questions.length + view.answers.length > 0 ? (
            <>
              <h2>Worth a question</h2>
              <ul>
                {view.questions.map((q) => (
                  <li key={sentenceText(q)}>
                    <Sentence parts={q} />
                  </li>
                ))}
              </ul>
              <div className={s.answers}>
                {view.answers.map((a) => (
                  <Button key={a.key} variant="default" onClick={() => say(a.key, 1)}>
                    {a.text}
                  </Button>
                ))}
              </div>
            </>
          ) : null}
          <table className={s.rules}>
            <tbody>
              {(view?.figures ?? []).map((f, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: figures are in the order of the list
                <tr key={i} data-unsure={f.sure < 60 ? "" : undefined}>
                  <th scope="row">
                    {f.name}, {f.figure}
                  </th>
                  <td className={s.num}>
                    <Fig figure={f.value} />
                    {f.now ? (
                      <b>
                        {" → "}
                        <Fig figure={f.now} />
                      </b>
                    ) : null}
                  </td>
                  <td>
                    <Sentence parts={f.rule} />
                    {rules.some((r) => r.key === f.key) ? ", as you said" : f.sure < 60 ? ", not sure" : ""}
                    {f.next.map((rule, n) => (
                      <button
                        key={sentenceText(rule)}
                        type="button"
                        className={s.rather}
                        onClick={() => say(f.key, n + 1)}
                        aria-label={`Another rule for ${f.name}, ${f.figure}: ${sentenceText(rule)}`}
                      >
                        {n === 0 ? "rather" : "or"} <Sentence parts={rule} />
                      </button>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </aside>
      </div>
    </main>
  );
}

/** Every piece to one scale, its scores across the side that they are read along. */
function Pieces({ pieces }: { pieces: Schemas["OwnPieceView"][] }) {
  const widest = Math.max(...pieces.map((p) => p.width), 1);
  const scale = 380 / widest;
  return pieces.map((p, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: pieces are in the order of the list
    <figure key={i} className={s.piece}>
      <svg
        style={{ width: `min(${p.width * scale + 4}px, ${(100 * p.width) / widest}%)` }}
        viewBox={`0 0 ${p.width * scale + 4} ${p.height * scale + 4}`}
        role="img"
        aria-label={`${p.name}, ${p.size}${p.scores.length > 0 ? `, ${p.scores.length} ${p.scores.length === 1 ? "score" : "scores"}` : ""}`}
        data-kind={p.kind}
      >
        <rect x={2} y={2} width={p.width * scale} height={p.height * scale} />
        {[
          ...p.scores.map((at) => ({ at, upright: p.alongWidth, way: p.mountains.includes(at) ? s.mountain : undefined })),
          ...p.cross.map((at) => ({ at, upright: !p.alongWidth, way: undefined })),
        ].map(({ at, upright, way }) =>
          upright ? (
            <line key={`x${at}`} className={way} x1={2 + at * scale} x2={2 + at * scale} y1={2} y2={2 + p.height * scale} />
          ) : (
            <line
              key={`y${at}`}
              className={way}
              x1={2}
              x2={2 + p.width * scale}
              y1={2 + (p.height - at) * scale}
              y2={2 + (p.height - at) * scale}
            />
          ),
        )}
      </svg>
      <figcaption>
        {p.name}, {p.size}
        {p.quantity > 1 ? ` × ${p.quantity}` : ""}
      </figcaption>
    </figure>
  ));
}
