import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import type { Desk, Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Fig, Sentence, sentenceText } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import s from "./Ledger.module.css";

/** How one figure came about: as a colleague says it, its safe side, how else it could be set, and each step. */
export function Explained({
  desk,
  row,
  safe,
  unit,
  said,
}: {
  desk: Desk | undefined;
  row: Schemas["LedgerRow"];
  safe: Schemas["SafeView"] | undefined;
  unit: string;
  said: string;
}) {
  const explained = useQuery(queries.explain(desk, row.figureId));
  const found = explained.data?.figureId === row.figureId ? explained.data : undefined;
  const end = useRef<HTMLOListElement>(null);
  useEffect(() => {
    // Its reasons open below the row: what has just been asked for is not left under the edge.
    if (found) {
      const row = end.current?.closest("[data-figure]");
      row?.scrollIntoView?.({ block: "nearest" });
      row?.firstElementChild?.scrollIntoView?.({ block: "nearest" });
    }
  }, [found]);
  if (explained.error) {
    return <Trouble problem={explained.error} />;
  }
  if (!found) {
    return <Waiting size="xs" for={`Why ${said}`} className={s.reasons} />;
  }
  return (
    <>
      <div className={s.reasons}>
        <p className={s.said} data-part="said">
          <Sentence parts={found.said} />
        </p>
        {row.because ? (
          <p className={s.because} data-part="because">
            Changed: <Sentence parts={row.because} />
          </p>
        ) : null}
        {safe ? (
          <p>
            <Sentence parts={safe.text} />
          </p>
        ) : null}
        {found.ways.length > 0 ? (
          <p>
            It could also be set:{" "}
            {found.ways.map((way, i) => (
              <span key={sentenceText(way)}>
                {i > 0 ? "; " : ""}
                <Sentence parts={way} />
              </span>
            ))}
          </p>
        ) : null}
      </div>
      <ol ref={end} className={s.reasons} aria-label="How it came about">
        {found.reasons.map((reason) => (
          <li key={sentenceText(reason.why)}>
            <Sentence parts={reason.why} />
            {reason.moves ? (
              <span className={s.move}>
                {" "}
                <Fig figure={reason.from} /> → <Fig figure={reason.to} />
              </span>
            ) : null}
          </li>
        ))}
        <li className={s.total}>
          So: <Fig figure={row.now.text} /> {unit}
          {row.also ? (
            <>
              {" · "}
              <Fig figure={row.also} /> {row.also.unit ? null : unit === "in" ? "cm" : "in"}
            </>
          ) : null}
          .
        </li>
      </ol>
    </>
  );
}
