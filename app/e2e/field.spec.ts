import { expect, test } from "@playwright/test";
import { cell, importDemo, importPlant, madePlant, open } from "./plant";

test("the field shows the whole plant, is walked by keys and leads to the cell", async ({ page, request }) => {
  await open(page, await importPlant(request, madePlant(60)));
  await page.keyboard.press("0");
  await expect(page.getByRole("heading", { name: "The field" })).toBeVisible();
  await expect(page.getByText("60 drive points; top to bottom")).toBeVisible();
  await expect(page.locator("#field-dp-01")).toBeFocused();
  await page.keyboard.press("ArrowRight");
  await expect(page.locator("#field-dp-02")).toBeFocused();
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("ArrowDown");
  await expect(page.locator("#field-dp-02")).toHaveAccessibleName(/^DP-02 .*: motor, /);
  await page.keyboard.press("+");
  await expect(page.locator("#field-dp-02")).toContainText("DP-02");
  await page.getByRole("button", { name: /fails$/ }).click();
  await page.locator("#field-dp-02").focus();
  await page.keyboard.press("Enter");
  await expect(cell(page, "DP-02", "motor")).toBeFocused();
});

test("another window's edit appears by itself, with who and what", async ({ page, request, context }) => {
  const id = await importDemo(request);
  await open(page, id);
  const other = await context.newPage();
  await open(other, id);
  await other.getByRole("button", { name: "Add lineup" }).click();
  await expect(other.getByText("Edit 2 saved")).toBeVisible();
  await expect(page.getByRole("alert")).toContainText(/engineer, in another window: /);
  await expect(page.getByText("Edit 2 saved")).toBeVisible();
  await expect(other.getByRole("alert")).toBeHidden();
  await page.keyboard.press("Control+z");
  await expect(other.getByText("Edit 3 saved")).toBeVisible();
});

test("columns are picked one by one, moved to another lineup, and copies count", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-03", "motor").click();
  await cell(page, "DP-01", "motor").click({ modifiers: ["Control"] });
  await expect(page.getByText("2 columns selected")).toBeVisible();
  await page.getByLabel("Move the selected drive points to a lineup").selectOption({ index: 2 });
  const second = page.getByRole("region", { name: /^Lineup L2 / });
  await expect(second.getByText("DP-03", { exact: true })).toBeVisible();
  await expect(second.getByText("DP-01", { exact: true })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(second.getByText("DP-01", { exact: true })).toBeHidden();

  await cell(page, "DP-01", "motor").click();
  await page.keyboard.press("Control+d");
  await expect(page.getByText("Spray-dryer fan 2", { exact: true })).toBeVisible();
  await page.keyboard.press("Control+d");
  await expect(page.getByText("Spray-dryer fan 3", { exact: true })).toBeVisible();

  // The ledger looks where it is told to.
  const ledger = page.getByRole("region", { name: "Ledger: the tightest checks" });
  await ledger.getByLabel("What the ledger looks at").selectOption("plant");
  await expect(ledger.getByRole("button").first()).toContainText("plant");
});
