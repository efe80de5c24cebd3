import { cleanup } from "@testing-library/react";
import { afterEach, vi } from "vitest";

// jsdom has neither media queries nor sizes; Mantine asks for both.
vi.stubGlobal("matchMedia", (query: string) => ({
  matches: false,
  media: query,
  addListener() {},
  removeListener() {},
  addEventListener() {},
  removeEventListener() {},
}));
vi.stubGlobal(
  "ResizeObserver",
  class {
    observe() {}
    unobserve() {}
    disconnect() {}
  },
);
// Nor does it load fonts.
Object.defineProperty(document, "fonts", { configurable: true, value: { addEventListener() {}, removeEventListener() {} } });
afterEach(cleanup);
