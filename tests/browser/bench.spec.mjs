import { bench, expect, figure, figureText, settled, shown, stored, test } from "./studio.mjs";

test("a 5 in square is converted with the mouse, in inches and centimetres, and all is there after a reload", async ({ page }) => {
  await page.goto("/");
  await expect(page).toHaveURL(/bench\/comet-supper/);
  await expect(page.getByRole("heading", { name: /Comet supper/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /5 × 5/ })).toContainText("from here");

  for (const [name, key] of [["5 × 7", "5x7"], ["A2 US", "a2-us"], ["Slimline", "slimline"], ["A6 US", "a6-us"], ["A6 ISO", "a6-iso"]]) {
    await page.locator("[data-part=format]").filter({ has: page.locator("[data-part=format-name]", { hasText: new RegExp(`^${name}$`) }) }).click();
    await expect.poll(async () => (await stored(page, "comet-supper")).state.target).toBe(key);
    const { view } = await settled(page, "comet-supper");
    const rows = view.ledger.flatMap((s) => s.rows);
    for (const row of rows) {
      expect(await shown(figure(page, row.figureId).locator("[data-part=now] [data-fig]"))).toBe(figureText(row.now.text));
      expect(await shown(figure(page, row.figureId).locator("[data-part=was]"))).toBe(figureText(row.was.text));
    }
  }

  await page.locator("[data-part=bar]").getByText("in", { exact: true }).click();
  await expect(page.locator("[data-part=ledger-head]")).toContainText("inches");
  await page.locator("[data-part=bar]").getByText("cm", { exact: true }).click();
  await expect(page.locator("[data-part=ledger-head]")).toContainText("cm");
  await page.locator("[data-part=bar]").getByText("both", { exact: true }).click();
  await expect(page.locator("[data-part=ledger-head] > *")).toHaveCount(5);

  // A row opens to its reasons, and so does its flag in the drawing.
  await figure(page, "base.width").getByRole("button").click();
  await expect(figure(page, "base.width").locator("ol")).toContainText("Twice the card's width");
  await page.locator("[data-part=score]").nth(1).locator("[data-part=flag]").click({ position: { x: 4, y: 10 } });
  await expect(figure(page, "base.scores[1]").locator("ol")).toBeVisible();

  // A dragged slider shows what it does at once, and stores one gesture.
  await page.getByRole("button", { name: /^A2 US/ }).click();
  await settled(page, "comet-supper");
  const before = (await stored(page, "comet-supper")).version;
  await page.getByRole("button", { name: "Adjust centre" }).click();
  const thumb = page.getByRole("slider").first();
  const box = await thumb.boundingBox();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 130, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => (await stored(page, "comet-supper")).version).toBe(before + 1);
  const { state, view } = await settled(page, "comet-supper");
  expect(state.adjustments["a2-us"].centre).toEqual({ value: view.parameters[0].value.exact, tools: "imperial-eighths" });
  expect(view.parameters[0].hold).toBe("set");

  await page.reload();
  await settled(page, "comet-supper");
  await expect(page.getByRole("button", { name: /^A2 US/ })).toHaveAttribute("aria-pressed", "true");
  for (const row of view.ledger.flatMap((s) => s.rows)) {
    expect(await shown(figure(page, row.figureId).locator("[data-part=now] [data-fig]"))).toBe(figureText(row.now.text));
  }
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect.poll(async () => (await stored(page, "comet-supper")).state.adjustments["a2-us"]).toBeUndefined();
  await page.getByRole("button", { name: /^Redo/ }).click();
  await expect.poll(async () => (await stored(page, "comet-supper")).state.adjustments["a2-us"]?.centre).toEqual(state.adjustments["a2-us"].centre);
});

