import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { answer, api, type DesignState, type Problem, type Schemas } from "../../api/client";
import { Fig, Sentence } from "../../components/Fig";
import { PrintPage, useStoredDesign } from "../../components/PrintPage";

/** Every figure in inches and in centimetres, for the wall beside the board. */
export function SheetPage() {
  const { id = "" } = useParams();
  const design = useStoredDesign(id);
  const state = design.data?.state;
  const sheet = useQuery({
    queryKey: ["sheet", state],
    enabled: state !== undefined,
    queryFn: ({ signal }) => answer(api.POST("/api/bench/sheet", { body: { design: state as DesignState }, signal })),
    retry: 0,
  });
  return (
    <PrintPage
      id={id}
      heading="Figure sheet"
      title={state ? `${state.name}, figures · Whole Fold` : "Whole Fold"}
      problem={(design.error ?? sheet.error) as Problem | null}
      waiting={sheet.isLoading || design.isLoading ? "Writing the sheet" : null}
    >
      {sheet.data ? <Sheet sheet={sheet.data} /> : null}
    </PrintPage>
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
