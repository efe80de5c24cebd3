import { useComputedColorScheme, useMantineColorScheme } from "@mantine/core";
import { createContext, lazy, type ReactNode, Suspense, useContext, useMemo, useState } from "react";
import { useKeys } from "./useKeys";

// Fetched when it is first asked for, so that no view waits for it.
const Help = lazy(async () => ({ default: (await import("../features/help/Help")).Help }));

const HelpContext = createContext<() => void>(() => {});

/** Opens the list of keys. */
export const useHelp = () => useContext(HelpContext);

/** Daylight and lamplight, one from the other. */
export function useThemeSwitch() {
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme("light");
  return { dark: scheme === "dark", turn: () => setColorScheme(scheme === "dark" ? "light" : "dark") };
}

/** The keys that work in every view. */
export function AllKeys({ children }: { children: ReactNode }) {
  const [help, setHelp] = useState<boolean | null>(null);
  const { turn } = useThemeSwitch();
  const open = useMemo(() => () => setHelp(true), []);
  useKeys({ theme: turn, help: open });
  return (
    <HelpContext.Provider value={open}>
      {children}
      {help === null ? null : (
        <Suspense fallback={null}>
          <Help opened={help} onClose={() => setHelp(false)} />
        </Suspense>
      )}
    </HelpContext.Provider>
  );
}
