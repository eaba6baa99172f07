import { expect, test, type Page } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

async function select(page: Page, from: string, to: string): Promise<void> {
  await cell(page, from, "converter").click();
  await cell(page, to, "converter").click({ modifiers: ["Shift"] });
}

test("a group on one converter is joined, protected and made single drives again", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.getByRole("button", { name: /(Fails|Holds|Tight) exit rollers/ }).click();
  const sheet = page.getByRole("dialog", { name: "Group on one converter: exit rollers" });
  const lab = sheet.getByRole("region", { name: "Laboratory of the group" });
  await expect(lab.getByRole("figure", { name: "Converter current" })).toBeVisible();
  await expect(lab.getByRole("row", { name: /DP-22/ })).toContainText("no relay");
  const protection = sheet.getByRole("button", { name: /Protection of each motor/ });
  await expect(protection.getByRole("img", { name: "Fails" })).toBeVisible();
  await sheet.getByLabel("Overload protection").nth(1).selectOption("overload-relay");
  await expect(protection.getByRole("img", { name: "Holds" })).toBeVisible();
  await expect(lab.getByRole("row", { name: /DP-22/ })).not.toContainText("no relay");
  await sheet.getByLabel("Number of motors").first().fill("40");
  await sheet.getByLabel("Number of motors").first().press("Enter");
  await expect(
    sheet.getByRole("button", { name: /Converter current of the group/ }).getByRole("img", { name: "Fails" }),
  ).toBeVisible();
  await sheet.getByLabel("Number of motors").first().fill("900");
  await sheet.getByLabel("Number of motors").first().press("Enter");
  await expect(sheet.getByRole("alert")).toContainText("1 to 200");
  await sheet.getByRole("button", { name: "Make them single drives" }).click();
  await expect(cell(page, "DP-22", "converter")).toContainText("6-pulse");

  await select(page, "DP-21", "DP-22");
  await page.getByRole("button", { name: "One converter" }).click();
  await expect(cell(page, "DP-22", "converter")).toContainText("of its group");
  await expect(page.getByRole("main").getByRole("button", { name: /Group 1/ })).toBeVisible();
});

test("two motors on one shaft: the fight of speed followers, a lost unit, droop", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.getByRole("button", { name: /(Fails|Holds|Tight) hoist drum/ }).click();
  const sheet = page.getByRole("dialog", { name: "Shared shaft: hoist drum" });
  const lab = sheet.getByRole("region", { name: "Laboratory of the shaft" });
  await expect(lab.getByRole("figure", { name: "Torque of each unit" })).toBeVisible();
  await expect(lab.getByText(/balance off by/)).toContainText("Without DP-07");
  await lab.getByRole("button", { name: "speed followers" }).click();
  await expect(lab.getByText(/Shown as it would be with speed followers/)).toBeVisible();
  await expect(lab.getByText(/Nm circulate/)).toBeVisible();
  await sheet.getByLabel("Shares by").selectOption("speed-follower");
  const method = sheet.getByRole("button", { name: /Way of sharing/ });
  await expect(method.getByRole("img", { name: "Fails" })).toBeVisible();
  await sheet.getByLabel("Shares by").selectOption("droop");
  await expect(method.getByRole("img", { name: "Needs data" })).toBeVisible();
  for (const i of [0, 1]) {
    await sheet.getByLabel("Droop", { exact: true }).nth(i).fill("4");
    await sheet.getByLabel("Droop", { exact: true }).nth(i).press("Enter");
    await expect(sheet.getByLabel("Droop", { exact: true }).nth(i)).toHaveValue("4");
  }
  await expect(method.getByRole("img", { name: "Holds" })).toBeVisible();
  await lab.getByRole("button", { name: "speed droop" }).click();
  await lab.getByRole("button", { name: "none" }).click();
  await expect(lab.getByText(/balance off by/)).not.toContainText("Without");
});

test("one drive point becomes two motors on one shaft, each with half of the load", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-04", "load").click();
  await page.getByRole("button", { name: "Two motors" }).click();
  await expect(page.getByRole("button", { name: /Shaft 1/ })).toBeVisible();
  await expect(cell(page, "DP-04", "load")).toContainText("26 000 kg·m²");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: /Shaft 1/ })).toHaveCount(0);
});

test("the glaze follows the line: setting, resolution, limits", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.getByRole("button", { name: /(Fails|Holds|Tight) glaze dosing/ }).click();
  const sheet = page.getByRole("dialog", { name: "Ratio follower: glaze dosing" });
  await expect(sheet.getByRole("status", { name: "Setting" })).toHaveText("1658");
  const setting = sheet.getByRole("button", { name: /Setting of the ratio/ });
  await expect(setting.getByRole("img", { name: "Fails" })).toBeVisible();
  await sheet.getByLabel("Pulses per revolution").first().fill("1024");
  await sheet.getByLabel("Pulses per revolution").first().press("Enter");
  await expect(sheet.getByRole("status", { name: "Setting" })).toHaveText("0052");
  await sheet.getByLabel("Pulses per revolution").nth(1).fill("1024");
  await sheet.getByLabel("Pulses per revolution").nth(1).press("Enter");
  await expect(sheet.getByRole("status", { name: "Setting" })).toHaveText("0884");
  await sheet.getByLabel(/Wanted/).fill("1.2");
  await sheet.getByLabel(/Wanted/).press("Enter");
  await expect(sheet.getByRole("table", { name: "What follows from the setting" })).toContainText("beyond its limits");
  await expect(sheet.getByText(/more than the input counts/)).toBeVisible();
});

