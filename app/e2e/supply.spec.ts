import { expect, test } from "@playwright/test";
import { importDemo, open } from "./plant";

test("scenarios are edited like a sheet: typed, filled, copied, refused, undone", async ({
  page,
  request,
  context,
}) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await open(page, await importDemo(request), "/plant");
  const at = (name: string) => page.getByRole("gridcell", { name: new RegExp(`^${name}:`) });
  await at("DP-01, full production").click();
  await page.keyboard.type("75");
  await page.keyboard.press("Enter");
  await expect(at("DP-01, full production")).toHaveText("75 %");
  await expect(at("DP-02, full production")).toBeFocused();

  // Fill the first cell down over three more.
  await page.keyboard.press("ArrowUp");
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press("Shift+ArrowDown");
  }
  await page.keyboard.press("Control+d");
  await expect(at("DP-04, full production")).toHaveText("75 %");

  // Copy the block beside it.
  await page.keyboard.press("Control+c");
  await at("DP-01, emergency stop of the glazing line").click();
  await page.keyboard.press("Control+v");
  await expect(at("DP-03, emergency stop of the glazing line")).toHaveText("75 %");

  // A text that can't stand there is named; the cell keeps what it had until it is mended or given up.
  await at("coupler A–B, night, kiln only").click();
  await page.keyboard.type("half");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("coupler A–B in night, kiln only: “half” can’t stand there");
  await page.keyboard.press("Escape");
  await expect(at("coupler A–B, night, kiln only")).toHaveText("open");

  // Joining buses of different vector group is a short circuit: refused by the server, by name.
  await page.keyboard.type("closed");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("clock number");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(at("DP-03, emergency stop of the glazing line")).toHaveText("on");
});

test("a bus, its cable and a motor on the line are added, judged and taken away again", async ({ page, request }) => {
  await open(page, await importDemo(request), "/plant");
  await page.getByRole("button", { name: "Add bus" }).click();
  await page.getByLabel("Name of bus 1").fill("pump house");
  await page.getByLabel("Name of bus 1").press("Enter");
  await page.getByRole("button", { name: "Add cable" }).click();
  await page.getByLabel("First end of cable 1").selectOption({ label: "400 V bus B" });
  await page.getByLabel("Other end of cable 1").selectOption({ label: "pump house" });
  await page.getByLabel("Normally closed of cable 1").click();
  await expect(page.getByText("length and cross-section of cable 1").first()).toBeVisible();
  for (const [name, value] of [
    ["Length of cable 1", "220"],
    ["Cross-section of cable 1", "95 mm2"],
  ] as const) {
    await page.getByLabel(name).fill(value);
    await page.getByLabel(name).press("Enter");
  }
  const diagram = page.getByRole("region", { name: "Single-line diagram" }).first();
  await expect(diagram.getByRole("button", { name: /Bus, pump house/ })).toBeVisible();
  await page.getByRole("button", { name: "Add motor on the line" }).click();
  await page.getByLabel("Rated power of load 1").fill("75");
  await page.getByLabel("Rated power of load 1").press("Enter");
  const checks = page.getByRole("region", { name: "Checks of the plant" });
  await checks.getByRole("button", { name: /Dip when load 1 starts/ }).click();
  const reason = page.getByRole("dialog");
  await expect(reason).toContainText("shortcut S_start/S_sc");
  await expect(reason).toContainText("load 1");
  await page.keyboard.press("Escape");

  await page.getByRole("button", { name: "Remove pump house" }).click();
  await expect(page.getByRole("alert")).toContainText("pump house stays: cable 1, load 1 hang on it.");
  await page.getByRole("button", { name: "Remove load 1" }).click();
  await page.getByRole("button", { name: "Remove cable 1" }).click();
  await expect(page.getByLabel("Length of cable 1")).toHaveCount(0);
  await page.getByRole("button", { name: "Remove pump house" }).click();
  await expect(page.getByLabel("Name of pump house")).toHaveCount(0);
});

test("a lineup is added, named, hung from another bus and removed", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.getByRole("button", { name: "Add lineup" }).click();
  await page.getByRole("button", { name: "Edit lineup L3" }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByLabel("Name").fill("Deep well");
  await sheet.getByLabel("Name").press("Enter");
  await sheet.getByLabel("Hangs from").selectOption({ label: "workshop board, 400 V" });
  await page.keyboard.press("Escape");
  const lineup = page.getByRole("region", { name: "Lineup L3 Deep well" });
  await expect(lineup).toContainText("workshop board · 12.0 kA");
  await lineup.getByRole("button", { name: "Edit lineup L3" }).click();
  await sheet.getByRole("button", { name: "Remove lineup" }).click();
  await expect(lineup).toHaveCount(0);
});
