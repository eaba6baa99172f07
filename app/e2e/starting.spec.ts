import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("the ball mill sticks on its soft starter, the laboratory shows why, a higher limit cures it", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-04", "converter").click();
  const bench = page.locator("#bench");
  await page.getByRole("tab", { name: "Time" }).click();
  const chosen = bench.getByRole("row", { name: /soft starter/ });
  await expect(chosen).toContainText("sticks, 0 rpm");
  await expect(bench.getByRole("row", { name: /across the line/ })).toContainText(" s");
  await expect(bench.getByRole("figure", { name: "Voltage at the bus" })).toBeVisible();
  await bench.getByRole("button", { name: /Start reaches speed/ }).click();
  await expect(page.getByRole("dialog")).toContainText("torque and load meet there");
  await page.keyboard.press("Escape");

  await page.getByRole("tab", { name: "Entries" }).click();
  await page.getByLabel("Current limit").fill("1200");
  await page.getByLabel("Current limit").press("Enter");
  await expect(bench.getByRole("alert")).toContainText("100 to 1000");
  await page.getByLabel("Current limit").fill("600");
  await page.getByLabel("Current limit").press("Enter");
  await page.getByRole("tab", { name: "Time" }).click();
  await expect(chosen).not.toContainText("sticks");
  await expect(bench.getByRole("button", { name: /Start reaches speed/ })).not.toContainText("Fails");
});

test("a fan is put on star-delta and back on a converter, its checks follow", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "converter").click();
  await page.getByRole("tab", { name: "Entries" }).click();
  await page.getByLabel("Fed by").selectOption("star-delta");
  await expect(cell(page, "DP-02", "converter")).toContainText("5.00 s in star");
  const checks = page.getByRole("region", { name: "Checks of this cell" });
  await expect(checks.getByRole("button", { name: /Start reaches speed/ })).toContainText("Holds");
  await page.getByLabel("Time in star").fill("12");
  await page.getByLabel("Time in star").press("Enter");
  await expect(cell(page, "DP-02", "converter")).toContainText("12.0 s in star");
  await page.getByLabel("Fed by").selectOption("soft-starter");
  await page.getByLabel("Preset", { exact: true }).selectOption("fan");
  await expect(page.getByLabel("Current limit")).toHaveValue("400");
  await page.getByLabel("Name of the preset").fill("exhaust fans");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByRole("list", { name: "Presets of this project" })).toContainText("exhaust fans");
  await expect(page.getByLabel("Preset", { exact: true }).getByRole("option", { name: "exhaust fans" })).toBeAttached();
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(cell(page, "DP-02", "converter")).toContainText("6-pulse, no choke");
});

test("alternatives stand side by side with payback, break-even and where the ranking turns", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-01", "converter").click();
  await page.getByRole("tab", { name: "Cost" }).click();
  await page.getByRole("button", { name: "Compare all …" }).click();
  const sheet = page.getByRole("dialog", { name: "Alternatives at equal delivered work" });
  await expect(sheet.getByRole("row", { name: /As today: outlet damper/ })).toContainText("reference");
  await expect(sheet.getByRole("row", { name: /bypassed at full flow/ }).first()).toBeVisible();
  await expect(sheet.getByRole("columnheader", { name: "η 25 %" })).toBeVisible();
  await expect(sheet.getByRole("region", { name: "Sensitivity" }).getByRole("row")).toHaveCount(4);
});
