import { Loader, type LoaderProps } from "@mantine/core";

/** A wait, with what is waited for: a spinner alone is nothing to who does not see it, and a name needs a role. */
export function Waiting({ for: what, ...rest }: { for: string } & Omit<LoaderProps, "role" | "aria-label">) {
  return <Loader role="status" aria-label={what} {...rest} />;
}
