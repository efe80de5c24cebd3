import { Button, NativeSelect } from "@mantine/core";
import { useDocumentTitle } from "@mantine/hooks";
import { useMutation } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { Link, useParams } from "react-router";
import { answer, api, type Problem, type Schemas } from "../../api/client";
import shell from "../../app/Shell.module.css";
import { Bar, HelpButton, ThemeButton } from "../../components/Bar";
import { Trouble } from "../../components/Trouble";
import { useDesk } from "../bench/desk/useDesk";
import s from "./StandIns.module.css";

type Ask = Schemas["StandInRequest"];
const faults: { value: Ask["fault"] & string; label: string }[] = [
  { value: "none", label: "all goes well" },
  { value: "noAnswer", label: "no answer comes" },
  { value: "wrongUnit", label: "the answer is in the wrong unit" },
  { value: "halfAMessage", label: "the message ends in the middle" },
];

/** Machines that are not there: what a real one would be asked for and would answer, and what happens when one fails. */
export function StandInsPage() {
  const { id = "" } = useParams();
  const { design, desk, commit, problem, clearProblem } = useDesk(id);
  const [fault, setFault] = useState<(typeof faults)[number]["value"]>("none");
  const [mat, setMat] = useState<string | null>(null);
  useDocumentTitle("Stand-ins · Whole Fold");
  const name = design?.state.name;
  const reading = (measured: string) => commit([{ edit: "take", what: "caliper", value: measured }]);
  const ask = (): Ask => ({ design: desk?.design ?? {}, edits: desk?.edits ?? [], fault, mat });
  const cut = useMutation({ mutationFn: () => answer(api.POST("/api/stand-ins/cut", { body: ask() })) });
  const caliper = useMutation({ mutationFn: () => answer(api.POST("/api/stand-ins/caliper", { body: ask() })) });
  const post = useMutation({ mutationFn: () => answer(api.POST("/api/stand-ins/post", { body: ask() })) });
  return (
    <main className={shell.page}>
      <Bar
        heading={
          <h1>
            Stand-ins
            <small>{name ? `for ${name}: no machine is moved` : ""}</small>
          </h1>
        }
      >
        <NativeSelect
          size="sm"
          aria-label="What happens on the way"
          data={faults}
          value={fault}
          onChange={(e) => setFault(faults.find((f) => f.value === e.currentTarget.value)?.value ?? "none")}
        />
        <Button component={Link} to={`/handout/${id}`} variant="default">
          back to Hand out
        </Button>
        <ThemeButton />
        <HelpButton />
      </Bar>
      {problem ? <Trouble problem={problem} onClose={clearProblem} /> : null}
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it */}
      <section className={s.page} tabIndex={0} aria-label="Machines">
        <Machine
          name="Cutting machine"
          does="takes the templates as a DXF, scores first"
          go="send it the templates"
          run={cut}
          ready={desk !== undefined}
          more={
            <NativeSelect
              size="sm"
              aria-label="Its mat"
              data={cut.data?.mats ?? ["12 × 12 in mat", "12 × 24 in mat", "A4 mat"]}
              value={mat ?? "12 × 12 in mat"}
              onChange={(e) => setMat(e.currentTarget.value)}
            />
          }
        >
          {cut.data ? (
            <>
              <p>
                The {cut.data.machine} would work {cut.data.size} of its mat, and leave {cut.data.free}.
              </p>
              <ol>
                {cut.data.passes.map((p) => (
                  <li key={p.tool}>
                    {p.tool}: {p.lines} lines, {p.length} with the tool down, {p.travel} with it up
                  </li>
                ))}
              </ol>
              <p>
                {cut.data.drops.length === 0
                  ? "Nothing drops out of a piece."
                  : `Out of pieces drop ${cut.data.drops.join("; ")}.`}
              </p>
              <p className={s.care}>Keep fingers off the mat until the blade is parked, and take it out by its holder.</p>
            </>
          ) : null}
        </Machine>
        <Machine
          name="Caliper"
          does="sends what it reads, a line at a time"
          go="take a reading"
          run={caliper}
          ready={desk !== undefined}
        >
          {caliper.data ? (
            <>
              <p>
                The {caliper.data.machine} sent “{caliper.data.line}”: {caliper.data.reading}.
              </p>
              {design?.state.caliper === caliper.data.reading ? (
                <p>This card is worked out for {caliper.data.reading} now; Undo on the bench takes it back.</p>
              ) : (
                <Button variant="default" onClick={() => reading(caliper.data.reading)}>
                  work this card out for it
                </Button>
              )}
            </>
          ) : null}
        </Machine>
        <Machine
          name="Postal counter"
          does="says what it costs, by example tariffs"
          go="ask what it costs"
          run={post}
          ready={desk !== undefined}
        >
          {post.data ? (
            <p>
              The {post.data.counter}: {post.data.sending}, as a {post.data.class}, {post.data.costs}.
              {post.data.why ? ` It is ${post.data.why}.` : ""}
            </p>
          ) : null}
        </Machine>
      </section>
    </main>
  );
}

function Machine({
  name,
  does,
  go,
  run,
  ready,
  more,
  children,
}: {
  name: string;
  does: string;
  go: string;
  run: { isPending: boolean; error: Problem | null; mutate: () => void };
  ready: boolean;
  more?: ReactNode;
  children: ReactNode;
}) {
  return (
    <section className={s.machine} aria-label={name}>
      <h2>{name}</h2>
      <p className={s.simulated}>simulated: it {does}</p>
      <div className={s.row}>
        <Button onClick={() => run.mutate()} loading={run.isPending} disabled={!ready}>
          {go}
        </Button>
        {more}
      </div>
      <div aria-live="polite">{run.error ? <Trouble problem={run.error} /> : children}</div>
    </section>
  );
}
