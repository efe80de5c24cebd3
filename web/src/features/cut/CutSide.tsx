import { Button } from "@mantine/core";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { answer, api, type Desk, problemOf, type Schemas } from "../../api/client";
import { cutOf, queries } from "../../api/queries";
import { Fig, Sentence, sentenceText } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import s from "./Cut.module.css";
import type { CutPlanView } from "./CutPage";

/** The order of cuts with what the trimmer is set to, and the stock book after the plan. */
export function CutSide({
  id,
  view,
  desk,
  cards,
  goodFor,
  lit,
  onLit,
  onStop,
  onGoOn,
}: {
  id: string;
  view: CutPlanView;
  desk: Desk;
  cards: number;
  goodFor: Schemas["GoodForView"] | undefined;
  lit: string | null;
  onLit: (lit: string | null) => void;
  onStop: () => void;
  onGoOn: () => void;
}) {
  return (
    <aside className={s.side} aria-label="The plan" data-part="cut-side">
      <div className={s.title} aria-live="polite">
        <h2>{view.title}</h2>
        <p>{view.said.join(" ")}</p>
        {view.running ? (
          <p className={s.progress}>
            <progress aria-label="Looking for a better plan" />
            <Button size="compact-sm" variant="default" onClick={onStop}>
              That will do
            </Button>
          </p>
        ) : view.stopped ? (
          <Button size="compact-sm" variant="default" onClick={onGoOn}>
            Go on looking
          </Button>
        ) : null}
      </div>
      <Order view={view} lit={lit} onLit={onLit} />
      <Book id={id} view={view} desk={desk} cards={cards} />
      {goodFor && goodFor.lines.length > 0 ? <GoodFor view={goodFor} /> : null}
      <Earlier id={id} desk={desk} cards={cards} running={view.running} />
    </aside>
  );
}

/** Every cut in an order in which it can be made; each can be ticked off. */
export function Order({ view, lit, onLit }: { view: CutPlanView; lit: string | null; onLit: (lit: string | null) => void }) {
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  return (
    <section aria-label="Cut in this order">
      <h3>
        Cut in this order <small>figures as you set the trimmer</small>
      </h3>
      {view.cautions.map((caution) => (
        <p key={caution} className={s.caution}>
          Take care: {caution}
        </p>
      ))}
      {view.stocks.flatMap((stock) =>
        stock.sheets.map((sheet, i) => {
          const key = `${stock.id}.${i}`;
          return (
            <div key={key}>
              <h4>
                {sheet.heading}: <Sentence parts={sheet.detail} />
              </h4>
              <ol className={s.steps}>
                {sheet.steps.map((step) => {
                  const mine = `${key}.${step.step}`;
                  return (
                    <li
                      key={step.step}
                      data-lit={lit === mine ? "" : undefined}
                      data-done={done.has(mine) ? "" : undefined}
                      onPointerEnter={() => onLit(mine)}
                      onPointerLeave={() => onLit(null)}
                    >
                      <label>
                        <input
                          type="checkbox"
                          checked={done.has(mine)}
                          aria-label={`Tick off cut ${step.step}: ${sentenceText(step.text)}`}
                          onFocus={() => onLit(mine)}
                          onBlur={() => onLit(null)}
                          onChange={() =>
                            setDone((was) => {
                              const next = new Set(was);
                              return next.delete(mine) ? next : next.add(mine);
                            })
                          }
                        />
                        <b>{step.step}</b>
                        <span>
                          <Sentence parts={step.text} />
                          <small>
                            <Sentence parts={step.lies} />
                          </small>
                        </span>
                        <Fig figure={step.at} className={s.at ?? ""} />
                      </label>
                    </li>
                  );
                })}
              </ol>
            </div>
          );
        }),
      )}
    </section>
  );
}

