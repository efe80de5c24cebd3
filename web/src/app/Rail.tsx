import { useRef } from "react";
import { matchPath, NavLink, useLocation, useNavigate } from "react-router";
import type { KeyName } from "../keys/registry";
import { registry } from "../keys/registry";
import { useKeys } from "../keys/useKeys";
import s from "./Rail.module.css";
import { drawer, type Stage, stages } from "./stages";

/** The stages in the order of work, always in the same spot. What is about one design is about the one last on the bench. */
export function Rail() {
  const { pathname } = useLocation();
  const now = stages.map((stage) => matchPath(stage.path, pathname)?.params.id).find((id) => id !== undefined);
  const last = useRef(now);
  last.current = now ?? last.current;
  const design = last.current;
  const navigate = useNavigate();
  const to = (stage: Stage) => (stage.path.includes(":id") ? design && stage.path.replace(":id", design) : stage.path);
  const go: Partial<Record<KeyName, () => void>> = {};
  for (const stage of [...stages, drawer]) {
    const address = to(stage);
    if (stage.key && address) {
      go[stage.key] = () => navigate(address);
    }
  }
  useKeys(go);
  return (
    <nav className={s.rail} aria-label="Stages">
      {stages.map((stage) => (
        <Tab key={stage.path} stage={stage} to={to(stage)} />
      ))}
      <span className={s.spring} />
      <Tab stage={drawer} to={drawer.path} />
    </nav>
  );
}

function Tab({ stage, to }: { stage: Stage; to: string | undefined }) {
  const inside = (
    <>
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path d={stage.mark} />
      </svg>
      {stage.name}
    </>
  );
  if (!to) {
    return (
      <span className={s.tab} data-off="" title="Take a design from the drawer first">
        {inside}
      </span>
    );
  }
  return (
    <NavLink
      to={to}
      className={s.tab}
      data-focus="inside"
      aria-keyshortcuts={stage.key ? registry[stage.key].keys[0] : undefined}
    >
      {inside}
    </NavLink>
  );
}
