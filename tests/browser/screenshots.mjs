/** Makes every picture in docs/screenshots from a fresh demo studio:  node tests/browser/screenshots.mjs */
import { spawn } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium } from "@playwright/test";
import { launch } from "./chromium.mjs";

const root = join(import.meta.dirname, "../..");
const port = 5199;
const base = `http://127.0.0.1:${port}`;
const data = mkdtempSync(join(tmpdir(), "wholefold-pictures-"));
const app = spawn("dotnet", [join(root, ".build/app/wholefold.dll"), "demo", "--no-open", "--port", String(port), "--data", data], { stdio: ["ignore", "pipe", "inherit"] });
await new Promise((ready) => app.stdout.once("data", ready));

const browser = await chromium.launch(launch);
const picture = async (name, path, { colorScheme = "light", width = 1280, height = 800, prepare } = {}) => {
  const context = await browser.newContext({ viewport: { width, height }, colorScheme });
  const page = await context.newPage();
  await page.goto(base + path);
  await page.waitForLoadState("networkidle");
  await prepare?.(page);
  await page.waitForLoadState("networkidle");
  await page.mouse.move(2, 2);
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(root, "docs/screenshots", `${name}.png`) });
  await context.close();
};

await picture("bench", "/bench/comet-supper", { prepare: (page) => page.locator('[data-figure="base.scores[2]"] button').click() });
await picture("bench-lamplight", "/bench/night-ferry", { colorScheme: "dark" });
await picture("bench-small", "/bench/market-lanterns", {
  width: 1024,
  height: 768,
  prepare: async (page) => {
    await page.keyboard.press("4");
    await page.waitForTimeout(300);
    await page.locator("[data-part=bar]").getByText("both", { exact: true }).click();
  },
});
await picture("changed", "/bench/market-lanterns", {
  prepare: async (page) => {
    await page.keyboard.press("b");
    await page.locator("[data-part=compared]").waitFor();
    await page.locator('[data-figure="base.scores[0]"] button').click();
  },
});
await picture("trade-off", "/bench/night-ferry", {
  prepare: async (page) => {
    await page.getByRole("button", { name: "Trade-offs" }).click();
    await page.locator("[data-part=curve-plot]").waitFor();
  },
});
await picture("build", "/build/signal-flags", { prepare: (page) => page.locator("[data-part=build-says]").waitFor() });
const step = (presses) => async (page) => {
  await page.getByRole("heading", { name: "What you need" }).waitFor();
  for (let i = 0; i < presses; i++) {
    await page.keyboard.press("Space");
    await page.waitForTimeout(60);
  }
};
await picture("show", "/show/comet-supper", { prepare: step(9) });
await picture("show-beside", "/show/night-ferry?beside=teapot-row", { colorScheme: "dark", prepare: step(3) });
await picture("hand-out", "/handout/market-lanterns");
await picture("cut", "/cut/comet-supper?cards=12", { prepare: (page) => page.locator("[data-part=cut-foot] li").first().waitFor() });
await picture("wall", "/wall/comet-supper");
await picture("dress", "/dress/comet-supper", { prepare: (page) => page.locator("li button", { hasText: "Comet" }).click() });
await picture("dress-lamplight", "/dress/night-ferry", { colorScheme: "dark" });
await picture("folding", "/folding/night-ferry", { prepare: (page) => page.getByRole("slider").press("ArrowLeft") });
await picture("shelf", "/shelf");
await picture("own", "/own", {
  prepare: async (page) => {
    await page.getByRole("button", { name: "show me with one" }).click();
    await page.getByText("This is a tier scene").waitFor();
    const list = page.getByRole("textbox").first();
    await list.fill(`${await list.inputValue()}\nbelly band 1 1/4 x 12`);
    await page.getByText("is no part of the card").waitFor();
  },
});
await picture("own-asked", "/own", {
  colorScheme: "dark",
  prepare: async (page) => {
    await page.getByRole("textbox").first().fill("Kite card\nbase 9 x 5, score at 3 (mountain) and 5\nmat 4 x 3\nstrip 8 x 2, bend 1, 3");
    await page.getByText("Is the finished card").waitFor();
  },
});
await picture("drawer", "/drawer");
await picture("help", "/bench/comet-supper", { prepare: (page) => page.keyboard.press("?") });
await browser.close();
app.kill();