test("everything goes from the keyboard, and one always sees where one is", async ({ page }) => {
  const seen = async () => {
    const outline = await page.evaluate(() => {
      const at = document.activeElement;
      const style = at ? getComputedStyle(at) : null;
      return { tag: at?.tagName, text: at?.textContent?.slice(0, 30), width: style?.outlineWidth, kind: style?.outlineStyle };
    });
    expect(outline.kind, JSON.stringify(outline)).not.toBe("none");
    expect(Number.parseFloat(outline.width), JSON.stringify(outline)).toBeGreaterThanOrEqual(2);
  };
  await page.goto("/");
  await page.waitForURL(/bench/);
  await settled(page, "comet-supper");
  await page.keyboard.press("4");
  await expect.poll(async () => (await stored(page, "comet-supper")).state.target).toBe("5x7");
  await page.keyboard.press("]");
  await expect.poll(async () => (await stored(page, "comet-supper")).state.target).toBe("slimline");
  await page.keyboard.press("[");
  await expect.poll(async () => (await stored(page, "comet-supper")).state.target).toBe("5x7");
  // Quicker than the bench can follow: each step starts from what was chosen, not from what is shown.
  for (const key of ["]", "]", "[", "["]) await page.keyboard.press(key);
  await expect.poll(async () => (await stored(page, "comet-supper")).undo).toBe("to 5 × 7");
  await expect.poll(async () => (await stored(page, "comet-supper")).state.target).toBe("5x7");
  await page.keyboard.press("t");
  await expect.poll(async () => (await stored(page, "comet-supper")).state.targetTurn).toBe(true);
  await page.keyboard.press("b");
  await expect.poll(async () => (await stored(page, "comet-supper")).state.tools).toBe("metric-5mm");
  const unit = (await settled(page, "comet-supper")).view.unit;
  await page.keyboard.press("u");
  await expect.poll(async () => (await settled(page, "comet-supper")).view.unit).not.toBe(unit);
  await page.keyboard.press("Control+z");
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await stored(page, "comet-supper")).state.tools ?? null).toBe(null);
  await page.keyboard.press("Control+Shift+z");
  await expect.poll(async () => (await stored(page, "comet-supper")).state.tools).toBe("metric-5mm");

  // Through the page by Tab: everything that can be reached is seen to be reached.
  let slid = false;
  for (let i = 0; i < 90; i++) {
    await page.keyboard.press("Tab");
    if (await page.evaluate(() => document.activeElement === document.body)) break;
    await seen();
    if (!slid && (await page.evaluate(() => document.activeElement?.getAttribute("aria-label")?.startsWith("Adjust ") && document.activeElement.getAttribute("aria-expanded") === "false"))) {
      await page.keyboard.press("Enter");
    }
    if (!slid && (await page.evaluate(() => document.activeElement?.getAttribute("role") === "slider"))) {
      slid = true;
      const version = (await stored(page, "comet-supper")).version;
      await page.keyboard.press("ArrowRight");
      await expect.poll(async () => (await stored(page, "comet-supper")).version).toBe(version + 1);
    }
  }
  expect(slid).toBe(true);

  // A figure's reasons, the help and back.
  await figure(page, "base.height").getByRole("button").focus();
  await page.keyboard.press("Enter");
  await expect(figure(page, "base.height").locator("ol")).toBeVisible();
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
  await seen();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.keyboard.press("h");
  await expect.poll(async () => (await stored(page, "comet-supper")).state.target ?? null).toBe(null);
  await page.keyboard.press("g");
  await expect(page).toHaveURL(/drawer/);
});

test("flags and grooves stand where the core says, before and after the board is switched", async ({ page }) => {
  const check = async (id) => {
    const { view } = await settled(page, id);
    for (const piece of view.pieces) {
      const group = page.locator(`g[data-piece="${piece.id}"]`);
      const card = await group.locator("[data-part=cut]").evaluate((r) => ({ width: Number(r.getAttribute("width")), height: Number(r.getAttribute("height")) }));
      const scale = card.width / piece.width.units;
      expect(Math.abs(card.height - piece.height.units * scale)).toBeLessThan(0.5);
      const places = (selector, attribute) =>
        group.locator(selector).evaluateAll((all, name) => all.map((l) => ({ at: Number(l.dataset[name]), x: l.getBoundingClientRect().x + l.getBoundingClientRect().width / 2 })), attribute);
      const left = await group.locator("[data-part=cut]").evaluate((r) => r.getScreenCTM().e + Number(r.getAttribute("x")));
      const flags = await places("[data-at]", "at");
      expect(flags.map((f) => f.at)).toEqual(piece.scores.map((s) => s.at.units));
      const grooves = await places("[data-groove]", "groove");
      expect(grooves.length).toBeGreaterThan(3);
      const known = new Set(view.rule.ticks.map((t) => t.at));
      for (const { at, x } of [...flags, ...grooves]) {
        expect(Math.abs(x - (left + at * scale)), `${piece.id} at ${at}`).toBeLessThan(1);
      }
      expect(grooves.every((g) => known.has(g.at))).toBe(true);
      expect(grooves.some((g) => g.at > 0 && g.at % (view.rule.ticks[1].at) === 0)).toBe(true);
    }
    return view;
  };
  await page.goto("/bench/teapot-row");
  const before = await check("teapot-row");
  await page.getByRole("button", { name: /^Tools/ }).click();
  await page.getByRole("menuitem", { name: /^Board in 5 mm/ }).click();
  await expect.poll(async () => (await stored(page, "teapot-row")).state.tools).toBe("metric-5mm");
  const after = await check("teapot-row");
  expect(after.rule.ticks[1].at).not.toBe(before.rule.ticks[1].at);
});

