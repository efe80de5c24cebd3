import { AxeBuilder } from "@axe-core/playwright";
import { expect, test } from "./studio.mjs";

for (const colorScheme of ["light", "dark"]) {
  test.describe(colorScheme, () => {
    test.use({ colorScheme });
    // Each look takes axe some seconds on a slow machine.
    test.setTimeout(480_000);

    test("no view has anything that axe finds", async ({ page }) => {
      const check = async (view) => {
        await page.waitForLoadState("networkidle");
        await page.waitForTimeout(350);
        const { violations } = await new AxeBuilder({ page }).analyze();
        expect(violations.map((v) => `${view}: ${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 120)} ${n.any[0]?.message ?? ""}`).join(" | ")}`)).toEqual([]);
      };
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
      await page.getByRole("button", { name: "what costs what" }).click();
      await page.locator("[data-part=curve-plot]").waitFor();
      await check("trade-off");
      await page.keyboard.press("Escape");
      await page.keyboard.press("b");
      await page.locator("[data-part=compared]").waitFor();
      await check("what a change did");
      await page.getByRole("button", { name: /Other size/ }).click();
      await page.getByRole("textbox", { name: /Finished size/ }).fill("five");
      await check("other size");
      await page.keyboard.press("Enter");
      await page.getByRole("alert").waitFor();
      await check("bench with an error");
      await page.goto("/bench/two-bicycles");
      await page.locator("[data-part=score]").first().waitFor();
      await check("a card that grows");
      await page.goto("/handout/night-ferry?as=figures");
      await page.locator("[data-part=sheet]").waitFor();
      await check("figures and settings");
      await page.goto("/handout/night-ferry");
      await page.locator("[data-part=preview] svg").first().waitFor();
      await check("hand out");
      await page.goto("/show/night-ferry");
      await page.getByRole("heading", { name: "What lies ready" }).waitFor();
      await check("ready to show");
      await page.keyboard.press("Space");
      await page.locator("[data-part=screen]").waitFor();
      await check("show");
      await page.keyboard.press("c");
      await page.getByRole("dialog").waitFor();
      await check("came out otherwise");
      await page.keyboard.press("Escape");
      await page.goto("/wall/night-ferry");
      await page.locator("[data-part=wall-card]").first().waitFor();
      await check("wall");
      await page.goto("/dress/night-ferry");
      await page.locator("[data-part=faces] [data-side]").first().waitFor();
      await check("dress");
      await page.locator("li button", { hasText: "Moon" }).click();
      await check("dress with a thing open");
      await page.goto("/folding/night-ferry");
      await page.locator("[data-part=folding-main] [data-part=shape]").first().waitFor();
      await check("how it folds");
      await page.goto("/shelf");
      await page.locator("[data-part=shelf-item]").first().waitFor();
      await check("shelf");
      await page.goto("/own");
      await page.getByRole("button", { name: "show me with one" }).click();
      await page.getByText("This is a tier scene").waitFor();
      await check("a list of one's own");
      await page.evaluate(() => localStorage.removeItem("wholefold.own"));
      await page.goto("/drawer");
      await page.locator("[data-part=design]").first().waitFor();
      await check("drawer");
      await page.keyboard.press("n");
      await page.getByRole("dialog").waitFor();
      await page.getByRole("button", { name: "Lay it out" }).click();
      await page.getByText("the design has no name").waitFor();
      await check("new design with an error");
      await page.keyboard.press("Escape");
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
      await page.goto("/nowhere");
      await check("lost");
    });
  });
}
