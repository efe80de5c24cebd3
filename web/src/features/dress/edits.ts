import type { Edit, Schemas } from "../../api/client";

type Dressing = Schemas["DressingSpec"];
export type ElementSpec = NonNullable<Dressing["elements"]>[number];
export type WindowSpec = NonNullable<Dressing["windows"]>[number];
export type LayerSpec = NonNullable<Dressing["layers"]>[number];
export type PlaceSpec = NonNullable<ElementSpec["place"]>;

/** The edits that the Dress stage makes. The core knows what they mean; this only names them. */
export const putOn = (id: string, element: ElementSpec | null): Edit => ({ edit: "element", id, element });
export const cutWindow = (id: string, window: WindowSpec | null): Edit => ({ edit: "window", id, window });
export const wear = (role: string, level: number, layer: LayerSpec | null): Edit => ({ edit: "wear", role, level, layer });
export const shape = (id: string, contour: Schemas["ContourSpec"] | null): Edit => ({ edit: "contour", id, contour });
export const tie = (id: string, soft: Schemas["SoftSpec"] | null): Edit => ({ edit: "soft", id, soft });

export const middle: PlaceSpec = { anchor: "centre" };

/** Things as they begin. */
export const aLayer = (role: string, level: number): LayerSpec => ({ role, level, worn: true, write: false });
export const aWindow = (id: string, role: string, size: string[]): WindowSpec => ({
  id,
  role,
  size,
  shape: "rectangle",
  rule: "scale",
});
/** The next larger window of its set round one, through the papers above it. */
export const around = (id: string, inner: WindowSpec): WindowSpec => ({
  id,
  role: inner.role,
  shape: "rectangle",
  rule: "scale",
  through: [Math.max(0, ...(inner.through ?? [])) + 1],
  around: inner.id,
});
export const aMotif = (id: string, role: string, motif: string, size: string[]): ElementSpec => ({
  id,
  role,
  name: motif,
  shape: "polygon",
  motif,
  size,
  fixed: true,
  overEdge: false,
  made: "die-cut",
  held: "face",
});

/** A free name for a new thing: moon, moon-2, moon-3. */
export function newId(base: string, taken: readonly string[]) {
  let id = base;
  for (let n = 2; taken.includes(id); n++) {
    id = `${base}-${n}`;
  }
  return id;
}

const opposite: Record<string, string> = { left: "right", right: "left" };

/** The same place as in a looking glass: what was at the left is at the right. */
export const mirrored = (place: PlaceSpec): PlaceSpec => ({
  ...place,
  anchor: (place.anchor ?? "centre").replace(/left|right/, (side) => opposite[side] ?? side),
  from: place.from?.map((f) => ({ ...f, edge: opposite[f.edge] ?? f.edge })) ?? null,
});
