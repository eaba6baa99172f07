import { defineConfig } from "@playwright/test";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

// Workers read this file again: what must be the same for all of them is kept in the environment.
const port = (process.env["CUADRILLA_E2E_PORT"] ??= String(20_000 + Math.floor(Math.random() * 20_000)));
const data = (process.env["CUADRILLA_E2E_DATA"] ??= mkdtempSync(join(tmpdir(), "cuadrilla-e2e-")));

/** Settings that tests, benchmarks and screenshots share. */
export const shared = {
  timeout: 60_000,
  workers: 1,
  reporter: "list" as const,
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: "/usr/bin/chromium-headless-shell",
      // Most who use it have scrollbars that take room.
      ignoreDefaultArgs: ["--hide-scrollbars"],
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
  webServer: {
    command: `dotnet ../.build/web/Cuadrilla.Web.dll --data ${data} --app ../.build/app --demo true --urls http://127.0.0.1:${port}`,
    url: `http://127.0.0.1:${port}/api/health`,
    timeout: 30_000,
    gracefulShutdown: { signal: "SIGTERM" as const, timeout: 5_000 },
  },
};

// What is waited for is the work of the server too, on a machine that may have others to serve.
export default defineConfig({
  ...shared,
  timeout: 180_000,
  // Each walk makes its own plant, so that two can go at a time: a slower server shows what quick hands run into.
  workers: Number(process.env["CUADRILLA_E2E_WORKERS"] ?? 2),
  expect: { timeout: 20_000 },
  testDir: "e2e",
  testMatch: "*.spec.ts",
});
