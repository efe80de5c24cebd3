import { readFile } from "node:fs/promises";
import DxfParser from "dxf-parser";
import { expect, stored, test } from "./studio.mjs";

/** How high the digits of the big figure stand, and whether it keeps to one line in the width that is there. */
const measured = (page) =>
  page.evaluate(() => {
    const big = document.querySelector("[data-part=big]");
    if (!big) {
      return null;
    }
    const pen = document.createElement("canvas").getContext("2d");
    const { fontWeight, fontSize, fontFamily } = getComputedStyle(big);
      pen.font = `${fontWeight} ${fontSize} ${fontFamily}`;
    const box = big.getBoundingClientRect();
    return { high: pen.measureText("2").actualBoundingBoxAscent, over: big.scrollWidth - Math.ceil(box.width), lines: box.height / Number.parseFloat(getComputedStyle(big).fontSize) };
  });

test("a whole show with keys only: readable, hands-free, over a reload while a timer runs, to the captions", async ({ page }) => {
  await page.goto("/bench/tandem");
  await page.locator("[data-part=score]").first().waitFor();
  await page.keyboard.press("o");
  await page.waitForURL("**/show/tandem");
  await page.getByRole("heading", { name: "Tandem", exact: true }).waitFor();
  await page.keyboard.press("Space");
  const title = page.locator("[data-part=screen] h2");
  await expect(title).toHaveText("Cut the base");

  // From screen to screen, back and forth, until something is left to set.
  const seen = [];
  for (let i = 0; i < 60; i++) {
    seen.push(await title.textContent());
    const size = await measured(page);
    if (size) {
      expect(size.high, `${seen.at(-1)}: the digits are 120 px high`).toBeGreaterThanOrEqual(120);
      expect(size.over, `${seen.at(-1)}: it stays in the width`).toBeLessThanOrEqual(0);
      expect(size.lines, `${seen.at(-1)}: it is one line`).toBeLessThan(1.2);
    }
    if ((await page.getByRole("timer").count()) > 0) {
      break;
    }
    await page.keyboard.press(i % 2 ? "ArrowRight" : "PageDown");
    await expect.poll(async () => page.locator("[data-part=bar]").textContent()).toBeTruthy();
  }
  const timer = page.locator("[data-part=timers] [role=timer]").first();
  const left = async () => {
    const [minutes, seconds] = (await timer.locator("b").textContent()).split(":").map(Number);
    return minutes * 60 + seconds;
  };
  const before = await left();
  const at = await title.textContent();

  // Away and back again: the same step, and the timer has gone on.
  await page.waitForTimeout(1200);
  await page.reload();
  await expect(title).toHaveText(at);
  expect(await left()).toBeLessThan(before);
  await page.keyboard.press("ArrowLeft");
  await expect(title).not.toHaveText(at === seen.at(-2) ? "" : at);
  expect(await timer.count()).toBe(1);

  // A jump, and to the end.
  await page.keyboard.press("j");
  await page.getByRole("navigation", { name: "All steps" }).waitFor();
  await page.keyboard.press("j");
  for (let i = 0; i < 80 && (await page.getByText("Tandem is done").count()) === 0; i++) {
    await page.keyboard.press("Space");
    await page.waitForTimeout(30);
  }
  const kept = page.waitForEvent("download");
  await page.getByRole("button", { name: "chapters of this run" }).press("Enter");
  expect((await kept).suggestedFilename()).toBe("chapters.txt");
});

test("what came out counts, a second window follows, three stand side by side", async ({ page, context }) => {
  await page.goto("/show/tandem");
  await page.getByRole("heading", { name: "Tandem", exact: true }).waitFor();
  const second = await context.newPage();
  await second.goto("/show/tandem?follow=");
  await second.getByRole("heading", { name: "Tandem", exact: true }).waitFor();
  await page.keyboard.press("Space");
  await expect(second.locator("[data-part=screen] h2")).toHaveText("Cut the base");
  await expect(second.getByRole("button", { name: /next/ })).toHaveCount(0);

  // It is an eighth short: everything after it is sized round that, and undone it is as before.
  await page.keyboard.press("c");
  await page.getByRole("textbox", { name: "What it is now" }).fill("7 7/8");
  await page.keyboard.press("Enter");
  await expect(page.locator("[data-part=outcome]")).toContainText("It can be saved");
  await page.getByRole("button", { name: "Go on with that" }).press("Enter");
  await expect(page.locator("[data-part=big]")).toContainText("7 7/8");
  await page.keyboard.press("Control+z");
  await expect(page.locator("[data-part=big]")).toContainText("8 × 4");
  await expect.poll(async () => (await stored(page, "tandem")).state.lock ?? {}).toEqual({});

  await page.goto("/show/tandem?beside=harbour-post&beside=harbour-post");
  const variants = page.locator("[data-part=variants] [data-part=big]");
  await expect(variants).toHaveCount(3);
  for (const high of await variants.evaluateAll((all) =>
    all.map((big) => {
      const pen = document.createElement("canvas").getContext("2d");
      const { fontWeight, fontSize, fontFamily } = getComputedStyle(big);
      pen.font = `${fontWeight} ${fontSize} ${fontFamily}`;
      return pen.measureText("2").actualBoundingBoxAscent;
    }),
  )) {
    expect(high).toBeGreaterThanOrEqual(64);
  }
});

test("handed out: seen as it prints, kept as a file, in the system of whoever gets it", async ({ page }) => {
  await page.goto("/show/night-ferry");
  await page.getByRole("heading", { name: "Night ferry", exact: true }).waitFor();
  await page.keyboard.press("p");
  await page.waitForURL("**/handout/night-ferry");
  const sheet = page.locator("[data-part=preview] svg").first();
  await expect(sheet).toContainText("Night ferry");
  const kept = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save as PDF" }).click();
  expect((await kept).suggestedFilename()).toBe("night-ferry-sheet.pdf");

  // What a machine is given, read by a reader that is not ours: every cut a ring, every score by its fold.
  await page.getByRole("button", { name: /^Templates/ }).click();
  const cut = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save as DXF for cutting" }).click();
  const drawing = new DxfParser().parseSync(await readFile(await (await cut).path(), "latin1"));
  expect(Object.keys(drawing.tables.layer.layers)).toEqual(["VALLEY", "MOUNTAIN", "CUT", "GLUE", "NOTE"]);
  const cuts = drawing.entities.filter((e) => e.layer === "CUT");
  expect(cuts.length).toBeGreaterThan(2);
  for (const { vertices } of cuts) {
    expect(vertices.length).toBeGreaterThan(1);
    for (const { x, y } of vertices) {
      expect(x).toBeGreaterThan(0);
      expect(x).toBeLessThanOrEqual(drawing.header.$EXTMAX.x);
      expect(y).toBeGreaterThan(0);
      expect(y).toBeLessThanOrEqual(drawing.header.$EXTMAX.y);
    }
  }
  expect(drawing.entities.some((e) => e.layer === "VALLEY" && !e.shape)).toBe(true);
  await page.getByRole("button", { name: /^Plain text/ }).click();
  await expect(page.locator("[data-part=preview] pre")).toContainText("What you need");
  await expect(page.locator("[data-part=preview] pre")).toContainText(" cm");
  await page.getByText("in", { exact: true }).click();
  await expect(page.locator("[data-part=preview] pre")).toContainText(/closed .* in/);
  await page.reload();
  await expect(page.locator("[data-part=preview] pre")).toContainText(/closed .* in/);
});
