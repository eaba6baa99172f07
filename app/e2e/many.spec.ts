import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("a box drawn over the board selects columns; they are copied and set at once", async ({ page, request }) => {
  await open(page, await importDemo(request));
  const from = await cell(page, "DP-01", "load").boundingBox();
  const to = await cell(page, "DP-02", "motor").boundingBox();
  if (!from || !to) {
    throw new Error("The cells are not drawn.");
  }
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(to.x + 60, to.y + 20, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText("2 columns selected")).toBeVisible();
  await expect(cell(page, "DP-01", "load")).toHaveAttribute("aria-selected", "true");

  // What both have is set on both; tag and name are not.
  await expect(page.getByText(/^Applies to DP-01, DP-02; tag and name to one/)).toBeVisible();
  await page.getByLabel("Stop time", { exact: true }).fill("33 s");
  await page.keyboard.press("Enter");
  await cell(page, "DP-02", "load").click();
  await expect(page.getByLabel("Stop time", { exact: true })).toHaveValue(/33/);

  // Both are copied as one edit.
  await cell(page, "DP-01", "load").click();
  await page.keyboard.press("Shift+ArrowRight");
  await page.keyboard.press("Control+d");
  await expect(page.getByText("2 columns selected")).toBeVisible();
  await expect(cell(page, "DP-29", "load")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(cell(page, "DP-28", "load")).toHaveCount(0);
  await expect(cell(page, "DP-29", "load")).toHaveCount(0);
});

test("a drive point is kept as a template and used in another plant, by keyboard", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "load").click();
  const palette = async (name: string) => {
    await page.keyboard.press("Control+k");
    await page.keyboard.type(name);
    await page.keyboard.press("Enter");
  };
  await palette("templates");
  const sheet = page.getByRole("dialog", { name: "Templates of drive points" });
  await sheet.getByLabel("Keep DP-02 as").fill("exhaust fan, kept");
  await page.keyboard.press("Enter");
  await expect(sheet.getByRole("status")).toContainText("DP-02 is kept as exhaust fan, kept.");

  const made = await request.post("/api/projects", { data: { name: "Mesa", who: "engineer", supply: "480-60" } });
  await open(page, ((await made.json()) as { id: string }).id);
  await palette("templates");
  await sheet.getByLabel("How many").fill("90");
  await sheet.getByRole("button", { name: "Add like exhaust fan, kept" }).press("Enter");
  await expect(sheet.getByRole("alert")).toHaveText("How many: 90; allowed 1 to 50.");
  await sheet.getByLabel("How many").fill("2");
  await sheet.getByRole("button", { name: "Add like exhaust fan, kept" }).press("Enter");
  await expect(sheet).toHaveCount(0);
  await expect(page.getByText("2 columns selected")).toBeVisible();
  await expect(cell(page, "DP-01", "load")).toBeFocused();
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/IE3 cage 45 kW/);

  await palette("templates");
  await sheet.getByRole("button", { name: "Remove template exhaust fan, kept" }).click();
  await expect(sheet.getByText("None is kept yet.")).toBeVisible();
});
