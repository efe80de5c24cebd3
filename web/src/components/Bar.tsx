import { ActionIcon } from "@mantine/core";
import type { ReactNode } from "react";
import { Link } from "react-router";
import shell from "../app/Shell.module.css";
import { useHelp, useThemeSwitch } from "../keys/AllKeys";
import s from "./Bar.module.css";

export function ThemeButton() {
  const { dark, turn } = useThemeSwitch();
  return (
    <IconButton label={dark ? "Daylight" : "Lamplight"} keys="D" onClick={turn}>
      {dark ? "☀" : "☾"}
    </IconButton>
  );
}

export function HelpButton() {
  return (
    <IconButton label="Keys and help" keys="?" onClick={useHelp()}>
      ?
    </IconButton>
  );
}

export function Wordmark() {
  return (
    <Link to="/drawer" className={s.wordmark} aria-label="Whole Fold: the drawer with all designs">
      <svg viewBox="0 0 32 32" width="26" height="26" aria-hidden="true">
        <path d="M3 8 15 5v22L3 24z" className={s.markPage} />
        <path d="M15 5l14 5v14l-14 3z" className={s.markFold} />
      </svg>
      <span>Whole Fold</span>
    </Link>
  );
}

/** The head of a view. */
export function Bar({ heading, children }: { heading: ReactNode; children?: ReactNode }) {
  return (
    <header className={shell.bar} data-part="bar">
      <Wordmark />
      {heading}
      {children}
    </header>
  );
}

export function IconButton({
  label,
  keys,
  disabled,
  onClick,
  children,
}: {
  label: string;
  keys: string;
  disabled?: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <ActionIcon
      variant="default"
      size={36}
      radius="xl"
      className={s.icon}
      aria-label={label}
      title={`${label} (${keys})`}
      aria-disabled={disabled}
      data-disabled={disabled || undefined}
      onClick={() => !disabled && onClick()}
    >
      {children}
    </ActionIcon>
  );
}
