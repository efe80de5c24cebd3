import { Menu } from "@mantine/core";
import { cloneElement, useState } from "react";
import type { Schemas } from "../../api/client";
import type { Opener } from "../../components/Later";
import s from "./Picks.module.css";

export type PickItem = { id: string; name: string; detail: string };

type Preference = Schemas["PreferenceView"];

/** What else is to hand, and how a person likes to set figures where there is more than one way. It begins open. */
export function PickMenu({
  button,
  items,
  value,
  onPick,
  preferences = [],
  onPrefer,
}: {
  button: Opener;
  items: PickItem[];
  value: string;
  onPick: (item: PickItem) => void;
  preferences?: Preference[];
  onPrefer?: (preference: Preference, on: boolean) => void;
}) {
  const [open, setOpen] = useState(true);
  return (
    <Menu
      opened={open}
      onChange={setOpen}
      position="bottom-end"
      withArrow
      withinPortal={false}
      withInitialFocusPlaceholder={false}
    >
      <Menu.Target>{cloneElement(button, { "aria-expanded": open })}</Menu.Target>
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
        {preferences.length > 0 ? (
          <>
            <Menu.Divider />
            <Menu.Label>I would rather have</Menu.Label>
          </>
        ) : null}
        {preferences.map((p) => (
          <Menu.CheckboxItem key={p.id} checked={p.on} onChange={(on) => onPrefer?.(p, on)} closeMenuOnClick={false}>
            {p.name}
          </Menu.CheckboxItem>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}
