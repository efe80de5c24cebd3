import { Accordion, Button, Switch } from "@mantine/core";
import { lazy, Suspense, useState } from "react";
import { answer, api, type Schemas } from "../../api/client";
import { Trouble } from "../../components/Trouble";
import s from "./Drawer.module.css";
import { useThingChange } from "./useThingChange";

const Dialog = lazy(async () => ({ default: (await import("../../components/Dialog")).Dialog }));
const ThingForm = lazy(async () => ({ default: (await import("./ThingForm")).ThingForm }));

type Kind = Schemas["KindView"];
type Thing = Schemas["ThingView"];

/** Everything the studio has, of every kind alike: what lies to hand, what was put away, and what is its own. */
export function Things({ kinds }: { kinds: Kind[] }) {
  const [owning, setOwning] = useState<{ kind: Kind; thing: Thing | null } | null>(null);
  const lay = useThingChange(({ kind, id, lies }: { kind: string; id: string; lies: boolean }) =>
    answer(api.PUT("/api/inventory/{kind}/{id}/to-hand", { params: { path: { kind, id } }, body: { lies } })),
  );
  const remove = useThingChange((path: { kind: string; id: string }) =>
    answer(api.DELETE("/api/inventory/{kind}/{id}", { params: { path } })),
  );
  const problem = lay.error ?? remove.error;
  return (
    <>
      <h2 className={s.having}>To hand</h2>
      {problem ? <Trouble problem={problem} /> : null}
      <Accordion multiple defaultValue={["tools", "stocks"]} classNames={{ panel: s.panel ?? "", control: s.control ?? "" }}>
        {kinds.map((kind) => (
          <Accordion.Item key={kind.id} value={kind.id}>
            <Accordion.Control>
              {kind.name} <small>{kind.meaning}</small>
            </Accordion.Control>
            <Accordion.Panel>
              <section aria-label={kind.name} className={s.things}>
                {kind.things.map((thing) => (
                  <div key={thing.id} className={s.line}>
                    <Switch
                      label={thing.name}
                      description={thing.detail}
                      checked={thing.toHand}
                      onChange={(e) => lay.mutate({ kind: kind.id, id: thing.id, lies: e.currentTarget.checked })}
                    />
                    {thing.own ? (
                      <span className={s.buttons}>
                        <Button
                          size="compact-sm"
                          variant="default"
                          aria-label={`Change ${thing.name}`}
                          onClick={() => setOwning({ kind, thing })}
                        >
                          change
                        </Button>
                        <Button
                          size="compact-sm"
                          variant="default"
                          aria-label={`Remove ${thing.name}`}
                          onClick={() => remove.mutate({ kind: kind.id, id: thing.id })}
                        >
                          remove
                        </Button>
                      </span>
                    ) : null}
                  </div>
                ))}
                <Button size="compact-sm" variant="default" className={s.add} onClick={() => setOwning({ kind, thing: null })}>
                  add a {kind.one} of your own
                </Button>
              </section>
            </Accordion.Panel>
          </Accordion.Item>
        ))}
      </Accordion>
      <Suspense fallback={null}>
        {owning ? (
          <Dialog title={`A ${owning.kind.one} of your own`} onClose={() => setOwning(null)}>
            <ThingForm kind={owning.kind} thing={owning.thing} onDone={() => setOwning(null)} />
          </Dialog>
        ) : null}
      </Suspense>
    </>
  );
}
