import {
  ActionIcon,
  Menu,
  SegmentedControl,
  Tooltip,
  UnstyledButton,
  useComputedColorScheme,
  useMantineColorScheme,
} from "@mantine/core";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { Schemas } from "../../api/client";

export function ThemeButton() {
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme("light");
  return (
    <Tooltip label={scheme === "dark" ? "Daylight (D)" : "Lamplight (D)"}>
      <ActionIcon
        variant="default"
        size={36}
        radius="xl"
        aria-label={scheme === "dark" ? "Daylight" : "Lamplight"}
        onClick={() => setColorScheme(scheme === "dark" ? "light" : "dark")}
      >
        {scheme === "dark" ? "☀" : "☾"}
      </ActionIcon>
    </Tooltip>
  );
}

export function Wordmark() {
  return (
    <Link to="/drawer" className="wordmark" aria-label="Whole Fold: the drawer with all designs">
      <svg viewBox="0 0 32 32" width="26" height="26" aria-hidden="true">
        <path d="M3 8 15 5v22L3 24z" className="mark-page" />
        <path d="M15 5l14 5v14l-14 3z" className="mark-fold" />
      </svg>
      <span>Whole Fold</span>
    </Link>
  );
}

export type PickItem = { id: string; name: string; detail: string };

/** A switch in place: what is in use, and what else is to hand. */
export function Pick({
  label,
  shown,
  items,
  value,
  onPick,
  children,
}: {
  label: string;
  shown: string;
  items: PickItem[];
  value: string;
  onPick: (item: PickItem) => void;
  children?: ReactNode;
}) {
  return (
    <Menu position="bottom-end" withArrow withinPortal={false} withInitialFocusPlaceholder={false}>
      <Menu.Target>
        <UnstyledButton className="pick" aria-label={`${label}: ${shown}`}>
          <b>{label}</b> <span>{shown}</span>
        </UnstyledButton>
      </Menu.Target>
      <Menu.Dropdown>
        {items.map((item) => (
          <Menu.Item
            key={item.id}
            onClick={() => onPick(item)}
            aria-current={item.id === value ? "true" : undefined}
            className={item.id === value ? "current" : ""}
          >
            {item.name}
            <br />
            <small>{item.detail}</small>
          </Menu.Item>
        ))}
        {children}
      </Menu.Dropdown>
    </Menu>
  );
}

/** How a person likes to set figures, where there is more than one way. */
export function Preferences({
  preferences,
  onChange,
}: {
  preferences: Schemas["PreferenceView"][];
  onChange: (preference: Schemas["PreferenceView"], on: boolean) => void;
}) {
  return (
    <>
      <Menu.Divider />
      <Menu.Label>I would rather have</Menu.Label>
      {preferences.map((p) => (
        <Menu.CheckboxItem key={p.id} checked={p.on} onChange={(on) => onChange(p, on)} closeMenuOnClick={false}>
          {p.name}
        </Menu.CheckboxItem>
      ))}
    </>
  );
}

export function UnitsSwitch({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  return (
    <SegmentedControl aria-label="Units" size="xs" radius="xl" data={["in", "cm", "both"]} value={value} onChange={onChange} />
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
    <Tooltip label={`${label} (${keys})`}>
      <ActionIcon
        variant="default"
        size={36}
        radius="xl"
        aria-label={label}
        aria-disabled={disabled}
        data-disabled={disabled || undefined}
        onClick={() => !disabled && onClick()}
      >
        {children}
      </ActionIcon>
    </Tooltip>
  );
}
