import { expect, test } from "@playwright/test";
import { Hands } from "./hands";
import { emptyPlant } from "./jobs";
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
  await page.keyboard.press("Control+k");
  await page.keyboard.type("fails brake seq");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog")).toContainText("closes at");
});

test("the focus is where the next key is wanted after each action, and keys in a sheet stay there", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request));
  const pressed = async (name: string | RegExp) => {
    await page.getByRole("button", { name }).first().focus();
    await page.keyboard.press("Enter");
  };

  // Buttons of the board are pressed by Enter; what is made has the focus.
  await cell(page, "DP-02", "motor").click();
  await pressed("Add drive point");
  await expect(cell(page, "DP-28", "load")).toBeFocused();
  await pressed("Remove");
  await expect(cell(page, "DP-28", "load")).toHaveCount(0);

  // Many are sized at once; where nothing can be said it is told.
  await cell(page, "DP-02", "motor").click();
  await pressed("Add drive point");
  await expect(cell(page, "DP-28", "load")).toBeFocused();
  await page.keyboard.press("Shift+ArrowLeft");
  await pressed("Size");
  await expect(page.getByRole("alert")).toContainText("DP-28: Needs data");
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/55 kW/);
  await page.keyboard.press("Control+z");
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/IE3 cage 45 kW/);
  await page.keyboard.press("Control+z");
  await expect(cell(page, "DP-28", "load")).toHaveCount(0);
  await cell(page, "DP-02", "motor").focus();

  // In a sheet of the board arrows move the caret and Delete deletes a letter, not a drive point.
  await pressed("Edit lineup L1");
  const name = page.getByRole("dialog").getByLabel("Name");
  await name.focus();
  await page.keyboard.press("Home");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Delete");
  await page.keyboard.type("0");
  await expect(name).toHaveValue("B0dy preparation");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Edit lineup L1" })).toBeFocused();
  await expect(cell(page, "DP-02", "motor")).toBeVisible();

  // A page takes the focus; a row that goes hands it to the next, a sheet gives it back.
  await cell(page, "DP-02", "motor").focus();
  await page.keyboard.press("Alt+1");
  await expect(page.getByRole("main")).toBeFocused();
  await pressed("Remove kiln burners and heating");
  await expect(page.getByRole("button", { name: "Remove air compressor" })).toBeFocused();
  await page.keyboard.press("Alt+6");
  await expect(page.getByRole("heading", { name: "Harmonics of the plant" })).toBeVisible();
  await pressed("Mitigation workbench");
  await expect(page.getByRole("dialog")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Mitigation workbench" })).toBeFocused();
});

test("the palette leads to a setting by its name", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.keyboard.press("Control+k");
  await page.keyboard.type("discount");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Discount rate", { exact: true })).toBeFocused();
  await page.keyboard.press("Control+k");
  await page.keyboard.type("drive list xlsx");
  const download = page.waitForEvent("download");
  await page.keyboard.press("Enter");
  expect((await download).suggestedFilename()).toMatch(/\.xlsx$/);
});

test("typing ahead of a slow server loses nothing", async ({ page, request }) => {
  const id = await emptyPlant(request);
  await open(page, id, "/plant");
  const standby = page.getByRole("region", { name: "Standby generator" });
  await standby.getByRole("button", { name: "Add" }).click();
  await expect(standby.getByLabel("X/R of the generator", { exact: true })).toBeVisible();

  // Each edit takes longer than the next entry takes to type.
  await page.route("**/changes", async (route) => {
    await new Promise((later) => setTimeout(later, 700));
    await route.continue();
  });
  const values = [
    ["Generator", "30"],
    ["Active power", "24"],
    ["Transient reactance X′d", "22"],
    ["Subtransient reactance X″d", "13"],
    ["X/R of the generator", "16"],
  ] as const;
  const hands = new Hands(page);
  for (const [name, text] of values) {
    await hands.fill(standby.getByLabel(name, { exact: true }), text);
  }
  await hands.saved();
  await page.reload();
  for (const [name, text] of values) {
    await expect(standby.getByLabel(name, { exact: true })).toHaveValue(text);
  }
});
