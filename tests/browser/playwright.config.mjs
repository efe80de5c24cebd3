import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { defineConfig } from "@playwright/test";
import { launch } from "./chromium.mjs";

// The workers read this file too, so what is chosen once is kept in the environment.
process.env.WHOLEFOLD_PORT ??= String(20_000 + (process.pid % 20_000));
const port = Number(process.env.WHOLEFOLD_PORT);
const data = process.env.WHOLEFOLD_DATA ?? mkdtempSync(join(tmpdir(), "wholefold-browser-"));
process.env.WHOLEFOLD_DATA = data;

export default defineConfig({
  testDir: ".",
  testMatch: "*.spec.mjs",
  workers: 1,
  timeout: 60_000,
  forbidOnly: true,
  use: { actionTimeout: 10_000, baseURL: `http://127.0.0.1:${port}`, viewport: { width: 1280, height: 800 }, launchOptions: launch, colorScheme: "light" },
  webServer: {
    command: `dotnet ../../.build/app/wholefold.dll demo --no-open --port ${port} --data ${data}`,
    url: `http://127.0.0.1:${port}/api/designs`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