test("a holding brake that closes too early, its faults, and a new one on another axis", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-05", "motor").click();
  await page.getByRole("tab", { name: "Entries" }).click();
  await page.getByRole("button", { name: "Holding brake and its sequence" }).click();
  const sheet = page.getByRole("dialog", { name: /Holding brake: DP-05/ });
  const lab = sheet.getByRole("region", { name: "Laboratory of the brake" });
  await expect(lab.getByRole("figure", { name: "Torque" })).toBeVisible();
  const sequence = sheet.getByRole("button", { name: /Brake sequence/ });
  await expect(sequence.getByRole("img", { name: "Fails" })).toBeVisible();
  await sheet.getByLabel("Closing delay, at most").fill("");
  await sheet.getByLabel("Closing delay, at most").press("Enter");
  await expect(sequence.getByRole("img", { name: "Holds" })).toBeVisible();
  const outcome = lab.getByRole("list", { name: "Outcome" });
  await lab.getByRole("button", { name: "released before torque" }).click();
  await expect(outcome).toContainText("rolls back");
  await lab.getByRole("button", { name: "does not close" }).click();
  await expect(outcome).toContainText("must not be switched off");
  await sheet.getByLabel("Position feedback").click();
  await expect(sequence.getByRole("img", { name: "Needs data" })).toBeVisible();
  await sheet.getByLabel("Speed delay after release").fill("150");
  await sheet.getByLabel("Speed delay after release").press("Enter");
  await sheet.getByLabel("Torque hold after closing").fill("200");
  await sheet.getByLabel("Torque hold after closing").press("Enter");
  await expect(outcome).toContainText("does not stand");
  await sheet.getByRole("button", { name: "Close", exact: true }).click();

  await cell(page, "DP-16", "motor").click();
  await page.getByRole("button", { name: "Add a holding brake" }).click();
  const other = page.getByRole("dialog", { name: /Holding brake: DP-16/ });
  await expect(other.getByText(/holding torque of the brake/)).toBeVisible();
  await other.getByRole("button", { name: "Take the brake off" }).click();
  await expect(page.getByRole("button", { name: "Add a holding brake" })).toBeVisible();
});

test("two ways to build a lineup are compared; one is adopted with a reason", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.getByRole("button", { name: "Ways to build L2" }).click();
  const sheet = page.getByRole("dialog", { name: /Ways to build L2/ });
  const table = sheet.getByRole("table", { name: "Ways side by side" });
  await expect(table.getByRole("row", { name: /Incoming cables/ })).toContainText("6");
  await expect(sheet.getByRole("region", { name: "Recommendation" })).toContainText("film as single drives");
  const adopt = table.getByRole("button", { name: "Adopt film as single drives" });
  await expect(adopt).toBeDisabled();
  await table.getByRole("button", { name: "Put on the board" }).click();
  await expect(table.getByRole("columnheader", { name: /film as single drives on the board/ })).toBeVisible();
  await expect(table.getByRole("button", { name: "Adopt film on a common bus" })).toBeDisabled();
  await sheet.getByLabel("Your reason").fill("the bus pays within four years");
  await table.getByRole("button", { name: "Adopt film on a common bus" }).click();
  await expect(sheet.getByText("the bus pays within four years")).toBeVisible();
  await expect(table.getByRole("columnheader")).toHaveCount(2);
  await sheet.getByLabel(/aside as/).fill("as adopted");
  await sheet.getByRole("button", { name: "Set aside" }).click();
  await expect(table.getByRole("columnheader", { name: /as adopted/ })).toBeVisible();
});

test("a common bus is scored against single drives by one action", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.getByRole("button", { name: /(Fails|Holds|Tight) servo link/ }).click();
  const bus = page.getByRole("dialog", { name: "Common DC bus: servo link" });
  const supply = bus.getByRole("button", { name: /24 V supply/ });
  await expect(supply.getByRole("img", { name: "Fails" })).toBeVisible();
  await bus.getByLabel("24 V supply, rated current").fill("10");
  await bus.getByLabel("24 V supply, rated current").press("Enter");
  await expect(supply.getByRole("img", { name: "Holds" })).toBeVisible();
  await bus.getByRole("button", { name: "Compare with single drives" }).click();
  const sheet = page.getByRole("dialog", { name: /Ways to build L3/ });
  await expect(sheet.getByRole("columnheader", { name: /single drives for servo link/ })).toBeVisible();
  await expect(sheet.getByRole("region", { name: "Recommendation" })).toContainText("incoming cables");
});
