import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  html: { cspNonce: "__NONCE__" },
  build: { target: "es2023", assetsInlineLimit: 0, reportCompressedSize: false },
  server: { proxy: { "/api": "http://127.0.0.1:5080" } },
  test: {
    environment: "jsdom",
    setupFiles: "src/test/setup.ts",
    include: ["src/**/*.test.ts", "src/**/*.test.tsx"],
    // One browser stand-in for many files: making it anew took three quarters of the time.
    isolate: false,
    pool: "threads",
    testTimeout: 60_000,
  },
});
