import { test as base, expect } from "@playwright/test";

/** A page that must stay quiet: no errors in its console, nothing asked of any other host. */
export const test = base.extend({
  page: async ({ page, baseURL }, use) => {
    const heard = [];
    page.on("console", (m) => {
      // A refused request is part of some tests; the browser always writes it down.
      if (m.type() === "error" && !/status of (400|409)/.test(m.text())) heard.push(m.text());
    });
    page.on("pageerror", (e) => heard.push(e.message));
    page.on("request", (r) => {
      if (!r.url().startsWith(baseURL) && !r.url().startsWith("data:")) heard.push(`asked for ${r.url()}`);
    });
    await use(page);
    expect(heard).toEqual([]);
  },
});
export { expect };

/** The design as it is stored. */
export const stored = async (page, id) => (await page.request.get(`/api/designs/${id}`)).json();

/** What the core says about a design's bench. */
export const bench = async (page, state) => (await page.request.post("/api/bench", { data: { design: state } })).json();

/** Waits until the bench shows what is stored. */
export async function settled(page, id) {
  let settledOn;
  await expect(async () => {
    const { state } = await stored(page, id);
    const view = await bench(page, state);
    expect(await page.locator(".foot strong").innerText()).toBe(view.summary);
    const target = view.strip.find((f) => f.target);
    expect(await page.locator('.format[aria-pressed="true"] .format-name').innerText()).toBe(target.name);
    for (const row of view.ledger.flatMap((s) => s.rows)) {
      expect((await figure(page, row.figureId).locator(".now .fig").textContent()).trim()).toBe(row.now.text);
    }
    settledOn = { state, view };
  }).toPass();
  return settledOn;
}

export const figure = (page, id) => page.locator(`[data-figure="${id}"]`);
