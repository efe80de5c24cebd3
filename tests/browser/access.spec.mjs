import { AxeBuilder } from "@axe-core/playwright";
import { expect, go, test } from "./studio.mjs";

/** What of axe's rules depends on colours; everything else is the same by lamplight. */
const OF_THE_THEME = ["color-contrast", "link-in-text-block"];

const violations = async (page, view, rules) => {
  // Colours fade in; on a busy machine that takes longer than it should.
  await page.waitForTimeout(250);
  await page.evaluate(() =>
    Promise.allSettled(
      document
        .getAnimations()
        .filter((a) => a.effect?.getComputedTiming().iterations !== Number.POSITIVE_INFINITY)
        .map((a) => a.finished),
    ),
  );
  const axe = new AxeBuilder({ page }).options({ resultTypes: ["violations"], ...(rules ? { runOnly: { type: "rule", values: rules } } : {}) });
  const found = await axe.analyze();
  return found.violations.map((v) => `${view}: ${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 120)} ${n.any[0]?.message ?? ""}`).join(" | ")}`);
};

/** All of axe's rules by daylight, what depends on colours by lamplight too. */
const looked = (page) => async (view) => {
  const found = await violations(page, view);
  await page.emulateMedia({ colorScheme: "dark" });
  found.push(...(await violations(page, `${view} by lamplight`, OF_THE_THEME)));
  await page.emulateMedia({ colorScheme: "light" });
  expect(found).toEqual([]);
};

// Each look takes axe some seconds on a slow machine.
test.describe.configure({ timeout: 480_000 });

test("no view of work on a design has anything that axe finds", async ({ page }) => {
  const check = looked(page);
  await page.goto("/bench/night-ferry");
  await page.locator("[data-part=score]").first().waitFor();
  await check("bench");
  await page.locator("[data-figure] > button").nth(2).click();
  await check("bench with reasons");
  await page.keyboard.press("?");
  await check("help");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Tools/ }).click();
  await check("menu");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Card:/ }).click();
  await page.getByRole("dialog", { name: /^Card/ }).waitFor();
  await check("card and papers");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Trade-offs" }).click();
  await page.locator("[data-part=curve-plot]").waitFor();
  await check("trade-off");
  await page.keyboard.press("Escape");
  await page.keyboard.press("b");
  await page.locator("[data-part=compared]").waitFor();
  await check("what a change did");
  await page.getByRole("combobox", { name: /Any other size/ }).fill("five");
  await page.keyboard.press("Enter");
  await page.getByRole("alert").waitFor();
  await check("bench with an error");
  await go(page, "/bench/two-bicycles");
  await page.locator("[data-part=score]").first().waitFor();
  await check("a card that grows");
  await go(page, "/build/signal-flags");
  await page.locator("[data-part=build-says]").waitFor();
  await check("how it is made");
  await go(page, "/stand-ins/signal-flags");
  await page.getByRole("button", { name: "send it the templates" }).click();
  await page.getByText("The cutting machine (simulated) would work").waitFor();
  await check("stand-ins");
  await go(page, "/handout/night-ferry?as=figures");
  await page.locator("[data-part=sheet]").waitFor();
  await check("figures and settings");
  await go(page, "/handout/night-ferry");
  await page.locator("[data-part=preview] svg").first().waitFor();
  await check("hand out");
  await go(page, "/show/night-ferry");
  await page.getByRole("heading", { name: "What you need" }).waitFor();
  await check("ready to show");
  await page.keyboard.press("Space");
  await page.locator("[data-part=screen]").waitFor();
  await check("show");
  await page.keyboard.press("c");
  await page.getByRole("dialog").waitFor();
  await check("came out otherwise");
  await page.keyboard.press("Escape");
});

test("no other view has anything that axe finds", async ({ page }) => {
  const check = looked(page);
  await page.goto("/wall/night-ferry");
  await page.locator("[data-part=wall-card]").first().waitFor();
  await check("wall");
  await go(page, "/cut/comet-supper?cards=12");
  await page.locator("[data-part=cut-foot] li").first().waitFor();
  await check("cut");
  await go(page, "/dress/night-ferry");
  await page.locator("[data-part=faces] [data-side]").first().waitFor();
  await check("dress");
  await page.locator("li button", { hasText: "Moon" }).click();
  await check("dress with a thing open");
  await go(page, "/folding/night-ferry");
  await page.locator("[data-part=folding-main] [data-part=shape]").first().waitFor();
  await check("how it folds");
  await go(page, "/shelf");
  await page.locator("[data-part=shelf-item]").first().waitFor();
  await check("shelf");
  await go(page, "/own");
  await page.getByRole("button", { name: "show me with one" }).click();
  await page.getByText("This is a tier scene").waitFor();
  await check("a list of one's own");
  await page.evaluate(() => localStorage.removeItem("wholefold.own"));
  await go(page, "/drawer");
  await page.locator("[data-part=design]").first().waitFor();
  await check("drawer");
  await page.getByRole("button", { name: "Check a list" }).click();
  await page.getByRole("textbox", { name: "Measure list" }).fill("width 10\nscores 5, 12");
  await page.getByRole("button", { name: "Look through it" }).click();
  await page.getByText("lies beyond the sheet").waitFor();
  await check("a list with findings");
  await page.keyboard.press("Escape");
  for (const kind of ["tool set", "stock"]) {
    await page.getByRole("button", { name: `add a ${kind} of your own` }).click();
    await page.getByRole("button", { name: "Keep it in the drawer" }).click();
    await page.getByText("it has no name").waitFor();
    await check(`a ${kind} of one's own, refused`);
    await page.keyboard.press("Escape");
  }
  await go(page, "/nowhere");
  await check("lost");
});
