import { Popover, type PopoverProps } from "@mantine/core";
import { cloneElement, type ReactNode, useState } from "react";
import type { Opener } from "./Later";

/** What a button opens beside itself; it begins open, since it is fetched when the button is pressed. */
export function Pop({
  button,
  className,
  children,
  ...place
}: { button: Opener; className?: string; children: (close: () => void) => ReactNode } & Pick<
  PopoverProps,
  "position" | "width" | "withinPortal"
>) {
  const [open, setOpen] = useState(true);
  return (
    <Popover opened={open} onChange={setOpen} withArrow trapFocus {...place}>
      <Popover.Target>{cloneElement(button, { onClick: () => setOpen(!open), "aria-expanded": open })}</Popover.Target>
      <Popover.Dropdown className={className}>{children(() => setOpen(false))}</Popover.Dropdown>
    </Popover>
  );
}
