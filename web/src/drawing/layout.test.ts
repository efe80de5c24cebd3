import { describe, expect, it } from "vitest";
import { type Flag, flagLanes, type Item, layOut } from "./layout";

const item = (id: string, width: number, height: number, more: Partial<Item> = {}): Item => ({
  id,
  width,
  height,
  above: 20,
  below: 60,
  left: 10,
  right: 10,
  ...more,
});

let seed = 7;
const random = () => {
  seed = (seed * 48271) % 2147483647;
  return seed / 2147483647;
};

/** Things as a card has them: a few sheets, some low, some high, each with its rule below it or none. */
const pieces = (count: number) =>
  Array.from({ length: count }, (_, i) =>
    item(`p${i}`, 8000 + random() * 90000, 8000 + random() * 60000, {
      below: random() < 0.5 ? 95 : 26,
      right: 12 + random() * 60,
      mayTurn: random() < 0.3,
    }),
  );

/** The largest scale that any order and any turning reaches in plain rows, each found the long way. */
function largest(items: Item[], width: number, height: number): number {
  const permute = (all: Item[]): Item[][] =>
    all.length < 2 ? [all] : all.flatMap((first, i) => permute(all.filter((_, j) => j !== i)).map((rest) => [first, ...rest]));
  const fits = (order: { w: number; h: number; item: Item }[], scale: number) => {
    let [x, y, row] = [0, 0, 0];
    for (const { w, h, item: i } of order) {
      const [wide, high] = [w * scale + i.left + i.right, h * scale + i.above + i.below];
      if (x > 0 && x + 18 + wide > width) {
        [x, y, row] = [0, y + row + 18, 0];
      }
      x += (x > 0 ? 18 : 0) + wide;
      row = Math.max(row, high);
      if (x > width || y + row > height) return false;
    }
    return true;
  };
  let best = 0;
  for (const order of permute(items)) {
    for (let n = 0; n < 2 ** order.length; n++) {
      if (order.some((o, i) => (n >> i) & 1 && !o.mayTurn)) continue;
      const laid = order.map((o, i) =>
        (n >> i) & 1 ? { w: o.height, h: o.width, item: o } : { w: o.width, h: o.height, item: o },
      );
      while (fits(laid, best + 0.00001)) best += 0.00001;
    }
  }
  return best;
}

describe("laying out", () => {
  it("puts everything at one scale, inside the table and on nothing else", () => {
    for (let round = 0; round < 20; round++) {
      const [w, h] = [300 + random() * 500, 250 + random() * 400];
      const items = pieces(1 + Math.floor(random() * 9));
      const places = layOut(() => items, w, h);
      expect(places).toHaveLength(items.length);
      expect(new Set(places.map((p) => p.scale)).size).toBe(1);
      const boxes = places.map((p) => {
        const i = items.find((x) => x.id === p.id) as Item;
        expect(!p.turned || i.mayTurn).toBe(true);
        const [wide, high] = p.turned ? [i.height, i.width] : [i.width, i.height];
        return {
          left: p.x - i.left,
          right: p.x + wide * p.scale + i.right,
          top: p.y - i.above,
          bottom: p.y + high * p.scale + i.below,
        };
      });
      for (const [n, a] of boxes.entries()) {
        expect(a.left).toBeGreaterThanOrEqual(-0.01);
        expect(a.right).toBeLessThanOrEqual(w + 0.01);
        expect(a.top).toBeGreaterThanOrEqual(-0.01);
        expect(a.bottom).toBeLessThanOrEqual(h + 0.01);
        for (const b of boxes.slice(n + 1)) {
          expect(a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top).toBe(true);
        }
      }
    }
  });

  it("is at least nine tenths as large as any order and any turning makes it, labels and rules with it", () => {
    for (let round = 0; round < 14; round++) {
      const items = pieces(1 + (round % 7));
      const [w, h] = [560 + random() * 300, 380 + random() * 250];
      const found = layOut(() => items, w, h)[0]?.scale ?? 0;
      expect(found, `${items.length} things`).toBeGreaterThanOrEqual(0.9 * largest(items, w, h));
    }
  });

  it("keeps the order that it is given where that does as well", () => {
    const items = ["base", "tier1", "tier2"].map((id) => item(id, 40000, 30000));
    const places = layOut(() => items, 900, 320);
    expect(places.map((p) => p.id)).toEqual(["base", "tier1", "tier2"]);
    expect(places.map((p) => p.x)).toEqual([...places.map((p) => p.x)].sort((a, b) => a - b));
  });

  it("takes the room that labels need at the scale they are drawn at", () => {
    // Half as large, the flags need twice the lanes.
    const at = (scale: number) => [item("base", 10000, 5000, { below: scale > 0.04 ? 60 : 200 })];
    const place = layOut(at, 700, 500)[0];
    expect((place?.scale ?? 0) * 10000).toBeCloseTo(680, 0);
  });
});

describe("flags", () => {
  const covers = (flags: Flag[], edge: number) => {
    const placed = flagLanes(flags, edge);
    const boxes = placed.map((p, i) => {
      const f = flags[i] as Flag;
      return { lane: p.lane, from: p.side === "right" ? f.at : f.at - f.width, to: p.side === "right" ? f.at + f.width : f.at };
    });
    return boxes.some((a, i) => boxes.slice(i + 1).some((b) => a.lane === b.lane && a.from < b.to && b.from < a.to));
  };

  it("never cover each other, however near their scores are", () => {
    for (let run = 0; run < 200; run++) {
      const flags = Array.from({ length: 2 + Math.floor(random() * 6) }, () => ({
        at: random() * 600,
        width: 40 + random() * 50,
      })).sort((a, b) => a.at - b.at);
      expect(covers(flags, 640)).toBe(false);
    }
  });

  it("hang to the left where the right edge is near", () => {
    expect(flagLanes([{ at: 590, width: 60 }], 600)).toEqual([{ lane: 0, side: "left" }]);
    expect(flagLanes([{ at: 100, width: 60 }], 600)).toEqual([{ lane: 0, side: "right" }]);
    const crowded = flagLanes(
      [
        { at: 520, width: 60 },
        { at: 590, width: 60 },
      ],
      600,
    );
    expect(crowded[1]).toEqual({ lane: 1, side: "left" });
  });
});
