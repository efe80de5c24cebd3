import { chromium } from "@playwright/test";
import { launch } from "./chromium.mjs";
// node _look.mjs name path [dark] [WxH] [js...]
const jobs = JSON.parse(process.argv[2]);
const browser = await chromium.launch(launch);
for (const j of jobs) {
  const [w,h] = (j.size ?? "1280x800").split("x").map(Number);
  const ctx = await browser.newContext({ viewport: { width: w, height: h }, colorScheme: j.dark ? "dark" : "light" });
  const page = await ctx.newPage();
  page.on("console", m => { if (m.type() === "error") console.log(j.name, "ERR", m.text().slice(0,400)); });
  page.on("pageerror", e => console.log(j.name, "PAGEERR", e.message.slice(0,600)));
  await page.goto("http://127.0.0.1:5071" + j.path);
  await page.waitForLoadState("networkidle");
  for (const s of j.do ?? []) { try {
    if (s.key) await page.keyboard.press(s.key);
    else if (s.click) await page.locator(s.click).first().click({timeout:3000});
    else if (s.text) await page.getByText(s.text, {exact: true}).first().click({timeout:3000});
    else if (s.fill) await page.locator(s.fill[0]).first().fill(s.fill[1]);
    else if (s.wait) await page.waitForTimeout(s.wait);
    await page.waitForTimeout(300);
  } catch (e) { console.log(j.name, "STEP", JSON.stringify(s), e.message.slice(0,300)); } }
  await page.waitForTimeout(400);
  await page.screenshot({ path: `/tmp/shots/${j.name}.png` });
  await ctx.close();
}
await browser.close();
