import { expect, stored, test } from "./studio.mjs";

test("dressing by keyboard and by hand: put on, nudged, dragged to another face, mended, undone over a reload", async ({ page }) => {
  await page.goto("/bench/tandem");
  await page.locator("[data-part=score]").first().waitFor();
  await page.keyboard.press("r");
  await page.waitForURL("**/dress/tandem");
  const table = page.locator("[data-part=faces]");
  const dressing = async () => (await stored(page, "tandem")).state.dressing;

  // A face is chosen with the keyboard, and gets something on it.
  const inside = table.getByRole("button", { name: /^inside, for the message/ });
  await inside.focus();
  await page.keyboard.press("Enter");
  await expect(inside).toHaveAttribute("aria-pressed", "true");
  await page.getByRole("button", { name: "Add a stamp, die cut or sticker" }).click();
  const star = table.locator("[data-thing=star]");
  await star.waitFor();
  await star.focus();
  await page.keyboard.press("ArrowRight");
  await expect.poll(async () => (await dressing()).elements.find((e) => e.id === "star")?.place?.from?.length).toBe(1);
  await expect(star).toHaveAttribute("aria-label", /1 9\/16 from the score between front and back/);

  // Two quick presses are two marks: the second starts from where the first comes to, whether that was answered yet or not.
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await expect(star).toHaveAttribute("aria-label", /1 11\/16 from the score between front and back/);

  // Held down and let go of over the other panel it goes there, on marks of the trimmer.
  const from = await star.boundingBox();
  const front = await table.getByRole("button", { name: /^front, inside/ }).boundingBox();
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(front.x + front.width * 0.3, front.y + front.height * 0.3, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => (await dressing()).elements.find((e) => e.id === "star")?.role).toBe("base.front.up");
  const place = (await dressing()).elements.find((e) => e.id === "star").place;
  expect(place.anchor).toBe("head-left");

  // A distance is typed; what it spoils is found, lights up and is mended with a key.
  await page.getByRole("textbox", { name: "From the left" }).fill("-1/2 in");
  await page.keyboard.press("Enter");
  await expect(page.locator("[data-part=foot]")).toContainText("adhesive");
  await page.evaluate(() => document.activeElement?.blur());
  await page.keyboard.press("m");
  await expect.poll(async () => (await dressing()).elements.find((e) => e.id === "star")?.bondedOn).toBe("base.front");

  // A format further it still is there; back home and undone, it is off again, also after a reload.
  await page.keyboard.press("]");
  await expect.poll(async () => (await stored(page, "tandem")).state.target).not.toBeNull();
  await expect(table.locator("[data-thing=star]")).toHaveCount(1);
  await page.reload();
  await table.locator("[data-thing=star]").waitFor();
  for (let i = 0; i < 8; i++) {
    await page.keyboard.press("Control+z");
    await page.waitForTimeout(250);
  }
  await expect.poll(async () => (await dressing()).elements.some((e) => e.id === "star")).toBe(false);
});
