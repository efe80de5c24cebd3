import { expect, figure, figureText, settled, shown, stored, test } from "./studio.mjs";

test("other tools are put in place, what changes is shown with the reason, and a preference is one click", async ({ page }) => {
  await page.goto("/bench/market-lanterns");
  const { view: before } = await settled(page, "market-lanterns");
  await page.getByRole("button", { name: /^Tools/ }).click();
  await page.getByRole("menuitem", { name: /^Board in 5 mm/ }).click();
  await expect(page.locator("[data-part=compared]")).toContainText(/figures? changes? of/);
  const was = before.ledger.flatMap((s) => s.rows).find((r) => r.figureId === "base.scores[0]");
  const row = figure(page, "base.scores[0]");
  expect(await shown(row.locator("[data-part=was]"))).toBe(figureText(was.now.text));
  await row.getByRole("button").click();
  await expect(row.locator("[data-part=because]")).toBeVisible();
  await expect(row.locator("[data-part=said]")).toContainText("so that the doors do not touch");
  await page.getByRole("button", { name: "done", exact: true }).click();
  await expect(page.locator("[data-part=compared]")).toHaveCount(0);
  await expect(page.locator("[data-part=was]")).toHaveCount(0);

  await page.getByRole("button", { name: /^Tools/ }).click();
  await page.getByRole("menuitemcheckbox", { name: "one stop, then turn" }).click();
  await expect.poll(async () => (await stored(page, "market-lanterns")).state.prefer).toEqual(["one-stop"]);
  await page.keyboard.press("Escape");
  await expect(page.locator("[data-part=order]").first()).toContainText("turn it round");
});

test("a trade-off is a curve to pick from, by pointer and by key", async ({ page }) => {
  await page.goto("/bench/night-ferry");
  await settled(page, "night-ferry");
  await page.getByRole("button", { name: "Trade-offs" }).click();
  const points = page.locator("[data-part=curve]").first().getByRole("button");
  await expect(points.nth(2)).toBeVisible();
  const label = await points.last().getAttribute("aria-label");
  await points.last().focus();
  await page.keyboard.press("Enter");
  await expect.poll(async () => (await stored(page, "night-ferry")).undo).toMatch(/^depth to/);
  await expect(page.locator("[data-part=curve]").first().getByRole("button", { pressed: true })).toHaveAttribute("aria-label", label);
});

test("the sheet has both systems, and the bench is one key away", async ({ page }) => {
  const made = await (await page.request.post("/api/designs", { data: { state: { name: "Paper kite", construction: "gatefold", format: "5x7" } } })).json();
  await page.goto(`/bench/${made.id}`);
  const { view } = await settled(page, made.id);
  await page.keyboard.press("p");
  await expect(page).toHaveURL(new RegExp(`handout/${made.id}`));
  await page.getByRole("button", { name: /^Figures and settings/ }).click();
  await expect(page.locator("[data-part=sheet]")).toBeVisible();
  const rows = view.ledger.flatMap((s) => s.rows);
  await expect(page.locator("[data-part=sheet] tbody tr")).toHaveCount(rows.length);
  for (const row of rows) {
    expect(await shown(page.locator(`tr[data-figure="${row.figureId}"] td:nth-child(3)`).first())).toBe(figureText(row.now.text));
  }
  await page.keyboard.press("Escape");
  await expect(page).toHaveURL(new RegExp(`bench/${made.id}`));
});

test("the wall shows every format at once, and any of them opens on the bench", async ({ page }) => {
  const made = await (await page.request.post("/api/designs", { data: { state: { name: "Paper boat", construction: "bridge", format: "5x7" } } })).json();
  await page.goto(`/bench/${made.id}`);
  await settled(page, made.id);
  await page.keyboard.press("w");
  await expect(page.locator("[data-part=wall-card]")).toHaveCount(16);
  await page.locator("[data-part=wall-card]").filter({ has: page.locator("b", { hasText: /^A6 ISO$/ }) }).click();
  await expect(page).toHaveURL(new RegExp(`bench/${made.id}`));
  const { state } = await settled(page, made.id);
  expect(state.target).toBe("a6-iso");
});

