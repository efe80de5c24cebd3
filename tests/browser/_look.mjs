import { chromium } from "@playwright/test";
import { readFileSync } from "node:fs";
import { launch } from "./chromium.mjs";
const b = await chromium.launch(launch);
const page = await b.newPage({ viewport: { width: 1280, height: 800 } });
const base = "http://127.0.0.1:5071";
const inv = await (await page.request.get(`${base}/api/inventory`)).json();
const out = [];
for (const c of inv.constructions) {
  for (const format of (process.argv[2] ?? "a2-us,5x7,a6-iso").split(",")) {
    const made = await (await page.request.post(`${base}/api/designs`, { data: { state: { name: "L", construction: c.id, format } } })).json();
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`${base}/bench/${made.id}`);
    await page.locator("[data-part=foot] strong").waitFor();
    await page.waitForTimeout(150);
    for (const [w, h] of [[1280, 800], [1024, 768]]) {
      await page.setViewportSize({ width: w, height: h });
      await page.waitForTimeout(120);
      const r = await page.evaluate(() => {
        const table = document.querySelector("svg[role=img]");
        if (!table) return { stuck: true };
        const label = (e) => { const q = e.getBoundingClientRect(); return { text: e.closest("[data-part=score]") ? "flag" : e.textContent, l: q.left, r: q.right, t: q.top, b: q.bottom, g: e.closest("[data-piece]")?.dataset.piece }; };
        const all = [...table.querySelectorAll("[data-part=flag]"), ...[...table.querySelectorAll("text")].filter((t) => !t.closest("[data-part=score]"))].map(label).filter((q) => q.r > q.l);
        const hits = [];
        for (let i = 0; i < all.length; i++) for (let j = 0; j < i; j++) { const a = all[i], c = all[j]; if (Math.min(a.r, c.r) - Math.max(a.l, c.l) > 1 && Math.min(a.b, c.b) - Math.max(a.t, c.t) > 3) hits.push(`${a.g}:${a.text} / ${c.g}:${c.text}`); }
        const box = table.getBoundingClientRect();
        const outside = all.filter((a) => a.l < box.left - 1 || a.r > box.right + 1 || a.t < box.top - 1 || a.b > box.bottom + 1).map((a) => a.text);
        const led = document.querySelector("[class*=ledger]");
        const lb = led.getBoundingClientRect();
        const rows = [...led.querySelectorAll("[data-figure]")];
        const seen = rows.filter((q) => { const k = q.getBoundingClientRect(); return k.top >= lb.top - 1 && k.bottom <= lb.bottom + 1; }).length;
        const cut = [...document.querySelectorAll("[data-part=bar] button span, [data-part=bar] h1, [data-part=format-name], [data-part=format] span, [data-figure] button > *")].filter((e) => e.scrollWidth > e.clientWidth + 1 && getComputedStyle(e).overflow !== "visible").map((e) => e.textContent);
        const pieces = [...table.querySelectorAll("[data-part=cut]")].reduce((s, r) => s + Number(r.getAttribute("width")) * Number(r.getAttribute("height")), 0);
        return { hits, outside, rows: rows.length, seen, cut, fill: Math.round((100 * pieces) / (box.width * box.height)) };
      });
      out.push({ c: c.id, format, w, ...r });
    }
  }
}
for (const o of out) if (o.stuck || o.hits.length || o.outside.length || o.seen < Math.min(o.rows, o.w > 1100 ? 12 : 9)) console.log(o.c, o.format, o.w, o.stuck ? "STUCK" : "", `rows ${o.seen}/${o.rows} fill ${o.fill}`, o.hits?.slice(0, 4), o.outside);
console.log("cut:", [...new Set(out.flatMap((o) => (o.cut ?? []).map((t) => `${o.w}: ${t}`)))].slice(0, 40));
console.log("hits", out.reduce((s, o) => s + (o.hits?.length ?? 0), 0), "fill", Math.round(out.reduce((s, o) => s + (o.fill ?? 0), 0) / out.length));
await b.close();