test("bad input says what was wrong and what is accepted, and nothing is lost", async ({ page }) => {
  await page.goto("/bench/tandem");
  const { state } = await settled(page, "tandem");
  await page.getByRole("combobox", { name: /Any other size/ }).fill("0x5in");
  await page.keyboard.press("Enter");
  const alert = page.getByRole("alert");
  await expect(alert).toContainText("target");
  await expect(alert).toContainText("outside 2 to 12 in");
  await expect(alert).toContainText("150x150mm");
  expect((await stored(page, "tandem")).state).toEqual(state);
  await alert.getByRole("button", { name: "Put this away" }).click();
  await settled(page, "tandem");

  // A new design is picked from the shelf and lies there at once, in a size that was used; its own is typed first, its name when one likes.
  await page.goto("/drawer");
  await page.locator("[data-part=design]").first().waitFor();
  await page.keyboard.press("n");
  await page.getByRole("button", { name: /^Gatefold: .*Begin a design/ }).click();
  const size = page.getByRole("combobox", { name: /Any other size/ });
  await expect(size).toBeFocused();
  await page.keyboard.type("five");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("“five” is not a format");
  await page.getByRole("alert").getByRole("button", { name: "Put this away" }).click();
  await size.fill("5 1/2 x 4in");
  await size.press("Enter");
  await expect(page.locator("[data-part=target-line]")).toContainText("At home in 5 1/2 × 4 in");
  await page.getByRole("button", { name: "Gatefold", exact: true }).click();
  await page.keyboard.type("Moth lamp");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: /Moth lamp/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("heading", { name: /Moth lamp/ })).toBeVisible();
});

test("ways out are looked for, tried and taken with one press; the way it opens and its home are choices", async ({ page }) => {
  const begun = await page.request.post("/api/designs", { data: { state: { name: "Garden step", construction: "front-step", format: "5 by 7" } } });
  const { id } = await begun.json();
  await page.goto(`/bench/${id}`);
  await settled(page, id);
  await expect(page.locator("[data-part=foot]")).toContainText("no sheet here is that large");
  await page.getByRole("button", { name: "ways out" }).first().click();
  const ways = page.getByRole("dialog", { name: "Ways out" });
  await ways.getByRole("button", { name: /laid on its side/ }).click();
  await expect(page.locator("[data-part=foot]")).not.toContainText("no sheet here is that large");
  await expect(page.getByRole("button", { name: "make this the home size" })).toBeVisible();
  await page.getByRole("button", { name: "make this the home size" }).click();
  await expect(page.locator("[data-part=target-line]")).toContainText("At home in");
  expect((await stored(page, id)).state).toMatchObject({ turn: true, target: null });

  // A design of its own, since the others' tests count on how theirs lie.
  const leaf = (await (await page.request.post("/api/designs", { data: { state: { name: "Leaf", construction: "plain-fold", format: "a6 iso" } } })).json()).id;
  await page.goto(`/bench/${leaf}`);
  const { state } = await settled(page, leaf);
  const closed = async (of) => {
    const corners = (await bench(page, of)).closed.panels.flatMap((p) => p.corners);
    return [Math.max(...corners.map((c) => c.x)), Math.max(...corners.map((c) => c.y))];
  };
  const [wide, high] = await closed(state);
  await page.getByText("upwards", { exact: true }).click();
  await expect.poll(async () => (await stored(page, leaf)).state.opens).toBe("upwards");
  expect(await closed((await stored(page, leaf)).state)).toEqual([high, wide]);
});

