/** What the bench asks for while a slider moves, the strip, the wall and the shelf, over HTTP:  ./wholefold build && node bench/http.mjs */
import { spawn } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const port = 5391;
const url = `http://127.0.0.1:${port}`;
const start = async () => {
  const app = spawn(
    "dotnet",
    [join(import.meta.dirname, "../.build/app/wholefold.dll"), "demo", "--no-open", "--port", `${port}`, "--data", mkdtempSync(join(tmpdir(), "wholefold-http-"))],
    { stdio: ["ignore", "pipe", "inherit"] },
  );
  await new Promise((ready) => app.stdout.once("data", ready));
  return app;
};
let app = await start();
const ask = async (path, body) => {
  const from = performance.now();
  const answer = await fetch(url + path, body && { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body) });
  const text = await answer.text();
  return { ms: performance.now() - from, size: text.length, json: JSON.parse(text) };
};
const at = (times, share) => [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))].toFixed(1);
let asked = 0;
const say = (times) => `${at(times, 0.5)}, ${at(times, 0.95)}`;

const atOnce = (await ask("/api/shelf")).ms;
app.kill();
await new Promise((ended) => app.on("exit", ended));
app = await start();
await new Promise((later) => setTimeout(later, 1000));
console.log(`the shelf's first answer: ${atOnce.toFixed(0)} ms in the moment of the start, ${(await ask("/api/shelf")).ms.toFixed(0)} ms a second later`);
console.log("median and 95 of 100, in ms: tick | strip | wall | safe sides | size of a tick's answer");
for (const [construction, parameter] of [["pillar-tiers", "side"], ["stair-step", "rise"], ["winged-lock-gatefold", "centre"]]) {
  for (const tools of ["imperial-eighths", "metric-5mm", "both"]) {
    const design = { name: "x", construction, format: "5x7", tools };
    const { stops } = (await ask("/api/bench/ranges", { design })).json.find((r) => r.parameter === parameter);
    const many = async (path, count) => {
      const all = [];
      for (let i = 0; i < count; i++) {
        // Each time of another caliper, so that nothing is answered from memory.
        const edits = [{ edit: "set", parameter, value: stops[i % stops.length].exact }, { edit: "take", what: "caliper", value: `${(0.3 + ++asked / 10_000).toFixed(4)} mm` }];
        all.push(await ask(path, { design, edits }));
      }
      return all;
    };
    const ticks = await many("/api/bench", 40);
    const [strip, wall, safe] = [await many("/api/bench/strip", 10), await many("/api/wall", 8), await many("/api/bench/safe", 10)];
    console.log(`${construction}, ${tools}: ${[ticks, strip, wall, safe].map((all) => say(all.map((a) => a.ms))).join(" | ")} | ${ticks.at(-1).size}`);
  }
}
app.kill();
