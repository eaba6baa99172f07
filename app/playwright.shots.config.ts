import { defineConfig } from "@playwright/test";
import { shared } from "./playwright.config";

export default defineConfig({ ...shared, testDir: "e2e", testMatch: "*.shots.ts", timeout: 180_000 });
