/**
 * Start of `serve` to the first page, and what the first load weighs. Run after `./wholefold build`:
 *   node bench/start.mjs
 */
import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { get } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { brotliCompressSync, constants } from "node:zlib";

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
const weigh = (pattern) => [...page.matchAll(pattern)].reduce((sum, m) => sum + brotliCompressSync(readFileSync(join(app, m[1])), { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } }).length, 0);
console.log(`script of the first load: ${Math.round(weigh(/src="\/(assets\/[^"]+\.js)"/g) / 1000)} kB compressed; styles ${Math.round(weigh(/href="\/(assets\/[^"]+\.css)"/g) / 1000)} kB`);