test("sheets are planned from the stock book, taken when asked, kept as they were taken, and put back", async ({ page }) => {
  const made = await (await page.request.post("/api/designs", { data: { state: { name: "Quay steps", construction: "plain-fold", format: "a2-us", stock: "card-300" } } })).json();
  const there = async () => (await (await page.request.get("/api/inventory")).json()).kinds.find((k) => k.id === "book").things.find((t) => t.id === "harbour-letter").detail;
  const before = await there();
  await page.goto(`/bench/${made.id}`);
  await settled(page, made.id);
  await page.keyboard.press("a");
  await page.getByRole("textbox", { name: "For how many cards" }).fill("6");
  const side = page.locator("[data-part=cut-side]");
  await expect(side.getByRole("heading", { level: 2 })).toContainText("6 cards from");
  await expect(page.locator("[data-part=cut-foot]")).toContainText("Enough of everything.");

  // The step that is pointed at is lit on the sheet, and ticked off.
  await side.getByRole("checkbox", { name: /^Tick off cut 1:/ }).first().focus();
  await expect(page.locator("[data-part=cut-sheet] g[data-lit]").first()).toBeVisible();
  await page.keyboard.press("Space");
  await expect(side.locator("li[data-done]")).toHaveCount(1);

  const title = await side.getByRole("heading", { level: 2 }).textContent();
  await side.getByRole("button", { name: "Take it from the stock" }).click();
  await expect(page).toHaveURL(/kept/);
  await expect(page.getByText(title ?? "")).toBeVisible();
  expect(await there()).not.toBe(before);
  await page.getByRole("link", { name: "Plan more of it" }).click();
  await side.getByRole("button", { name: "Put back: 6 × Quay steps" }).click();
  await expect(side.getByRole("button", { name: "Take again: 6 × Quay steps" })).toBeVisible();
  expect(await there()).toBe(before);
});

test("a board and a card of one's own are kept, used, and refused where they cannot be", async ({ page }) => {
  await page.goto("/drawer");
  await page.getByRole("button", { name: "add a tool set of your own" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByRole("textbox", { name: "name" }).fill("Board by the window");
  await dialog.getByRole("textbox", { name: "groove to groove" }).fill("3");
  await dialog.getByRole("textbox", { name: "board reaches to" }).fill("12");
  await dialog.getByRole("textbox", { name: "trimmer’s finest mark" }).fill("1/8");
  await dialog.getByRole("textbox", { name: "ruler’s finest mark" }).fill("1/16");
  await dialog.getByRole("button", { name: "Keep it in the drawer" }).click();
  await expect(dialog).toContainText("1/32 in to 1/2 in");
  await dialog.getByRole("textbox", { name: "groove to groove" }).fill("1/4");
  await dialog.getByRole("button", { name: "Keep it in the drawer" }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole("switch", { name: "Board by the window" })).toBeChecked();

  await page.getByRole("button", { name: "add a stock of your own" }).click();
  await page.getByRole("dialog").getByRole("textbox", { name: "name" }).fill("Moss 250");
  await page.getByRole("dialog").getByRole("textbox", { name: "caliper" }).fill("3.4mm/10");
  await page.getByRole("dialog").getByRole("button", { name: "Keep it in the drawer" }).click();
  await expect(page.getByRole("switch", { name: "Moss 250" })).toBeChecked();

  await page.goto("/bench/teapot-row");
  await settled(page, "teapot-row");
  await page.getByRole("button", { name: /^Tools/ }).click();
  await page.getByRole("menuitem", { name: /^Board by the window/ }).click();
  await expect.poll(async () => (await stored(page, "teapot-row")).state.tools).toBe("board-by-the-window");
  await page.getByRole("button", { name: /^Card:/ }).click();
  await page.getByRole("combobox", { name: "Card", exact: true }).selectOption({ label: "Moss 250, 0.34 mm" });
  await expect(page.getByRole("button", { name: /^Card: Moss 250/ })).toBeVisible();
  await page.goto("/drawer");
  await page.getByRole("button", { name: "Remove Moss 250" }).click();
  await expect(page.getByRole("alert")).toContainText("Teapot row");
});
