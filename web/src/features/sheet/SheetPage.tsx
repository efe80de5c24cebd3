import { Button, Loader, useComputedColorScheme, useMantineColorScheme } from "@mantine/core";
import { useDocumentTitle, useHotkeys } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import { Link, useNavigate, useParams } from "react-router";
import { answer, api, type DesignState, type Problem, type Schemas } from "../../api/client";
import { Fig, Sentence } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { ThemeButton, Wordmark } from "../bench/Bar";

/** Every figure in inches and in centimetres, for the wall beside the board. */
export function SheetPage() {
  const { id = "" } = useParams();
  const navigate = useNavigate();
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme("light");
  const design = useQuery({
    queryKey: ["design", id],
    queryFn: ({ signal }) => answer(api.GET("/api/designs/{id}", { params: { path: { id } }, signal })),
  });
  const state = design.data?.state;
  const sheet = useQuery({
    queryKey: ["sheet", state],
    enabled: state !== undefined,
    queryFn: ({ signal }) => answer(api.POST("/api/bench/sheet", { body: { design: state as DesignState }, signal })),
    retry: 0,
  });
  useDocumentTitle(state ? `${state.name}, figures · Whole Fold` : "Whole Fold");
  useHotkeys([
    ["D", () => setColorScheme(scheme === "dark" ? "light" : "dark")],
    ["Escape", () => navigate(`/bench/${id}`)],
  ]);
  const problem = (design.error ?? sheet.error) as Problem | null;
  return (
    <main className="page sheet-page">
      <header className="bar">
        <Wordmark />
        <h1>Figure sheet</h1>
        <Button variant="default" radius="xl" component={Link} to={`/bench/${id}`} aria-keyshortcuts="Escape">
          Back to the bench
        </Button>
        <Button radius="xl" onClick={() => window.print()} disabled={!sheet.data}>
          Print
        </Button>
        <ThemeButton />
      </header>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
      <section className="sheet-body" aria-label="Figures in both systems" tabIndex={0}>
        {problem ? <Trouble problem={problem} /> : null}
        {sheet.isLoading || design.isLoading ? <Loader aria-label="Writing the sheet" /> : null}
        {sheet.data ? <Sheet sheet={sheet.data} /> : null}
      </section>
    </main>
  );
}

export function Sheet({ sheet }: { sheet: Schemas["SheetView"] }) {
  return (
    <article className="sheet">
      <h2>
        {sheet.name}
        <small>
          {sheet.construction} · <Sentence text={sheet.size} />
        </small>
      </h2>
      <p>
        {sheet.tools}; {sheet.stock}. Closed <Sentence text={sheet.closed} />.
      </p>
      {sheet.sections.map((section) => (
        <table key={section.title}>
          <caption>
            {section.title} <small>{section.detail}</small>
          </caption>
          <thead>
            <tr>
              <th scope="col">done</th>
              <th scope="col">figure</th>
              <th scope="col" className="num">
                in
              </th>
              <th scope="col">set</th>
              <th scope="col" className="num">
                cm
              </th>
              <th scope="col">set</th>
            </tr>
          </thead>
          <tbody>
            {section.rows.map((row) => (
              <tr key={row.figureId} data-figure={row.figureId}>
                <td>
                  <span className="box" />
                </td>
                <th scope="row">
                  {row.label} <small>{row.detail}</small>
                </th>
                <td className="num">{row.in ? <Fig text={row.in} /> : "–"}</td>
                <td className="set">
                  <Sentence text={row.setIn} />
                </td>
                <td className="num">{row.cm ? <Fig text={row.cm} /> : "–"}</td>
                <td className="set">
                  <Sentence text={row.setCm} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
      {sheet.notes.length > 0 ? (
        <ul className="sheet-notes">
          {sheet.notes.map((note) => (
            <li key={note}>
              <Sentence text={note} />
            </li>
          ))}
        </ul>
      ) : null}
    </article>
  );
}
