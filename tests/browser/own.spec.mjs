import { expect, test } from "./studio.mjs";

test("a list of one's own is read as it is typed, kept over a reload, and taken to the bench by one key", async ({ page }) => {
  await page.goto("/shelf");
  await page.locator("[data-part=shelf-item]").first().waitFor();
  await page.keyboard.press("y");
  await page.waitForURL("**/own");
  const list = page.getByRole("textbox", { name: /Pieces, a line each/ });
  await list.fill("base 8 x 5, score at 1 and 7\ntier one 7 x 3, scores 1/2, 6 1/2\nwith much love\ntier two 7 x 4 1/8, scores 1/2, 6 1/2");
  const says = page.locator("[data-part=own-says]");
  await expect(says).toContainText("This is a tier scene, 7 × 5 in.", { timeout: 20_000 });
  await expect(page.locator("[data-part=own-pieces] svg")).toHaveCount(3);
  await expect(page.getByText("Line 3 is kept but not understood")).toBeVisible();
  await page.reload();
  await expect(says).toContainText("This is a tier scene");
  await list.press("Control+Enter");
  await page.waitForURL("**/bench/**");
  await expect(page.locator("[data-part=score]").first()).toBeVisible();
});
