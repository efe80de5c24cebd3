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

/** A figure in one line, as it is written and read out. */
export const figureText = ({ whole, numerator, denominator, unit, word }) =>
  [whole, numerator == null ? "" : `${numerator}/${denominator}`, unit, word].filter(Boolean).join(" ");

/** A sentence in one line. */
export const sentenceText = (parts) => parts.map((p) => p.text ?? figureText(p.figure)).join("");

/** What is on the page, without what only sets it nicely. */
export const shown = async (locator) => (await locator.innerText()).replace(/[\s\u2009]+/g, " ").trim();

/** Waits until the bench shows what is stored. */
export async function settled(page, id) {
  let settledOn;
  await expect(async () => {
    const { state } = await stored(page, id);
    const view = await bench(page, state);
    expect(await shown(page.locator("[data-part=foot] strong"))).toBe(sentenceText(view.summary));
    expect(await page.locator('[data-part=format][aria-pressed="true"] [data-part=format-name]').innerText()).toBe(view.target.name);
    for (const row of view.ledger.flatMap((s) => s.rows)) {
      expect(await shown(figure(page, row.figureId).locator("[data-part=now] [data-fig]"))).toBe(figureText(row.now.text));
    }
    settledOn = { state, view };
  }).toPass();
  return settledOn;
}

export const figure = (page, id) => page.locator(`[data-figure="${id}"]`);
