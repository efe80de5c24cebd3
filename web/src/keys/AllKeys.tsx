import { useComputedColorScheme, useMantineColorScheme } from "@mantine/core";
import { createContext, type ReactNode, useContext, useMemo, useState } from "react";
import { Help } from "../features/help/Help";
import { useKeys } from "./useKeys";

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
  const [help, setHelp] = useState(false);
  const { turn } = useThemeSwitch();
  const open = useMemo(() => () => setHelp(true), []);
  useKeys({ theme: turn, help: open });
  return (
    <HelpContext.Provider value={open}>
      {children}
      <Help opened={help} onClose={() => setHelp(false)} />
    </HelpContext.Provider>
  );
}
