import { defineConfig } from "@playwright/test";
import { launch } from "./chromium.mjs";

export default defineConfig({
  testDir: ".",
  testMatch: "*.spec.mjs",
  workers: 2,
  fullyParallel: true,
  // A busy machine is slow, not wrong.
  timeout: 180_000,
  expect: { timeout: 20_000 },
  forbidOnly: true,
  use: { actionTimeout: 20_000, viewport: { width: 1280, height: 800 }, launchOptions: launch, colorScheme: "light" },
});
