import { chromium, expect, test } from "@playwright/test";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { importDemo } from "./plant";
import { shared } from "../playwright.config";

const launch = shared.use.launchOptions;

test("a name that is made to lead to this machine reads nothing", async ({ request, baseURL }) => {
  await importDemo(request);
  const port = new URL(baseURL ?? "").port;
  // As after a rebinding: the browser believes that the page and the server are one site.
  const browser = await chromium.launch({
    ...launch,
    args: [...launch.args, "--host-resolver-rules=MAP rebound.test 127.0.0.1"],
  });
  try {
    const page = await browser.newPage();
    const answer = await page.goto(`http://rebound.test:${port}/`);
    expect(answer?.status()).toBe(421);
    const seen = await page.evaluate(async () => {
      const read = await fetch("/api/projects");
      const write = await fetch("/api/projects", {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ name: "theirs", who: "them" }),
      });
      return [read.status, write.status, await read.text()];
    });
    expect(seen.slice(0, 2)).toEqual([421, 421]);
    expect(seen[2]).not.toContain("Azulejos");
  } finally {
    await browser.close();
  }
});

test("a page of another site neither reads nor writes", async ({ page, request, baseURL }) => {
  await importDemo(request);
  const site = createServer((_, answer) => {
    answer.setHeader("Content-Type", "text/html").end("<!doctype html><title>elsewhere</title><form></form>");
  });
  await new Promise<void>((listening) => site.listen(0, "127.0.0.1", listening));
  try {
    await page.goto(`http://127.0.0.1:${(site.address() as AddressInfo).port}/`);
    const tried = await page.evaluate(async (target) => {
      const outcomes: string[] = [];
      const body = JSON.stringify({ name: "theirs", who: "them" });
      for (const [mode, type] of [
        ["cors", "application/json"],
        ["no-cors", "text/plain"],
        ["cors", "text/plain"],
      ] as const) {
        await fetch(`${target}/api/projects`, { method: "POST", mode, headers: { "Content-Type": type }, body }).then(
          (a) => outcomes.push(`${a.type} ${a.status}`),
          () => outcomes.push("refused"),
        );
      }
      await fetch(`${target}/api/projects`).then(
        (a) => outcomes.push(`${a.type} ${a.status}`),
        () => outcomes.push("refused"),
      );
      return outcomes;
    }, baseURL ?? "");
    expect(tried.filter((t) => t !== "refused" && !t.startsWith("opaque"))).toEqual([]);

    // A form needs no permission to be sent: its answer shows that it was refused.
    await page.evaluate((target) => {
      const form = document.forms[0];
      if (form) {
        form.method = "post";
        form.action = `${target}/api/projects`;
        form.submit();
      }
    }, baseURL ?? "");
    await expect(page.getByText("another site")).toBeVisible();
  } finally {
    site.close();
  }
  expect(await (await request.get("/api/projects")).text()).not.toContain("theirs");
});
