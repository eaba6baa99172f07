import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("without its transformer the deep-well pump loses volts on the way, a thicker cable gives them back", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request), "/supplies?job=long-cable&point=dp-06");
  await page.getByRole("button", { name: "No transformer" }).click();
  await page.keyboard.press("Alt+4");
  await cell(page, "DP-06", "converter").click();
  const bench = page.locator("#bench");
  await page.getByRole("tab", { name: "Entries" }).click();
  await page.getByLabel("Output filter").selectOption("dv-dt");
  await page.getByRole("tab", { name: "Fit" }).click();
  await expect(bench.getByRole("row", { name: /air at converter/ })).toContainText("1.5 %/K above 40 °C");
  await expect(bench.getByRole("row", { name: /motor cable/ })).toBeVisible();
  const check = page
    .getByRole("region", { name: "Checks of this cell" })
    .getByRole("button", { name: /Voltage at the motor/ });
  await expect(check).toContainText("Fails");
  await cell(page, "DP-06", "cable").click();
  await page.getByRole("tab", { name: "Entries" }).click();
  await page.getByLabel("Cross-section").fill("95");
  await page.getByLabel("Cross-section").press("Enter");
  await cell(page, "DP-06", "converter").click();
  await expect(check).not.toContainText("Fails");

  // A sine filter asks for a switching frequency that it was made for.
  await page.getByRole("tab", { name: "Entries" }).click();
  await page.getByLabel("Output filter").selectOption("sine");
  await page.getByLabel("Switching frequency").fill("2");
  await page.getByLabel("Switching frequency").press("Enter");
  await expect(check).toContainText("filter");
});

test("the hoist gives its energy back through another front end", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-05", "converter").click();
  const bench = page.locator("#bench");
  await page.getByRole("tab", { name: "Entries" }).click();
  await page.getByLabel("Brakes", { exact: true }).selectOption("to-line");
  const checks = page.getByRole("region", { name: "Checks of this cell" });
  await expect(checks.getByRole("button", { name: /Braking energy/ })).toContainText("Fails");
  await expect(bench.getByText("This front end lets power pass one way only.")).toBeVisible();
  await page.getByRole("tab", { name: "Candidates" }).click();
  await bench.getByRole("button", { name: /Show all/ }).click();
  await bench.getByRole("button", { name: /active front end, 45 kW/ }).click();
  const choose = bench.getByRole("button", { name: "Choose it" });
  if (await choose.isVisible()) {
    await choose.click();
  }
  await expect(cell(page, "DP-05", "converter")).toContainText("active front end");
  await expect(checks.getByRole("button", { name: /Braking energy/ })).not.toContainText("Fails");
  await page.getByRole("tab", { name: "Power" }).click();
  await expect(bench.getByText("catalogue data")).toBeVisible();
});

test("every way of stopping stands on one time axis with the voltage of the link", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-01", "converter").click();
  await page.getByRole("tab", { name: "Time" }).click();
  const stopping = page.getByRole("region", { name: "Stopping" });
  await expect(stopping.getByRole("row", { name: /losses only/ })).toContainText(" s");
  await expect(stopping.getByRole("row", { name: /back to the line/ })).toContainText("one way only");
  await expect(stopping.getByRole("figure", { name: "Link voltage" })).toBeVisible();
  await stopping.getByRole("figure", { name: "Link voltage" }).getByText("Table").click();
  await expect(stopping.getByRole("region", { name: "Link voltage: table" })).toBeVisible();
});

test("one way of driving for the whole plant, or for a lineup", async ({ page, request }) => {
  await open(page, await importDemo(request), "/energy");
  const section = page.getByRole("region", { name: "Alternatives", exact: true });
  await expect(section.getByRole("row", { name: /^\d+\. as specified/ })).toBeVisible();
  await expect(section.getByRole("row", { name: /^\d+\. as today/ })).toContainText("reference");
  await expect(section.getByRole("row", { name: /^\d+\. eighteen-pulse/ })).toBeVisible();
  await section.getByLabel("For").selectOption("L2 Glazing and packing");
  await expect(section.getByText(/7 complete drive points/)).toBeVisible();
});

test("a catalogue of the engineer's own is imported, kept with its version, and chosen from", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "converter").click();
  await page.getByRole("tab", { name: "Candidates" }).click();
  await page.getByRole("button", { name: "Own converters …" }).click();
  const sheet = page.getByRole("dialog", { name: "Own converters" });
  await sheet.getByRole("button", { name: /From a list/ }).click();
  await sheet.getByLabel("List of converters").setInputFiles({
    name: "house.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(
      "Unit;kW;Voltage;Light duty A;Heavy duty A;DC choke %;Width mm\nH-45;45;400;89;72;4;230\nH-55;55;400;108;88;4;250\n",
    ),
  });
  await expect(sheet.getByLabel("Current, heavy overload, A")).toHaveValue("4");
  await sheet.getByRole("button", { name: "Take 2 converters" }).click();
  await expect(sheet.getByRole("alert")).toContainText("which catalogue");
  await sheet.getByLabel("Catalogue").fill("House list");
  await sheet.getByLabel("Version").fill("2026-10");
  await sheet.getByRole("button", { name: "Take 2 converters" }).click();
  await expect(sheet.getByRole("row", { name: /H-55/ })).toContainText("House list, 2026-10");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /Show all/ }).click();
  await page.getByRole("button", { name: /H-55/ }).click();
  await page.getByLabel(/Why this one/).fill("house standard");
  await page.getByRole("button", { name: "Choose it" }).click();
  await expect(cell(page, "DP-02", "converter")).toContainText("H-55");
  await page.getByRole("tab", { name: "Entries" }).click();
  await expect(page.locator("#bench").getByText(/House list, 2026-10; from the generic series/)).toBeVisible();
});

test("the least brake resistor and a standard transformer are proposed from the catalogue", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-07", "converter").click();
  await page.keyboard.press("Enter");
  await page.getByRole("tab", { name: "Entries" }).click();
  await page.getByRole("button", { name: "Propose a resistor" }).click();
  await expect(page.getByLabel("Resistance", { exact: true })).toHaveValue("47");
  await page.getByLabel("Of the catalogue").selectOption({ label: "3 kW, 47 Ω" });
  await expect(page.getByLabel("Continuous power")).toHaveValue("3");

  await page.keyboard.press("Alt+1");
  await page.getByLabel("Standard size of transformer 1").selectOption({ label: "630 kVA, 4 %" });
  await expect(page.getByRole("region", { name: "Transformers, scrolls sideways" })).toContainText("241 %");
  await page.getByLabel("Standard size of transformer 1").selectOption("eu");
  await expect(page.getByText(/transformer 1: \d+ kVA, .*loaded to/)).toBeVisible();
});
