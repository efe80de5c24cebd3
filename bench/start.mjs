/**
 * Start of `serve` to the first page, and what the first load weighs. Run after `./wholefold build`:
 *   node bench/start.mjs
 */
import { spawn } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync, statSync } from "node:fs";
import { get } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";

const root = join(import.meta.dirname, "..");
const fetchOnce = (url) =>
  new Promise((done, fail) => get(url, (r) => { let n = ""; r.on("data", (c) => (n += c)); r.on("end", () => done(n)); }).on("error", fail));
const times = [];
for (let run = 0; run < 7; run++) {
  const port = 5300 + run;
  const data = mkdtempSync(join(tmpdir(), "wholefold-start-"));
  const from = performance.now();
  const app = spawn(join(root, "wholefold"), ["demo", "--no-open", "--port", String(port), "--data", data], { stdio: "ignore" });
  for (;;) {
    try {
      const page = await fetchOnce(`http://127.0.0.1:${port}/`);
      if (page.includes("root")) break;
    } catch {
      await new Promise((r) => setTimeout(r, 5));
    }
  }
  times.push(Math.round(performance.now() - from));
  app.kill();
  await new Promise((r) => app.on("exit", r));
}
times.sort((a, b) => a - b);
console.log(`launcher to first page, new data file: median ${times[3]} ms, ${times[0]} to ${times[6]} ms over ${times.length} starts`);

const app = join(root, ".build/app/wwwroot");
const page = readFileSync(join(app, "index.html"), "utf8");
// As they are served to a browser.
const weigh = (files) => Math.round([...files].reduce((sum, f) => sum + statSync(join(app, "assets", `${f}.br`)).size, 0) / 1000);
// A view's own script, and all that it cannot do without; what is fetched later does not count.
const withAll = (files, found = new Set()) => {
  for (const file of files.filter((f) => !found.has(f))) {
    found.add(file);
    withAll([...readFileSync(join(app, "assets", file), "utf8").matchAll(/(?:from|import)\s*["'`]\.\/([\w.-]+\.js)["'`]/g)].map((m) => m[1]), found);
  }
  return found;
};
const first = [...page.matchAll(/(?:src|href)="\/assets\/([^"]+\.js)"/g)].map((m) => m[1]);
const all = readdirSync(join(app, "assets"));
for (const [name, chunk] of [["bench", "BenchPage"], ["drawer", "DrawerPage"], ["shelf", "ShelfPage"]]) {
  console.log(`script of the first view, where that is the ${name}: ${weigh(withAll([...first, all.find((f) => f.startsWith(`${chunk}-`) && f.endsWith(".js"))]))} kB compressed`);
}
console.log(`styles ${weigh([...page.matchAll(/href="\/assets\/([^"]+\.css)"/g)].map((m) => m[1]))} kB`);
