import { chromium } from "@playwright/test";
import { launch } from "./chromium.mjs";
const [c, format, w, h, out, set, path] = process.argv.slice(2);
const b = await chromium.launch(launch);
const page = await b.newPage({ viewport: { width: Number(w), height: Number(h) }, colorScheme: process.env.DARK ? "dark" : "light" });
const base = "http://127.0.0.1:5071";
const state = { name: "Night kite", construction: c, format, ...(set ? JSON.parse(set) : {}) };
const made = await (await page.request.post(`${base}/api/designs`, { data: { state } })).json();
await page.goto(`${base}/${path ?? "bench"}/${made.id}`);
await page.waitForTimeout(1200);
if (process.env.SCROLL) { await page.evaluate(() => { const m = document.querySelector("[data-part=folding-words]"); m?.scrollIntoView(); }); await page.waitForTimeout(300); }
  await page.screenshot({ path: out });
await b.close();
