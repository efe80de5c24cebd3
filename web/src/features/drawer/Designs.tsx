import { Button } from "@mantine/core";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { answer, api, type Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Sentence } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { Panels, Worn } from "../../drawing/Closed";
import s from "./Drawer.module.css";

type DesignCard = Schemas["DesignCard"];

/** The studio's designs. One that cannot be read says so, gives its file out, and hides none of the others. */
export function Designs({ designs }: { designs: DesignCard[] }) {
  const tallest = Math.max(...designs.map((d) => Math.max(d.height, d.width)), 1);
  return (
    <ul className={s.designs}>
      {designs.map((d) => (
        <li key={d.id} data-part="design">
          {d.problem ? (
            <Unreadable design={d} problem={d.problem} />
          ) : (
            <Link to={`/bench/${d.id}`} className={s.design}>
              <span className={s.silhouette}>
                <Closed design={d} scale={112 / tallest} />
              </span>
              <b>{d.name}</b>
              <span>
                {d.construction}: {d.opens}
              </span>
              <small>
                <Sentence parts={d.home} /> · {d.stock}
              </small>
              <small>changed {d.changed}</small>
            </Link>
          )}
        </li>
      ))}
    </ul>
  );
}

/** The card as it is put away, panel by panel, all to one scale. */
function Closed({ design, scale }: { design: DesignCard; scale: number }) {
  const [w, h] = [design.width * scale, design.height * scale];
  return (
    <svg width={w + 4} height={h + 4} role="img" aria-label={`${design.name}, closed`}>
      <rect x={2} y={2} width={w} height={h} className={s.paper} />
      <Worn worn={design.worn} left={2} foot={h + 2} scale={scale} />
      {design.worn.length > 0 ? null : <Panels panels={design.panels} left={2} foot={h + 2} scale={scale} />}
    </svg>
  );
}

function Unreadable({ design, problem }: { design: DesignCard; problem: string }) {
  const cache = useQueryClient();
  const remove = useMutation({
    mutationFn: () => answer(api.DELETE("/api/designs/{id}", { params: { path: { id: design.id } } })),
    onSuccess: () => cache.invalidateQueries({ queryKey: queries.designs().queryKey }),
  });
  const undo = useMutation({
    mutationFn: () =>
      answer(api.POST("/api/designs/{id}/undo", { params: { path: { id: design.id } }, body: { version: design.version } })),
    onSettled: () => cache.invalidateQueries({ queryKey: queries.designs().queryKey }),
  });
  return (
    <div className={s.design}>
      <b>{design.name}</b>
      <span>There is a problem with this one. {problem}</span>
      <small>changed {design.changed}</small>
      {(undo.error ?? remove.error) ? <Trouble problem={(undo.error ?? remove.error) as Error} /> : null}
      <span className={s.buttons}>
        {design.undo ? (
          <Button size="compact-sm" variant="default" loading={undo.isPending} onClick={() => undo.mutate()}>
            undo the last change: {design.undo}
          </Button>
        ) : null}
        <Button
          size="compact-sm"
          variant="default"
          component="a"
          href={`/api/designs/${design.id}/file`}
          download={`${design.id}.json`}
        >
          take its file out
        </Button>
        <Button size="compact-sm" variant="default" loading={remove.isPending} onClick={() => remove.mutate()}>
          throw it away
        </Button>
      </span>
    </div>
  );
}
