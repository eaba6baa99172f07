import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("the main job is done by keyboard alone", async ({ page, request }) => {
  await open(page, await importDemo(request));

  // To the motors, right to the exhaust fan, type what is wanted, take the best.
  await page.keyboard.press("3");
  await expect(cell(page, "DP-01", "motor")).toBeFocused();
  await page.keyboard.press("ArrowRight");
  await expect(cell(page, "DP-02", "motor")).toBeFocused();
  await page.keyboard.type("ie4 cage 55");
  await expect(page.getByRole("dialog", { name: "Choose a motor" })).toBeVisible();
  await expect(page.getByRole("option").first()).toContainText("IE4 cage 55 kW");
  await page.keyboard.press("Enter");
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/IE4 cage 55 kW/);

  // Two columns at once: a converter for the fans.
  await page.keyboard.press("Alt+4");
  await expect(cell(page, "DP-02", "converter")).toBeFocused();
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(page.getByText("2 columns selected")).toBeVisible();
  await page.keyboard.press("ArrowDown");
  await expect(cell(page, "DP-01", "cable")).toBeFocused();

  // Enter opens the bench, Escape comes back.
  await page.keyboard.press("Enter");
  await expect(page.getByRole("tab", { name: "Entries" })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(cell(page, "DP-01", "cable")).toBeFocused();

  // Undo, redo, palette.
  await page.keyboard.press("Control+z");
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/IE3 cage 45 kW/);
  await page.keyboard.press("Control+Shift+z");
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/IE4 cage 55 kW/);
  await page.keyboard.press("Control+k");
  await page.keyboard.type("sheets");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Sheets and files" })).toBeVisible();
});
