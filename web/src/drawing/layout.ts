/** Lays things of known true size out on the table, all at one scale. Positions on the screen, no measures. */
export type Item = {
  id: string;
  width: number;
  height: number;
  above: number;
  below: number;
  left: number;
  right: number;
  /** Nothing on it is read along a rule, so that it may lie on its side. */
  mayTurn?: boolean;
};
export type Placed = { id: string; x: number; y: number; scale: number; turned: boolean };

type Box = { item: Item; turned: boolean; width: number; height: number };
type Spot = { box: Box; x: number; y: number };

/** Up to so many things every order is tried; of more, those that usually do. */
const EVERY_ORDER = 6;
const GAP = 18;

/**
 * Puts things where they fit at the largest scale that does: in rows or in columns, low ones stacked beside a high one, in every
 * order, those that may turn either way. As they were given where that does as well.
 * @param at The things with the room that their labels take at a scale; sizes in true units, room and area in pixels.
 */
export function layOut(at: (scale: number) => Item[], areaWidth: number, areaHeight: number): Placed[] {
  const units = Math.max(...at(0.01).map((i) => Math.max(i.width, i.height)), 1);
  let [low, high] = [0, Math.max(areaWidth, areaHeight) / units];
  let best: Placed[] = [];
  for (let step = 0; step < 18; step++) {
    const scale = (low + high) / 2;
    const placed = fitted(at(scale), scale, areaWidth, areaHeight);
    if (placed) {
      [best, low] = [placed, scale];
    } else {
      high = scale;
    }
  }
  return best;
}

function fitted(items: Item[], scale: number, areaWidth: number, areaHeight: number): Placed[] | null {
  for (const order of orders(items)) {
    for (const turned of turns(order)) {
      const boxes = order.map((item, i) => boxOf(item, turned[i] ?? false, scale));
      for (const across of [true, false]) {
        const spots = across ? rows(boxes, areaWidth, areaHeight) : rows(boxes.map(flipped), areaHeight, areaWidth)?.map(back);
        if (spots) {
          return spots.map(({ box, x, y }) => ({
            id: box.item.id,
            x: x + box.item.left,
            y: y + box.item.above,
            scale,
            turned: box.turned,
          }));
        }
      }
    }
  }
  return null;
}

const boxOf = (item: Item, turned: boolean, scale: number): Box => ({
  item,
  turned,
  width: (turned ? item.height : item.width) * scale + item.left + item.right,
  height: (turned ? item.width : item.height) * scale + item.above + item.below,
});
const flipped = (box: Box): Box => ({ ...box, width: box.height, height: box.width });
const back = ({ box, x, y }: Spot): Spot => ({ box: flipped(box), x: y, y: x });

/** Rows of stacks: a thing goes under the one before it where the row is high enough, else beside it, else below. Centred. */
function rows(boxes: Box[], areaWidth: number, areaHeight: number): Spot[] | null {
  type Stack = { boxes: Box[]; width: number; height: number };
  const lines: { stacks: Stack[]; width: number; height: number }[] = [];
  for (const box of boxes) {
    if (box.width > areaWidth) {
      return null;
    }
    const line = lines.at(-1);
    const stack = line?.stacks.at(-1);
    if (line && stack && stack.height + GAP + box.height <= line.height && box.width <= stack.width) {
      stack.boxes.push(box);
      stack.height += GAP + box.height;
    } else if (line && line.width + GAP + box.width <= areaWidth) {
      line.stacks.push({ boxes: [box], width: box.width, height: box.height });
      line.width += GAP + box.width;
      line.height = Math.max(line.height, box.height);
    } else {
      lines.push({ stacks: [{ boxes: [box], width: box.width, height: box.height }], width: box.width, height: box.height });
    }
  }
  const total = lines.reduce((sum, line) => sum + line.height, 0) + GAP * (lines.length - 1);
  if (total > areaHeight) {
    return null;
  }
  const spots: Spot[] = [];
  let y = (areaHeight - total) / 2;
  for (const line of lines) {
    let x = (areaWidth - line.width) / 2;
    for (const stack of line.stacks) {
      let top = y + line.height - stack.height;
      for (const box of stack.boxes) {
        spots.push({ box, x, y: top });
        top += box.height + GAP;
      }
      x += stack.width + GAP;
    }
    y += line.height + GAP;
  }
  return spots;
}

function* orders(items: Item[]): Generator<Item[]> {
  yield items;
  if (items.length <= EVERY_ORDER) {
    yield* permutations(items);
    return;
  }
  const by = (size: (i: Item) => number) => [...items].sort((a, b) => size(b) - size(a));
  const sorted = [by((i) => i.height), by((i) => i.width), by((i) => i.width * i.height), by((i) => Math.max(i.width, i.height))];
  for (const order of sorted) {
    yield order;
    yield [...order].reverse();
    // One thing taken out and put in somewhere else.
    for (const [from] of order.entries()) {
      const rest = order.filter((_, i) => i !== from);
      for (let to = 0; to <= rest.length; to++) {
        yield [...rest.slice(0, to), order[from] as Item, ...rest.slice(to)];
      }
    }
  }
}

function* permutations(items: Item[]): Generator<Item[]> {
  if (items.length < 2) {
    yield items;
    return;
  }
  for (const [i, first] of items.entries()) {
    for (const rest of permutations(items.filter((_, j) => j !== i))) {
      yield [first, ...rest];
    }
  }
}

/** Every way of laying those on their side that may be; all as they stand first. */
function turns(items: Item[]): boolean[][] {
  const free = items.flatMap((item, i) => (item.mayTurn ? [i] : [])).slice(0, 4);
  return Array.from({ length: 2 ** free.length }, (_, n) =>
    items.map((_, i) => free.includes(i) && ((n >> free.indexOf(i)) & 1) === 1),
  );
}

export type Flag = { at: number; width: number };
export type PlacedFlag = { lane: number; side: "right" | "left" };

/** How far a flag may hang over the left edge. */
const MARGIN = 20;

/** Gives each flag a lane so that none covers another; a flag that would run off the right edge hangs to the left of its pole. */
export function flagLanes(flags: Flag[], edge: number): PlacedFlag[] {
  const lanes: [number, number][][] = [];
  return flags.map(({ at, width }) => {
    const fits = { right: at + width <= edge, left: at - width >= -MARGIN };
    const sides: ("right" | "left")[] = fits.right
      ? fits.left
        ? ["right", "left"]
        : ["right"]
      : fits.left
        ? ["left"]
        : ["left", "right"];
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
