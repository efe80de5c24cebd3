import { expect, go, test, todays } from "./studio.mjs";

/** The sizes it is made for, with the rows of the list of figures that are seen at once. */
const SCREENS = [
  { width: 1280, height: 800, rows: 12 },
  { width: 1024, height: 768, rows: 9 },
];
const FORMATS = ["a2-us", "5x7", "a6-iso"];

/** What is written on the table, where it lies on something else or runs off; and how much of the list is seen. */
const looked = () => {
  const table = document.querySelector("svg[role=img]");
  const near = 1;
  const box = (e) => e.getBoundingClientRect();
  // A flag is one label with all that stands on it.
  const labels = [...table.querySelectorAll("[data-part=flag]"), ...[...table.querySelectorAll("text")].filter((t) => !t.closest("[data-part=score]"))]
    .map((e) => ({ of: `${e.closest("[data-piece]")?.dataset.piece}: ${e.textContent || "a flag"}`, at: box(e) }))
    .filter(({ at }) => at.width > 0);
  const lies = (a, b) => Math.min(a.right, b.right) - Math.max(a.left, b.left) > near && Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 3;
  const on = labels.flatMap((a, i) => labels.slice(0, i).filter((b) => lies(a.at, b.at)).map((b) => `${a.of} on ${b.of}`));
  const room = box(table);
  const off = labels.filter(({ at }) => at.left < room.left - near || at.right > room.right + near || at.top < room.top - near || at.bottom > room.bottom + near).map((l) => l.of);
  const list = box(document.querySelector("[data-part=ledger]"));
  const rows = [...document.querySelectorAll("[data-figure]")].map(box);
  // A fraction on small lines stands out of its box by less than half a line; more would be cut off.
  const halfALine = 5;
  const cut = (e) => e.scrollWidth > e.clientWidth + near || e.scrollHeight > e.clientHeight + (e.closest("[data-figure]") ? halfALine : near);
  const short = [...document.querySelectorAll("[data-part=format-name], [data-part=format-word], [data-part=pick], [data-part=label], [data-part=set]")].filter(cut).map((e) => e.textContent);
  return { on, off, rows: rows.length, seen: rows.filter((r) => r.top >= list.top - near && r.bottom <= list.bottom + near).length, short };
};

for (const half of [0, 1]) {
  test(`nothing written lies on anything else, whatever is laid out, and the list shows enough of itself (${half + 1} of 2)`, async ({ page }) => {
    test.setTimeout(480_000);
    const { constructions } = await (await page.request.get("/api/inventory")).json();
    expect(constructions).toHaveLength(27);
    const cases = todays(
      constructions.flatMap(({ id }) => FORMATS.map((format) => ({ id, format }))),
      FORMATS.length,
    ).filter((_, i) => i % 2 === half);
    await page.goto("/drawer");
    for (const [i, { id, format }] of cases.entries()) {
      const name = `Tide ${i + 1}`;
      const made = await (await page.request.post("/api/designs", { data: { state: { name, construction: id, format } } })).json();
      await page.setViewportSize(SCREENS[0]);
      // Until its own view is there the one before is shown.
      const laid = page.waitForResponse((r) => r.url().endsWith("/api/bench") && r.request().postDataJSON().design.name === name);
      await go(page, `/bench/${made.id}`);
      await laid;
      for (const { rows, ...size } of SCREENS) {
        await page.setViewportSize(size);
        await expect(async () => {
          const seen = await page.evaluate(looked);
          expect({ ...seen, rows: 0, seen: 0 }, `${id} in ${format} at ${size.width} × ${size.height}`).toEqual({ on: [], off: [], rows: 0, seen: 0, short: [] });
          expect(seen.seen, `${id} in ${format} at ${size.width} × ${size.height}`).toBeGreaterThanOrEqual(Math.min(rows, seen.rows));
        }).toPass({ timeout: 20_000, intervals: [60, 120, 250, 500] });
      }
      await page.request.delete(`/api/designs/${made.id}`);
    }
  });
}
