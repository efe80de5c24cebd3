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

test("a drawing of another program becomes a list, and what no construction explains a card of one's own", async ({ page }) => {
  await page.goto("/own");
  await page.locator("input[type=file]").setInputFiles({
    name: "z.svg",
    mimeType: "image/svg+xml",
    buffer: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="11in" height="4.25in" viewBox="0 0 11 4.25"><rect width="11" height="4.25"/><g id="score"><path d="M2.75 0V4.25M5.5 0V4.25"/></g><circle r="1"/></svg>',
    ),
  });
  const list = page.getByRole("textbox", { name: /Pieces, a line each/ });
  await expect(list).toHaveValue("piece 1 11 x 4 1/4 in, score along the 11 in side at 2 3/4, 5 1/2");
  await expect(page.getByText("Not carried over from the drawing: curves")).toBeVisible();
  await expect(page.locator("[data-part=own-says]")).toContainText("taken to be for a card of 5 1/2 × 4 1/4", { timeout: 20_000 });
  await page.getByRole("button", { name: "make it a card of my own" }).click();
  await page.waitForURL("**/bench/**");
  await expect(page.locator("[data-part=score]")).toHaveCount(2);
  await page.goto("/own");
  await page.locator("input[type=file]").setInputFiles({ name: "b.svg", mimeType: "image/svg+xml", buffer: Buffer.from("<svg><script>1</script></svg>") });
  await expect(page.getByText(/it carries “script”, which is not read/)).toBeVisible();
});

test("a box and its lid, scored both ways, become a card that closes, is stretched where it is made, and has its steps", async ({ page }) => {
  await page.goto("/own");
  await page
    .getByRole("textbox", { name: /Pieces, a line each/ })
    .fill("base 5 15/16 x 5 15/16, score 1 on all four sides\nlid 5 x 5, score 1/2 on all four sides");
  await page.getByRole("button", { name: "make it a card of my own" }).click({ timeout: 20_000 });
  await page.waitForURL("**/bench/**");
  await expect(page.locator("[data-part=score]").first()).toBeVisible();
  const id = page.url().split("/").pop();
  await page.goto(`/build/${id}`);
  const says = page.locator("[data-part=build-says]");
  await expect(says).toContainText("It closes to 4 × 4", { timeout: 20_000 });
  await expect(page.getByText("score across at 1", { exact: false }).first()).toBeVisible();
  const floor = page.getByLabel("panel 2", { exact: true });
  await floor.fill("width + 1 in");
  await floor.press("Enter");
  await expect(says).toContainText("it stands out");
  await page.keyboard.press("Control+z");
  await expect(says).toContainText("It closes to 4 × 4");
  await page.goto(`/folding/${id}`);
  await expect(page.getByText(/Snip into the base, /)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText(/tape the corners inside them/).first()).toBeVisible();
});

test("a construction of the library is copied and changed, refused where it makes no sum, and taken back", async ({ page }) => {
  await page.goto("/build/market-lanterns");
  await expect(page.locator("[data-part=build-says]")).toContainText("It closes to", { timeout: 20_000 });
  await page.getByRole("button", { name: "make a copy my own" }).click();
  const rule = page.getByLabel("back", { exact: true });
  await expect(rule).toBeEditable();
  await rule.fill("breadth");
  await rule.press("Enter");
  await expect(page.getByText(/“breadth” is not known here/)).toBeVisible();
  await page.reload();
  await rule.fill("width + 1 in");
  await rule.press("Enter");
  await expect(page.locator("[data-part=build-says]")).toContainText("it stands out");
  await page.keyboard.press("Control+z");
  await expect(page.locator("[data-part=build-says]")).toContainText("It closes to");
  await page.getByRole("link", { name: "back to the bench" }).click();
  await expect(page.getByText("Gatefold, changed")).toBeVisible();
});

test("a crease is dragged and moved by keys, a piece is added with a window in it, and all of it taken back", async ({ page }) => {
  await page.goto("/own");
  await page.getByRole("textbox").fill("base 9 x 6, score at 6\nstrip 12 x 1, score at 1, 6 and 11");
  await page.getByRole("button", { name: "it opens upwards" }).click();
  await expect(page.getByRole("button", { name: "it opens sideways" })).toBeVisible();
  await page.getByRole("button", { name: "it opens sideways" }).click();
  await page.getByRole("button", { name: "make it a card of my own" }).click();
  await page.waitForURL(/\/bench\//);
  await page.goto(page.url().replace("/bench/", "/build/"));
  const grip = page.getByRole("slider", { name: /^Crease 1/ });
  await expect(grip).toHaveAttribute("aria-valuetext", "6", { timeout: 20_000 });
  const box = await grip.boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 60, y + 20, { steps: 5 });
  await page.mouse.up();
  await expect(grip).not.toHaveAttribute("aria-valuetext", "6");
  const dragged = await grip.getAttribute("aria-valuenow");
  await grip.focus();
  await page.keyboard.press("ArrowLeft");
  await expect(grip).not.toHaveAttribute("aria-valuenow", dragged);
  await page.getByRole("button", { name: "add a piece" }).click();
  await page.getByLabel(/What it is called/).fill("Sail");
  await page.getByRole("button", { name: "add it" }).click();
  await expect(page.getByRole("heading", { name: "Sail" })).toBeVisible();
  await page.getByRole("button", { name: "Cut a window in sail" }).click();
  await expect(page.getByLabel("window in it, border on each side")).toHaveValue("1/2 in or 12 mm");
  for (let i = 0; i < 4; i++) {
    await page.keyboard.press("Control+z");
    await page.waitForTimeout(400);
  }
  await expect(page.getByText("Sail")).toHaveCount(0);
  await page.getByRole("button", { name: "Base", exact: true }).click();
  await expect(page.getByRole("slider", { name: /^Crease 1/ })).toHaveAttribute("aria-valuetext", "6");
});
