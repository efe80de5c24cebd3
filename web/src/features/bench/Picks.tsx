import { Menu, SegmentedControl, UnstyledButton } from "@mantine/core";
import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import s from "./Picks.module.css";

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
        <UnstyledButton className={s.pick} aria-label={`${label}: ${shown}`}>
          <b>{label}</b> <span>{shown}</span>
        </UnstyledButton>
      </Menu.Target>
      <Menu.Dropdown>
        {items.map((item) => (
          <Menu.Item
            key={item.id}
            onClick={() => onPick(item)}
            aria-current={item.id === value ? "true" : undefined}
            className={item.id === value ? s.current : ""}
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
