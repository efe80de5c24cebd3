import { Button } from "@mantine/core";
import { useMutation } from "@tanstack/react-query";
import { answer, api, problemOf, type Schemas } from "../../api/client";
import { keepFile } from "../../components/keepFile";
import { Trouble } from "../../components/Trouble";
import type { useDesk } from "../bench/desk/useDesk";
import s from "./Show.module.css";
import type { Run } from "./useRun";

/** After the last step: what goes under a recording of it, and another round. */
export function End({
  view,
  desk,
  run,
  cards,
  onAgain,
}: {
  view: Schemas["ShowView"];
  desk: ReturnType<typeof useDesk>;
  run: Run;
  cards: number;
  onAgain: () => void;
}) {
  const made = useMutation({
    mutationFn: (what: "captions" | "chapters") => {
      const last = run.shown[run.shown.length - 1]?.seconds ?? 0;
      return answer(
        api.POST("/api/handouts/captions", {
          body: {
            design: desk.desk?.design ?? { name: "" },
            edits: desk.desk?.edits ?? [],
            cards,
            run: run.shown,
            end: last + 10,
          },
        }),
      ).then((made) =>
        keepFile(new Blob([made[what]], { type: "text/plain" }), what === "captions" ? "captions.vtt" : "chapters.txt"),
      );
    },
  });
  return (
    <div className={s.readyPage}>
      <h2>{view.name} is done</h2>
      <p className={s.sub}>{view.steps} steps. Well made.</p>
      {made.error ? <Trouble problem={problemOf(made.error)} /> : null}
      <div className={s.controls}>
        <Button variant="default" onClick={() => made.mutate("captions")} disabled={run.shown.length === 0}>
          captions of this run
        </Button>
        <Button variant="default" onClick={() => made.mutate("chapters")} disabled={run.shown.length === 0}>
          chapters of this run
        </Button>
        <Button onClick={onAgain}>once more from the beginning</Button>
      </div>
    </div>
  );
}