/** What the plan takes against what is there; taken only when asked, and put back as easily. */
function Book({ id, view, desk, cards }: { id: string; view: CutPlanView; desk: Desk; cards: number }) {
  const cache = useQueryClient();
  const navigate = useNavigate();
  const takings = useQuery(queries.takings());
  const changed = () => {
    for (const queryKey of [queries.takings().queryKey, queries.inventory().queryKey, ["worked"]]) {
      cache.invalidateQueries({ queryKey });
    }
  };
  const take = useMutation({
    mutationFn: () => answer(api.POST("/api/cut/take", { body: cutOf(desk, id, cards) })),
    onSuccess: (taken) => {
      changed();
      // What was taken is what is cut, whatever the book has for the next plan.
      if (taken.plan != null) {
        navigate(`/cut/${id}/kept/${taken.plan}`);
      }
    },
  });
  const set = useMutation({
    mutationFn: (body: Schemas["TakingRequest"]) => answer(api.PUT("/api/cut/takings", { body })),
    onSuccess: changed,
  });
  const problem = take.error ?? set.error;
  const known = view.book.some((b) => b.entry !== null);
  const isShort = view.book.some((b) => b.short > 0);
  return (
    <section aria-label="Stock book">
      <h3>
        Stock book <small>after this plan</small>
      </h3>
      <table className={s.book}>
        <thead className="unseen">
          <tr>
            <th>sheets</th>
            <th>takes</th>
            <th>left</th>
          </tr>
        </thead>
        <tbody>
          {view.book.map((line) => (
            <tr key={`${line.stock}.${line.name}.${sentenceText(line.size)}`}>
              <th scope="row">
                {line.stock}, {line.name}
                <small>
                  <Sentence parts={line.size} />
                </small>
              </th>
              <td>
                takes {line.takes}
                {line.has == null ? null : `, has ${line.has}`}
                {line.short > 0 ? <b className={s.bad}> · {line.short} short</b> : null}
              </td>
              <td className={s.left}>{line.buy ?? (line.has == null ? "not in the book" : line.left)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {problem ? <Trouble problem={problemOf(problem)} /> : null}
      <p className={s.buttons}>
        <Button
          radius="xl"
          disabled={view.running || isShort || !known}
          loading={take.isPending}
          onClick={() => take.mutate()}
          title={isShort ? "There is not enough for this plan" : known ? undefined : "Nothing of it is in the stock book"}
        >
          Take it from the stock
        </Button>
        <Button radius="xl" variant="default" component={Link} to="/drawer">
          Open the stock book
        </Button>
      </p>
      {takings.data && takings.data.takings.length > 0 ? (
        <ul className={s.takings} aria-label="Last taken">
          {takings.data.takings.map((taking) => (
            <li key={taking.id} data-undone={taking.undone ? "" : undefined}>
              <span>
                {taking.for} <small>{taking.at}</small>
              </span>
              <Button
                size="compact-sm"
                variant="default"
                aria-label={`${taking.undone ? "Take again" : "Put back"}: ${taking.for}`}
                onClick={() => set.mutate({ id: taking.id, undone: !taking.undone })}
              >
                {taking.undone ? "take again" : "put back"}
              </Button>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}

/** Offcuts that are worth keeping, and what they are large enough for. */
function GoodFor({ view }: { view: Schemas["GoodForView"] }) {
  return (
    <section aria-label="Offcuts">
      <h3>
        Offcuts to keep <small>and what each is good for</small>
      </h3>
      <ul className={s.offcuts}>
        {view.lines.map((line) => (
          <li key={`${line.stock}.${sentenceText(line.size)}`}>
            {line.count} {line.stock}, <Sentence parts={line.size} />
            {line.text ? <small>{line.text}</small> : null}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Plans from before, and what has changed since each was made. */
function Earlier({ id, desk, cards, running }: { id: string; desk: Desk; cards: number; running: boolean }) {
  const kept = useQuery(queries.kept(running ? undefined : desk, id, cards));
  if (!kept.data || kept.data.plans.length === 0) {
    return null;
  }
  return (
    <details className={s.earlier}>
      <summary>Earlier plans ({kept.data.plans.length})</summary>
      <ul>
        {kept.data.plans.map((plan) => (
          <li key={plan.id}>
            <Link to={`/cut/${id}/kept/${plan.id}`}>{plan.title}</Link> <small>{plan.at}</small>
            {plan.changed.map((change) => (
              <small key={change}>{change}</small>
            ))}
          </li>
        ))}
      </ul>
    </details>
  );
}
