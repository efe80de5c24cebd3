import { Button, Checkbox, NativeSelect, TextInput } from "@mantine/core";
import { useDocumentTitle, useReducedMotion } from "@mantine/hooks";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link, useNavigate } from "react-router";
import { queries } from "../../api/queries";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, ThemeButton } from "../../components/Bar";
import { Sentence, sentenceText } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { Waiting } from "../../components/Waiting";
import { frameAt, Pose } from "../../drawing/Pose";
import { useKeys } from "../../keys/useKeys";
import { useBegin } from "../drawer/useBegin";
import { anything, choose, kinds, type ShelfCard } from "./choose";
import s from "./Shelf.module.css";

/** Every construction, found by what it does when it is opened; each opens and shuts where one points at it. */
export function ShelfPage() {
  const [wanted, setWanted] = useState(anything);
  const shelf = useQuery(queries.shelf());
  const begin = useBegin();
  useDocumentTitle("Shelf of constructions · Whole Fold");
  const navigate = useNavigate();
  useKeys({ away: () => setWanted(anything), own: () => navigate("/own") });
  const cards = shelf.data?.cards ?? [];
  const found = choose(cards, wanted);
  return (
    <main className={shell.page}>
      <Bar heading={<h1>Shelf of constructions</h1>}>
        <Button variant="default" radius="xl" component={Link} to="/own" aria-keyshortcuts="Y">
          type or paste yours
        </Button>
        <ThemeButton />
        <HelpButton />
      </Bar>
      <search className={s.choose}>
        <TextInput
          className={s.wish}
          aria-label="Words"
          placeholder="tiers, window, spins …"
          value={wanted.words}
          onChange={(e) => setWanted({ ...wanted, words: e.currentTarget.value })}
        />
        <NativeSelect
          className={s.wish}
          aria-label="What it does"
          data={[{ value: "", label: "whatever it does" }, ...kinds(cards, "does", "doesWords")]}
          value={wanted.does}
          onChange={(e) => setWanted({ ...wanted, does: e.currentTarget.value })}
        />
        <NativeSelect
          className={s.wish}
          aria-label="How hard it is"
          data={[{ value: "", label: "however hard" }, ...kinds(cards, "difficulty", "difficultyWords")]}
          value={wanted.difficulty}
          onChange={(e) => setWanted({ ...wanted, difficulty: e.currentTarget.value })}
        />
        <Checkbox
          label="one sheet"
          checked={wanted.oneSheet}
          onChange={(e) => setWanted({ ...wanted, oneSheet: e.currentTarget.checked })}
        />
        <Checkbox
          label={`flat in the post${shelf.data ? `, to ${shelf.data.flatUpTo}` : ""}`}
          checked={wanted.flat}
          onChange={(e) => setWanted({ ...wanted, flat: e.currentTarget.checked })}
        />
        <Checkbox
          label="can be turned"
          checked={wanted.turns}
          onChange={(e) => setWanted({ ...wanted, turns: e.currentTarget.checked })}
        />
        <span aria-live="polite">{shelf.data ? `${found.length} of ${cards.length}` : ""}</span>
      </search>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
      <section className={s.body} aria-label="Constructions" tabIndex={0}>
        {shelf.error ? <Trouble problem={shelf.error} /> : null}
        {begin.error ? <Trouble problem={begin.error} /> : null}
        {shelf.isLoading ? <Waiting for="Taking the constructions off the shelf" /> : null}
        {shelf.data && found.length === 0 ? (
          <p>
            Nothing on the shelf does all that. Take one wish back, or press <kbd>Esc</kbd> for everything.
          </p>
        ) : null}
        <ul className={s.shelf}>
          {found.map((card) => (
            <Item
              key={card.id}
              card={card}
              busy={begin.isPending}
              onBegin={() => begin.mutate({ name: card.name, construction: card.id, format: "" })}
            />
          ))}
        </ul>
      </section>
    </main>
  );
}

/** From closed to shown and back takes this long, in milliseconds. */
const ROUND = 3200;

function Item({ card, busy, onBegin }: { card: ShelfCard; busy: boolean; onBegin: () => void }) {
  const still = useReducedMotion();
  const [moving, setMoving] = useState(false);
  const [share, setShare] = useState(1);
  useEffect(() => {
    if (!moving || still) {
      setShare(1);
      return;
    }
    const start = performance.now();
    const timer = setInterval(() => setShare(Math.abs(1 - (((performance.now() - start) / (ROUND / 2)) % 2))), 60);
    return () => clearInterval(timer);
  }, [moving, still]);
  const facts = [
    card.sheets === null ? "larger than a sheet" : card.sheets === 1 ? "one sheet" : `${card.sheets} sheets`,
    `${card.thickness} thick`,
    card.difficultyWords,
  ];
  return (
    <li className={s.item} data-part="shelf-item">
      <button
        type="button"
        disabled={busy}
        onClick={onBegin}
        onPointerEnter={() => setMoving(true)}
        onPointerLeave={() => setMoving(false)}
        onFocus={() => setMoving(true)}
        onBlur={() => setMoving(false)}
        aria-label={`${card.name}: ${card.opens}. Begin a design`}
      >
        <span className={s.picture}>
          <Pose
            poses={card.poses}
            frame={frameAt(card.poses, share)}
            label={`${card.name}, ${share > 0.5 ? "shown" : "closed"}`}
          />
          {card.poses.moves ? null : <Pose poses={card.poses} frame={0} label={`${card.name}, closed`} />}
        </span>
        <b>{card.name}</b>
        <span>{card.opens}</span>
        <small>{facts.join(" · ")}</small>
        <small>{card.formats}</small>
        {card.refuses.length > 0 ? (
          <small>
            Not in{" "}
            {card.refuses.map((why, i) => (
              <span key={sentenceText(why)}>
                {i > 0 ? "; " : ""}
                <Sentence parts={why} />
              </span>
            ))}
          </small>
        ) : null}
      </button>
    </li>
  );
}
