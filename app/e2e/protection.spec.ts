import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("a longer feeder asks for a larger section: proposal, schedule and ledger move", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-11", "supply").click();
  const bench = page.locator("#bench");
  await page.getByRole("tab", { name: "Entries" }).click();
  await bench.getByLabel("Length").fill("900");
  await bench.getByLabel("Length").press("Enter");
  const disconnection = bench.getByRole("button", { name: /Disconnection, feeder/ });
  await expect(disconnection).toContainText("Fails");
  await disconnection.click();
  await expect(page.getByRole("dialog")).toContainText("disconnection governs");
  await page.keyboard.press("Escape");

  await page.keyboard.press("Alt+w");
  await page.getByLabel("Filter the schedules").fill("DP-11-W1");
  const row = page.getByRole("table", { name: "Cable schedule" }).getByRole("row", { name: /DP-11-W1/ });
  await expect(row).toContainText("900 m");
  await expect(row).toContainText(/\d+ mm² · disconnection/);
  await page.getByRole("button", { name: "DP-11-W1" }).click();
  await page.getByRole("tab", { name: "Entries" }).click();
  await bench.getByRole("button", { name: "Propose device and sections" }).click();
  await expect(disconnection).not.toContainText("Fails");
  await expect(bench.getByLabel("Cross-section")).not.toHaveValue("10");
});

test("a fuse too small is refused with its reason, and drawn with start and relay", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-04", "supply").click();
  const bench = page.locator("#bench");
  await page.getByRole("tab", { name: "Entries" }).click();
  await bench.getByLabel("Rated current").fill("100");
  await bench.getByLabel("Rated current").press("Enter");
  const device = bench.getByRole("button", { name: /Protective device/ });
  await expect(device).toContainText("Fails");
  await device.click();
  await expect(page.getByRole("dialog")).toContainText("fuses gG 100 A");
  await page.keyboard.press("Escape");

  await page.getByRole("tab", { name: "Power" }).click();
  const picture = bench.getByRole("figure", { name: "Current and time" });
  await expect(picture).toContainText("fuses gG 100 A: surely clears");
  await expect(picture).toContainText("relay class 30: slowest, warm");
  await expect(bench).toContainText("the rotor burns before the relay trips");
});

test("how cables are laid is said once for the plant, and otherwise at a cable", async ({ page, request }) => {
  await open(page, await importDemo(request), "/plant");
  await page.getByLabel("Cables of this plant").selectOption("plant");
  await page.keyboard.press("Alt+5");
  await cell(page, "DP-02", "cable").click();
  const checks = page.getByRole("region", { name: "Checks of this cell" });
  await expect(checks.getByRole("button", { name: /Current-carrying capacity/ })).toContainText("Needs data");
  await page.getByRole("tab", { name: "Entries" }).click();
  await page.locator("#bench").getByLabel("Laid").selectOption("own");
  await expect(checks.getByRole("button", { name: /Current-carrying capacity/ })).toContainText("Holds");
});
