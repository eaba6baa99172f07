import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("the film bus trips in a common stop, a resistor takes the energy", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.getByRole("button", { name: /film bus$/ }).click();
  const sheet = page.getByRole("dialog", { name: "Common DC bus: film bus" });
  const lab = sheet.getByRole("region", { name: "Laboratory of the bus" });
  await expect(lab.getByRole("figure", { name: "Power on the bus" })).toBeVisible();
  await expect(lab.getByText(/Exchanged on the bus/)).toContainText("kWh an hour");
  await expect(lab.getByRole("table", { name: "Busbar by section" }).getByRole("row", { name: /DP-14/ })).toBeVisible();
  await lab.getByRole("button", { name: "Emergency stop" }).click();
  await expect(lab.getByText(/the members switch off after/)).toBeVisible();
  const stop = sheet
    .getByRole("list", { name: "Checks of the bus" })
    .getByRole("button", { name: /Stop of all members/ });
  await expect(stop).toContainText("kW");
  await sheet.getByLabel("Brake resistor").fill("15");
  await sheet.getByLabel("Brake resistor").press("Enter");
  await sheet.getByLabel("Its continuous power").fill("1");
  await sheet.getByLabel("Its continuous power").press("Enter");
  await expect(stop.getByRole("img", { name: "Holds" })).toBeVisible();
  await expect(lab.getByText(/Burnt/)).toBeVisible();
  await sheet.getByLabel("Common stopping time").fill("0.01");
  await sheet.getByLabel("Common stopping time").press("Enter");
  await expect(sheet.getByRole("alert")).toContainText("0.05");
});

test("the feeder of a supply module is judged, proposed and stands in the schedules", async ({ page, request }) => {
  const id = await importDemo(request);
  await open(page, id);
  await page.getByRole("button", { name: /film bus$/ }).click();
  const sheet = page.getByRole("dialog", { name: "Common DC bus: film bus" });
  const judged = (verdict: RegExp) =>
    sheet
      .getByRole("list", { name: "Checks of the bus" })
      .getByRole("button", { name: /Disconnection, feeder of film bus/ })
      .getByRole("img", { name: verdict });
  await expect(judged(/Holds/)).toBeVisible();
  await sheet.getByText(/^Feeder and protection/).click();
  await sheet.getByLabel("Length", { exact: true }).fill("260 m");
  await sheet.getByLabel("Length", { exact: true }).press("Enter");
  await expect(judged(/Fails/)).toBeVisible();
  await sheet.getByRole("button", { name: "Propose device, feeder and DC fuses" }).click();
  await expect(judged(/Holds|Tight/)).toBeVisible();
  await sheet.getByRole("button", { name: "Close" }).click();
  await page.keyboard.press("Alt+w");
  const row = page.getByRole("row", { name: /film bus W1/ });
  await expect(row).toContainText("260");
  await expect(page.getByRole("row", { name: /DP-14.*1000 V DC/ })).toBeVisible();
});

test("two drive points are joined on a bus by one action, and made single drives again", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-11", "converter").click();
  await cell(page, "DP-13", "converter").click({ modifiers: ["Shift"] });
  await page.getByRole("button", { name: "Common DC bus" }).click();
  await expect(page.getByRole("button", { name: /DC bus 1/ })).toBeVisible();
  await expect(cell(page, "DP-11", "converter")).toContainText("inverter module");
  await page.getByRole("button", { name: /DC bus 1/ }).click();
  const sheet = page.getByRole("dialog", { name: /Common DC bus/ });
  await expect(sheet.getByRole("button", { name: /Supply module/ })).toBeVisible();
  await sheet.getByRole("button", { name: "Make them single drives" }).click();
  await expect(cell(page, "DP-11", "converter")).toContainText("6-pulse");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(cell(page, "DP-11", "converter")).toContainText("inverter module");
});
