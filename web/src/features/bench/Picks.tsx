import { SegmentedControl, UnstyledButton, type UnstyledButtonProps } from "@mantine/core";
import { type ComponentProps, lazy } from "react";
import { Later } from "../../components/Later";
import type { PickMenu } from "./PickMenu";
import s from "./Picks.module.css";

const Choices = lazy(async () => ({ default: (await import("./PickMenu")).PickMenu }));

/** What is in use, and the way to what else there is. */
export function PickButton({
  label,
  shown,
  ...rest
}: { label: string; shown: string } & UnstyledButtonProps & ComponentProps<"button">) {
  return (
    <UnstyledButton {...rest} className={s.pick} data-part="pick" aria-label={`${label}: ${shown}`}>
      <b>{label}</b> <span>{shown}</span>
    </UnstyledButton>
  );
}

/** A switch in place: what is in use, and what else is to hand. */
export function Pick({
  label,
  shown,
  ...choices
}: { label: string; shown: string } & Omit<ComponentProps<typeof PickMenu>, "button">) {
  return (
    <Later button={<PickButton label={label} shown={shown} aria-haspopup="menu" />}>
      {(button) => <Choices button={button} {...choices} />}
    </Later>
  );
}

export function UnitsSwitch({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  return (
    <SegmentedControl aria-label="Units" size="xs" radius="xl" data={["in", "cm", "both"]} value={value} onChange={onChange} />
  );
}
