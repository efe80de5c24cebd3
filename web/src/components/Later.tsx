import { cloneElement, type ReactElement, type ReactNode, Suspense, useState } from "react";

/** A button that opens something: what it opens gives it the rest. */
export type Opener = ReactElement<{ onClick?: () => void; "aria-expanded"?: boolean }>;

/** A button whose menu or dialog is fetched only once it is pressed, so that it costs the first view nothing. It then stands open. */
export function Later({ button, children }: { button: Opener; children: (button: Opener) => ReactNode }) {
  const [wanted, setWanted] = useState(false);
  const alone = cloneElement(button, { onClick: () => setWanted(true), "aria-expanded": false });
  return wanted ? <Suspense fallback={alone}>{children(button)}</Suspense> : alone;
}
