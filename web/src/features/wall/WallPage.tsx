import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate, useParams } from "react-router";
import { answer, api, type DesignState, type Problem, type Schemas } from "../../api/client";
import { ClosedDrawing, closedSize } from "../../bench/Closed";
import { Sentence } from "../../components/Fig";
import { PrintPage, useStoredDesign } from "../../components/PrintPage";
import { withTarget } from "../bench/changes";

type Card = Schemas["WallCard"];

/** How high the tallest closed card, with its envelope, is drawn; all others to the same scale. */
const TALLEST = 150;

/** One design in all formats at once. Any of them opens on the bench. */
export function WallPage() {
  const { id = "" } = useParams();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const design = useStoredDesign(id);
  const state = design.data?.state;
  const wall = useQuery({
    queryKey: ["wall", state],
    enabled: state !== undefined,
    queryFn: ({ signal }) => answer(api.POST("/api/bench/wall", { body: { design: state as DesignState }, signal })),
    retry: 0,
  });
  const open = useMutation({
    mutationFn: ({ format }: Card) =>
      answer(
        api.PUT("/api/designs/{id}", {
          params: { path: { id } },
          body: {
            version: design.data?.version ?? 0,
            state: withTarget(state as DesignState, format.format, format.turn),
            gesture: `to ${format.name}`,
          },
        }),
      ),
    onSuccess: (next) => {
      queries.setQueryData(["design", id], next);
      navigate(`/bench/${id}`);
    },
  });
  return (
    <PrintPage
      id={id}
      heading="Every format"
      title={state ? `${state.name} in every format · Whole Fold` : "Whole Fold"}
      problem={(design.error ?? wall.error ?? open.error) as Problem | null}
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
      <p className="wall-head">
        <b>{wall.name}</b>, {wall.construction}, from <Sentence text={wall.home} />; {wall.stock}. All to one scale, closed, in
        the envelope it goes into.
      </p>
      <ul className="wall">
        {wall.cards.map((card) => (
          <li key={card.format.key}>
            <button
              type="button"
              className={`wall-card ${card.format.verdict}`}
              aria-current={card.format.target ? "true" : undefined}
              onClick={() => onPick(card)}
            >
              <WallDrawing card={card} scale={scale} />
              <b>{card.format.name}</b>
              <span>
                <Sentence text={card.format.size} />
              </span>
              <span className="verdict-line">
                {card.format.home ? <em>from here · </em> : null}
                <Sentence text={card.format.verdictText} />
              </span>
              {card.closed ? (
                <>
                  <span>{card.format.envelope}</span>
                  <span>
                    {card.closed.thickness} thick · {card.sheets}
                  </span>
                  {card.changed.length > 0 ? (
                    <span className="moved">
                      <Sentence text={card.changed.join("; ")} />
                    </span>
                  ) : null}
                </>
              ) : (
                <span className="moved">
                  <Sentence text={card.problem ?? ""} />
                </span>
              )}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

function WallDrawing({ card, scale }: { card: Card; scale: number }) {
  const size = card.closed
    ? closedSize(card.closed, scale)
    : { width: card.format.width * scale, height: card.format.height * scale };
  return (
    <svg width={size.width + 4} height={size.height + 4} aria-hidden="true">
      {card.closed ? (
        <ClosedDrawing closed={card.closed} x={2} y={2} scale={scale} />
      ) : (
        <rect x={2} y={2} width={size.width} height={size.height} className="envelope" />
      )}
    </svg>
  );
}
