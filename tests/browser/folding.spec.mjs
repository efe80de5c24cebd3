import { expect, test } from "./studio.mjs";

test("a construction is found on the shelf by what it does, begun, seen folding and put together", async ({ page }) => {
  await page.goto("/drawer");
  await page.locator("[data-part=design]").first().waitFor();
  await page.keyboard.press("s");
  await expect(page).toHaveURL(/shelf/);
  await expect(page.locator("[data-part=shelf-item]")).toHaveCount(27);
  await page.getByRole("textbox", { name: "Words" }).fill("twist");
  await expect(page.locator("[data-part=shelf-item]")).toHaveCount(2);
  await page.getByRole("textbox", { name: "Words" }).fill("");
  await page.getByRole("checkbox", { name: "one sheet" }).check();
  await page.getByRole("checkbox", { name: /flat in the post/ }).check();
  await page.getByRole("combobox", { name: "What it does" }).selectOption("turns");
  await expect(page.locator("[data-part=shelf-item] b")).toHaveText(["Double swing", "Never-ending"]);

  // It opens and shuts while one points at it.
  const item = page.locator("[data-part=shelf-item]").first();
  const picture = () => item.locator("[data-part=shape]").first().getAttribute("d");
  const still = await picture();
  await item.getByRole("button").hover();
  await expect.poll(picture).not.toBe(still);
  await item.getByRole("button").click();
  await expect(page).toHaveURL(/bench/);

  // The rails' creases are in two parts, and the swings are cut on three sides.
  await expect(page.locator("[data-part=score]").first().locator("[data-part=crease]")).toHaveCount(2);
  await expect(page.locator("[data-kind=flap]")).toHaveCount(4);
  await page.locator("[data-part=format]").first().focus();
  await page.keyboard.press("f");
  await expect(page.getByRole("heading", { name: "How it folds" })).toBeVisible();
  const shape = () => page.locator("[data-part=folding-main] [data-part=shape]").last().getAttribute("d");
  const before = await shape();
  await page.getByRole("slider", { name: "From closed to shown" }).press("Home");
  await expect.poll(shape).not.toBe(before);
  await expect(page.getByText("Putting it together")).toBeVisible();
  expect(await page.locator("[data-part=folding-steps] li").count()).toBeGreaterThan(8);
  await expect(page.locator("[data-part=folding-steps] li").first()).toContainText("Cut the base from");

  // Turned about with the keys it is another picture; Home puts it back.
  const shut = await shape();
  const card = page.getByRole("group", { name: /arrow keys turn it about/ });
  await card.focus();
  await page.keyboard.press("ArrowRight");
  await expect.poll(shape).not.toBe(shut);
  await page.keyboard.press("Home");
  await expect.poll(shape).toBe(shut);
  await page.locator("body").press("Escape");
  await expect(page).toHaveURL(/bench/);
});
