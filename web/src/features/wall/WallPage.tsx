import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate, useParams } from "react-router";
import { answer, api, type Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Sentence } from "../../components/Fig";
import { PrintPage, useStoredDesk } from "../../components/PrintPage";
import { ClosedDrawing, closedSize } from "../../drawing/Closed";
import d from "../../drawing/drawing.module.css";
import { convert } from "../bench/edits";
import s from "./Wall.module.css";

type Card = Schemas["WallCard"];

/** How high the tallest closed card, with its envelope, is drawn; all others to the same scale. */
const TALLEST = 150;

/** One design in all formats at once. Any of them opens on the bench. */
export function WallPage() {
  const { id = "" } = useParams();
  const navigate = useNavigate();
  const cache = useQueryClient();
  const { design, desk } = useStoredDesk(id);
  const wall = useQuery(queries.wall(desk));
  const open = useMutation({
    mutationFn: ({ format }: Card) =>
      answer(
        api.PUT("/api/designs/{id}", {
          params: { path: { id } },
          body: { version: design.data?.version ?? 0, edits: [convert(format.format, format.turn)] },
        }),
      ),
    onSuccess: (next) => {
      cache.setQueryData(queries.design(id).queryKey, next);
      navigate(`/bench/${id}`);
    },
  });
  return (
    <PrintPage
      id={id}
      heading="Every format"
      title={desk ? `${desk.design.name} in every format · Whole Fold` : "Whole Fold"}
      problem={design.error ?? wall.error ?? open.error}
      waiting={wall.isLoading || design.isLoading ? "Sizing it for every format" : null}
    >
      {wall.data ? (
        <Wall wall={wall.data} onPick={(card) => (card.format.target ? navigate(`/bench/${id}`) : open.mutate(card))} />
      ) : null}
    </PrintPage>
  );
}

export function Wall({ wall, onPick }: { wall: Schemas["WallView"]; onPick: (card: Card) => void }) {
  const tallest = Math.max(
    ...wall.cards.map((c) => (c.closed ? closedSize(c.closed, 1).height : Math.max(c.format.height, 1))),
    ...wall.cards.map((c) => (c.closed ? closedSize(c.closed, 1).width * 0.8 : 1)),
  );
  const scale = TALLEST / tallest;
  return (
    <>
      <p className={s.head}>
        <b>{wall.name}</b>, {wall.construction}, from <Sentence parts={wall.home} />; {wall.stock}. All to one scale, closed, in
        the envelope it goes into.
      </p>
      <ul className={s.wall}>
        {wall.cards.map((card) => (
          <li key={card.format.key}>
            <button
              type="button"
              className={`${s.card} ${card.format.verdict === "stuck" ? s.stuck : ""}`}
              data-part="wall-card"
              aria-current={card.format.target ? "true" : undefined}
              onClick={() => onPick(card)}
            >
              <span className={s.drawing} style={{ height: TALLEST + 4 }}>
                <WallDrawing card={card} scale={scale} />
              </span>
              <b>{card.format.name}</b>
              <span>
                <Sentence parts={card.format.size} />
              </span>
              <span className={s.verdict}>
                <span className={s.mark} aria-hidden="true">
                  {marks[card.format.verdict] ?? ""}
                </span>
                {card.format.home ? <em>from here · </em> : null}
                <Sentence parts={card.format.verdictText} />
              </span>
              {card.closed ? (
                <>
                  <span>{card.format.envelope}</span>
                  <span>
                    {card.closed.thickness} thick · {card.sheets}
                  </span>
                  {card.changed.length > 0 ? (
                    <span className={s.moved}>
                      <Sentence parts={card.changed} />
                    </span>
                  ) : null}
                </>
              ) : (
                <span className={s.moved}>
                  <Sentence parts={card.problem ?? []} />
                </span>
              )}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

/** At a glance, and not by colour: it fits, something gave way, it wants more, it does not fit. */
const marks: Record<string, string> = { asDrawn: "✓", eased: "≈", largerSheet: "⤢", stuck: "✕" };

function WallDrawing({ card, scale }: { card: Card; scale: number }) {
  const size = card.closed
    ? closedSize(card.closed, scale)
    : { width: card.format.width * scale, height: card.format.height * scale };
  return (
    <svg width={size.width + 4} height={size.height + 4} aria-hidden="true">
      {card.closed ? (
        <ClosedDrawing closed={card.closed} x={2} y={2} scale={scale} />
      ) : (
        <rect x={2} y={2} width={size.width} height={size.height} className={d.envelope} />
      )}
    </svg>
  );
}
