/** Lays things of known true size out on the table, all at one scale. Positions on the screen, no measures. */
export type Item = { id: string; width: number; height: number; above: number; below: number; left: number; right: number };
export type Placed = { id: string; x: number; y: number; scale: number };

/** Puts items in rows, largest scale that fits. Sizes in true units; margins and the area in pixels. */
export function layOut(items: Item[], areaWidth: number, areaHeight: number, gap = 18): Placed[] {
  let low = 0;
  let high = Math.max(areaWidth, areaHeight);
  const widest = Math.max(...items.map((i) => i.width), 1);
  high = high / widest;
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2;
    if (rows(items, middle, areaWidth, areaHeight, gap)) {
      low = middle;
    } else {
      high = middle;
    }
  }
  return rows(items, low, areaWidth, areaHeight, gap) ?? [];
}

function rows(items: Item[], scale: number, areaWidth: number, areaHeight: number, gap: number): Placed[] | null {
  const lines: { items: Item[]; width: number; height: number }[] = [];
  for (const item of items) {
    const width = item.width * scale + item.left + item.right;
    const height = item.height * scale + item.above + item.below;
    if (width > areaWidth) {
      return null;
    }
    const line = lines.at(-1);
    if (line && line.width + gap + width <= areaWidth) {
      line.items.push(item);
      line.width += gap + width;
      line.height = Math.max(line.height, height);
    } else {
      lines.push({ items: [item], width, height });
    }
  }
  const total = lines.reduce((sum, line) => sum + line.height, 0) + gap * (lines.length - 1);
  if (total > areaHeight) {
    return null;
  }
  const placed: Placed[] = [];
  let y = (areaHeight - total) / 2;
  for (const line of lines) {
    let x = (areaWidth - line.width) / 2;
    for (const item of line.items) {
      const height = item.height * scale + item.above + item.below;
      placed.push({ id: item.id, x: x + item.left, y: y + (line.height - height) + item.above, scale });
      x += item.width * scale + item.left + item.right + gap;
    }
    y += line.height + gap;
  }
  return placed;
}

export type Flag = { at: number; width: number };
export type PlacedFlag = { lane: number; side: "right" | "left" };

/** Gives each flag a lane so that none covers another; a flag that would run off the right edge hangs to the left of its pole. */
export function flagLanes(flags: Flag[], edge: number): PlacedFlag[] {
  const lanes: [number, number][][] = [];
  return flags.map(({ at, width }) => {
    const sides: ("right" | "left")[] = at + width <= edge ? ["right", "left"] : at >= width ? ["left"] : ["left", "right"];
    for (let lane = 0; ; lane++) {
      lanes[lane] ??= [];
      const taken = lanes[lane] as [number, number][];
      // A pole of a lower lane passes through the lanes above it, so a flag keeps clear of poles as well.
      const poles = flags.map((f) => f.at).filter((p) => p !== at);
      for (const side of sides) {
        const [from, to] = side === "right" ? [at, at + width] : [at - width, at];
        const free =
          taken.every(([a, b]) => to <= a || from >= b) &&
          (lane > 0 || flags.length > 8 || poles.every((p) => p <= from || p >= to));
        if (free || lane > 6) {
          taken.push([from, to]);
          return { lane, side };
        }
      }
    }
  });
}
