import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

const list = [
  "Tag No.,Service,MCC,Type,Motor HP,Brake hp,Poles,Cable length (ft),Wire size,Starter,Hours/y",
  "P-101,Process pump,MCC-1,pump,15,12.4,4,300,8 AWG,VFD,4000",
  "F-102,Tower fan,MCC-1,fan,20,17,4,150,8 AWG,VFD,6000",
  "P-103,Return pump,MCC-2,pump,10,8,4,220,10 AWG,FVNR,4000",
  "P-104,Bad row,MCC-2,pump,many,,4,100,12 AWG,VFD,4000",
].join("\n");

test("a plant begins in US units with a drive list; the list is written, filled down, undone", async ({ page }) => {
  await page.goto("/");
  await page.getByLabel("Name of the plant").fill("Mesa Fork Works");
  await page.getByLabel("Supply to start from").selectOption("480-60");
  await page.getByRole("button", { name: "Begin with a drive list" }).click();
  const sheet = page.getByRole("dialog", { name: "Import a drive list" });
  await sheet
    .getByLabel("Drive list")
    .setInputFiles({ name: "drives.csv", mimeType: "text/csv", buffer: Buffer.from(list) });
  await expect(sheet.getByText("“many” is no number with a unit such as kW")).toBeVisible();
  await expect(sheet.getByLabel("Motor, rated power")).toHaveValue("4");
  await sheet.getByRole("button", { name: "Take the 3 good rows" }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByText("3 drive points")).toBeVisible();
  const grid = page.getByRole("grid", { name: "Drive list" });
  await expect(grid.getByRole("gridcell", { name: "P-101, Motor: prem. cage 15 hp, 4-pole" })).toBeVisible();
  await expect(grid.getByRole("gridcell", { name: "P-103, Converter: across the line" })).toBeVisible();

  // Type into the first length, fill it down the column, take it back as one step.
  const length = (tag: string, text: string) =>
    grid.getByRole("gridcell", { name: `${tag}, Motor cable, length: ${text}` });
  await length("P-101", "300").click();
  await page.keyboard.type("400");
  await page.keyboard.press("Enter");
  await expect(length("P-101", "400")).toBeVisible();
  await length("P-101", "400").click();
  await page.keyboard.press("Shift+ArrowDown");
  await page.keyboard.press("Shift+ArrowDown");
  await page.keyboard.press("Control+d");
  await expect(length("P-103", "400")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(length("P-103", "220")).toBeVisible();
  await expect(length("P-101", "400")).toBeVisible();

  // A bare number is no wire size, a gauge is.
  await grid.getByRole("gridcell", { name: "P-101, Motor cable, cross-section: 8 AWG" }).click();
  await page.keyboard.type("6");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("6 of what?");
  await page.keyboard.type(" AWG");
  await page.keyboard.press("Enter");
  await expect(grid.getByRole("gridcell", { name: "P-101, Motor cable, cross-section: 6 AWG" })).toBeVisible();

  // Filter, sort, group.
  await page.getByLabel("Filter the drive list").fill("pump -return");
  await expect(page.getByText("1 of 3 drive points")).toBeVisible();
  await page.getByLabel("Filter the drive list").fill("");
  await page.getByLabel("Group by").selectOption("lineup");
  await expect(grid.getByRole("rowheader", { name: /^MCC-2/ }).or(grid.getByText("MCC-2 MCC-2"))).toBeVisible();
  await page.getByRole("button", { name: "Sort by Shaft power" }).click();

  // The same list with a change: only that is named.
  await page.getByRole("button", { name: "Import a list" }).click();
  await sheet.getByLabel("Drive list").setInputFiles({
    name: "drives.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(list.replace("F-102,Tower fan", "F-102,Tower fan east")),
  });
  await expect(sheet.getByText("name: Tower fan → Tower fan east")).toBeVisible();
  await sheet.getByRole("button", { name: /Take the \d good row/ }).click();
  await expect(sheet).toBeHidden();
  await page.keyboard.press("Alt+2");
  await expect(cell(page, "F-102", "load")).toHaveAccessibleName(/fan, 17/);
});

test("a plant is read and written in US units, and comes back to SI unchanged", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.keyboard.press("Alt+1");
  await expect(page.getByLabel("Highest ambient temperature")).toHaveValue("38");
  await page.getByLabel("Units", { exact: true }).selectOption("us-customary");
  await expect(page.getByText("Installation code: NFPA 70.")).toBeVisible();
  await expect(page.getByLabel("Highest ambient temperature")).toHaveValue("100.4");
  await page.getByLabel("Altitude").fill("700 m");
  await page.getByLabel("Altitude").press("Enter");
  await expect(page.getByLabel("Altitude")).toHaveValue("2296.588");
  await page.keyboard.press("Alt+2");
  await expect(cell(page, "DP-01", "load")).toHaveAccessibleName(/fan, 86 874 cfm/u);
  await page.keyboard.press("Alt+1");
  await page.getByLabel("Units", { exact: true }).selectOption("si");
  await expect(page.getByLabel("Altitude")).toHaveValue("700");
});

test("a pump takes its static head in metres and its maker's curve", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.keyboard.press("2");
  await cell(page, "DP-03", "load").click();
  await page.getByRole("tab", { name: "Entries" }).click();
  await page.getByLabel("Static head", { exact: true }).fill("9");
  await page.getByLabel("Static head", { exact: true }).press("Enter");
  await expect(page.getByLabel("Static head share")).toBeHidden();
  await page.getByRole("button", { name: "Maker’s curve" }).click();
  const curve = page.getByRole("region", { name: "Curve of the pump" });
  await expect(curve.getByLabel("Head of point 3")).toHaveValue("20");
  await curve.getByLabel("Head of point 2").fill("60");
  await curve.getByLabel("Head of point 2").press("Enter");
  await expect(curve.getByRole("alert")).toContainText("the head falls with the flow");
});
