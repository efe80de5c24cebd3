import { useHotkeys } from "@mantine/hooks";
import { type KeyName, registry } from "./registry";

/** What the keys of a view do; which keys those are stands in the registry. The number says which of several was pressed. */
export function useKeys(does: Partial<Record<KeyName, (which: number) => void>>) {
  useHotkeys(
    (Object.keys(does) as KeyName[]).flatMap((name) =>
      registry[name].keys.map((key, i): [string, () => void] => [key, () => does[name]?.(i)]),
    ),
  );
}
