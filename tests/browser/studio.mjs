import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { test as base, expect } from "@playwright/test";

/** What of a large grid is looked at today; all of it with --whole (tests/Day.cs has the same). */
export const whole = Boolean(process.env.WHOLEFOLD_WHOLE);
const seed = Number(process.env.WHOLEFOLD_SEED ?? Math.floor(Date.now() / 86_400_000));
export const todays = (all, every) => (whole ? all : all.filter((_, i) => (i + Math.floor(i / every) + seed) % every === 0));

/** A page that must stay quiet: no errors in its console, nothing asked of any other host. */
export const test = base.extend({
  /** Each worker has a demo studio of its own, on a port and with data of its own. */
  studio: [
    async ({}, use, worker) => {
      const data = mkdtempSync(join(tmpdir(), "wholefold-browser-"));
      const port = 20_000 + (process.ppid % 20_000) + worker.workerIndex;
      const app = spawn("dotnet", [join(import.meta.dirname, "../../.build/app/wholefold.dll"), "demo", "--no-open", "--port", String(port), "--data", data], {
        stdio: ["ignore", "pipe", "inherit"],
      });
      const said = await new Promise((ready, gone) => {
        app.stdout.once("data", ready);
        app.once("exit", (code) => gone(new Error(`the studio ended with ${code}`)));
      });
      if (!String(said).includes(`:${port}`)) throw new Error(`the studio says ${said}`);
      await use(`http://127.0.0.1:${port}`);
      const ended = new Promise((done) => app.once("exit", done));
      app.kill();
      await ended;
      rmSync(data, { recursive: true, force: true });
    },
    { scope: "worker" },
  ],
  baseURL: async ({ studio }, use) => use(studio),
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

/** To another address inside the app, as a link there goes: nothing is loaded anew. */
export const go = (page, path) =>
  page.evaluate((to) => {
    history.pushState({}, "", to);
    dispatchEvent(new PopStateEvent("popstate", { state: {} }));
  }, path);

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
