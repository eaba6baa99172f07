import { defineConfig } from "vitest/config";

// Only what renders needs a page.
export default defineConfig({
  test: {
    pool: "threads",
    projects: [
      { test: { name: "logic", environment: "node", include: ["src/**/*.test.ts"] } },
      { test: { name: "rendered", environment: "jsdom", include: ["src/**/*.test.tsx"] } },
    ],
  },
});
