import { describe, expect, it } from "vitest";
import { type Flag, flagLanes, type Item, layOut } from "./layout";

const item = (id: string, width: number, height: number): Item => ({
  id,
  width,
  height,
  above: 20,
  below: 60,
  left: 10,
  right: 10,
});

describe("laying out", () => {
  it("puts everything at one scale, inside the table and on nothing else", () => {
    for (const [w, h] of [
      [760, 560],
      [600, 480],
      [320, 700],
    ] as const) {
      const items = [
        item("base", 64000, 33600),
        item("tier1", 42000, 20000),
        item("tier2", 42000, 27000),
        item("closed", 24000, 17000),
      ];
      const places = layOut(items, w, h);
      expect(places).toHaveLength(4);
      expect(new Set(places.map((p) => p.scale)).size).toBe(1);
      const boxes = places.map((p) => {
        const i = items.find((x) => x.id === p.id) as Item;
        return {
          left: p.x - i.left,
          right: p.x + i.width * p.scale + i.right,
          top: p.y - i.above,
          bottom: p.y + i.height * p.scale + i.below,
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

  it("fills the table: nothing larger would fit", () => {
    const place = layOut([item("base", 10000, 5000)], 700, 500)[0];
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
    let seed = 7;
    const random = () => {
      seed = (seed * 48271) % 2147483647;
      return seed / 2147483647;
    };
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