test("card and papers are chosen in place, and a caliper is read as people know it", async ({ page }) => {
  await page.goto("/bench/market-lanterns");
  const before = await settled(page, "market-lanterns");
  await page.getByRole("button", { name: /^Card:/ }).click();
  const dialog = page.getByRole("dialog", { name: /^Card/ });
  await dialog.getByRole("textbox", { name: /measured/ }).fill("9mm/10");
  await dialog.getByRole("button", { name: "use it" }).click();
  await expect.poll(async () => (await stored(page, "market-lanterns")).state.caliper).toBe("9mm/10");
  // Doors of 0.9 mm card need more than the usual gap, so the figures move.
  const thick = await settled(page, "market-lanterns");
  expect(thick.view.pieces[0].scores.map((s) => s.at.units)).not.toEqual(before.view.pieces[0].scores.map((s) => s.at.units));
  await dialog.getByRole("combobox", { name: "Papers on it" }).selectOption("vellum");
  await expect(page.locator("[data-part=foot]")).toContainText("wet glue cockles vellum");
  await dialog.getByRole("combobox", { name: "Bonded with" }).selectOption("tape");
  await expect(page.locator("[data-part=foot]")).not.toContainText("wet glue");
  await dialog.getByRole("textbox", { name: /measured/ }).fill("thin");
  await dialog.getByRole("button", { name: "use it" }).click();
  await expect(page.getByRole("alert")).toContainText("a weight such as 300gsm smooth");
  expect((await stored(page, "market-lanterns")).state.caliper).toBe("9mm/10");
});

test("a measure list typed in is looked through", async ({ page }) => {
  await page.goto("/drawer");
  await page.locator("[data-part=design]").first().waitFor();
  await page.keyboard.press("l");
  const dialog = page.getByRole("dialog", { name: "Check a list" });
  await dialog.getByRole("textbox", { name: "Measure list" }).fill("width 10\nscores 1/2, 2 1/2, 4 3/8, 5 1/2, 7 1/2, 9 1/2");
  await dialog.getByRole("button", { name: "Look through it" }).click();
  await expect(dialog.getByRole("status")).toContainText("Score 3 at 4 3/8 breaks the pattern of the others; 4 1/2 would keep it.");
  await dialog.getByRole("textbox", { name: "Measure list" }).fill("ten by five");
  await dialog.getByRole("button", { name: "Look through it" }).click();
  await expect(dialog.getByRole("alert")).toContainText("line 1");
});

test("locks that cannot hold together are named, and freeing one mends it", async ({ page }) => {
  const made = await (await page.request.post("/api/designs", { data: { state: { name: "Wedged", construction: "winged-lock-gatefold", format: "5x5", lock: { centre: "3/4", pad: "5/8" } } } })).json();
  await page.goto(`/bench/${made.id}`);
  await expect(page.locator("[data-part=foot]")).toContainText("It does not fit yet.");
  await expect(page.locator("[data-part=foot]")).toContainText("pad locked at 5/8 in");
  await page.getByRole("button", { name: /^let the pad go/ }).click();
  await expect(page.locator("g[data-piece=base]")).toBeVisible();
});

test("two windows on one design are told of each other", async ({ page, context }) => {
  await page.goto("/bench/harbour-post");
  await settled(page, "harbour-post");
  const design = await stored(page, "harbour-post");
  // The other window stores a change that this one has not seen.
  await page.request.put("/api/designs/harbour-post", { data: { version: design.version, edits: [{ edit: "convert", format: "a5" }] } });
  await page.keyboard.press("2");
  const dialog = page.getByRole("dialog", { name: "Changed in another window" });
  await expect(dialog).toBeVisible();
  await dialog.getByRole("button", { name: "Put mine on top" }).click();
  await expect.poll(async () => (await stored(page, "harbour-post")).state.target).toBe("a2-us");
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await stored(page, "harbour-post")).state.target).toBe("a5");
  expect(context.pages()).toHaveLength(1);
  expect((await bench(page, design.state)).stuck).toBeNull();
});
