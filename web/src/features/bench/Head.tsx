import { lazy } from "react";
import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { Bar, HelpButton, IconButton, ThemeButton } from "../../components/Bar";
import { Later } from "../../components/Later";
import type { useDesk } from "./desk/useDesk";
import { prefer, showIn, take } from "./edits";
import { Name } from "./Name";
import { Pick, PickButton, UnitsSwitch } from "./Picks";

const Papers = lazy(async () => ({ default: (await import("./Papers")).Papers }));

/** The design's name, its history, and what it is made with. */
export function Head({
  desk,
  inventory,
  tools,
}: {
  desk: ReturnType<typeof useDesk>;
  inventory: Schemas["InventoryView"] | undefined;
  tools: Schemas["ThingView"][];
}) {
  const { design, view, commit, commitCompared } = desk;
  if (!design) {
    return null;
  }
  const { state } = design;
  const things = (kind: string) => inventory?.kinds.find((k) => k.id === kind)?.things ?? [];
  return (
    <Bar
      heading={
        <h1 title={state.name}>
          <Name name={state.name ?? ""} onName={(name) => commit([take("name", name)])} />
          <small>
            <Link to={`/build/${design.id}`} title="how it is made">
              {view?.construction}
            </Link>
          </small>
        </h1>
      }
    >
      <IconButton
        label={design.undo ? `Undo: ${design.undo}` : "Nothing to undo"}
        keys="Ctrl Z"
        disabled={!design.undo}
        onClick={() => desk.step("undo")}
      >
        ↶
      </IconButton>
      <IconButton
        label={design.redo ? `Redo: ${design.redo}` : "Nothing to redo"}
        keys="Ctrl Shift Z"
        disabled={!design.redo}
        onClick={() => desk.step("redo")}
      >
        ↷
      </IconButton>
      <Pick
        label="Tools"
        shown={view?.tools ?? ""}
        items={tools}
        value={view?.toolsId ?? ""}
        onPick={(item) => commitCompared([take("tools", item.id)], item.name)}
        preferences={view?.preferences ?? []}
        onPrefer={(p, on) => commitCompared([prefer(p.id, on)], on ? p.name : `no more “${p.name}”`)}
      />
      <Later button={<PickButton label="Card" shown={view?.stock ?? ""} aria-haspopup="dialog" />}>
        {(button) => (
          <Papers
            button={button}
            state={state}
            stocks={things("stocks").filter((t) => t.toHand || t.id === state.stock)}
            all={things("stocks")}
            adhesives={things("adhesives")}
            sheets={things("sheets")}
            accepted={inventory?.acceptsCaliper ?? ""}
            pieces={view?.pieces ?? []}
            onChange={commitCompared}
          />
        )}
      </Later>
      <Pick
        label="Reveal"
        shown={state.reveal ?? ""}
        items={inventory?.reveals ?? []}
        value={state.reveal ?? ""}
        onPick={(item) => commitCompared([take("reveal", item.id)], `${item.name} reveal`)}
      />
      <UnitsSwitch
        value={state.bothSystems ? "both" : (view?.unit ?? "in")}
        onChange={(value) => commit([value === "both" ? showIn(state.units ?? null, true) : showIn(value, false)])}
      />
      <ThemeButton />
      <HelpButton />
    </Bar>
  );
}
