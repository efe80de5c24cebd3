import type { Schemas } from "../../api/client";
import { Fig, Sentence, sentenceText } from "../../components/Fig";
import s from "./Sheet.module.css";

/** Every figure in inches and in centimetres with how it is set, for the wall beside the board. */
export function Sheet({ sheet }: { sheet: Schemas["SheetView"] }) {
  return (
    <article className={s.sheet} data-part="sheet">
      <h2>
        {sheet.name}
        <small>
          {sheet.construction} · <Sentence parts={sheet.size} />
        </small>
      </h2>
      <p>
        {sheet.tools}; {sheet.stock}. <Sentence parts={sheet.closed} />.
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
              <th scope="col" className={s.num}>
                in
              </th>
              <th scope="col">set</th>
              <th scope="col" className={s.num}>
                cm
              </th>
              <th scope="col">set</th>
            </tr>
          </thead>
          <tbody>
            {section.rows.map((row) => (
              <tr key={row.figureId} data-figure={row.figureId}>
                <td>
                  <span className={s.box} />
                </td>
                <th scope="row">
                  {row.label} <small>{row.detail}</small>
                </th>
                <td className={s.num}>{row.in ? <Fig figure={row.in} /> : "–"}</td>
                <td className={s.set}>
                  <Sentence parts={row.setIn} />
                </td>
                <td className={s.num}>{row.cm ? <Fig figure={row.cm} /> : "–"}</td>
                <td className={s.set}>
                  <Sentence parts={row.setCm} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
      {sheet.notes.length > 0 ? (
        <ul className={s.notes}>
          {sheet.notes.map((note) => (
            <li key={sentenceText(note)}>
              <Sentence parts={note} />
            </li>
          ))}
        </ul>
      ) : null}
    </article>
  );
}
