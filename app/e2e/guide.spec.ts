import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("an empty plant says what comes next in each stage and proposes usual values", async ({ page, request }) => {
  const made = await request.post("/api/projects", { data: { name: "Mesa", who: "engineer", supply: "400-50" } });
  await open(page, ((await made.json()) as { id: string }).id);
  await page.keyboard.press("Alt+1");
  await expect(page.getByRole("region", { name: "Next in Plant" })).toContainText("State how strong the connection is");
  await page.getByRole("button", { name: "Go to the entry" }).press("Enter");
  await expect(page.getByLabel("Strength")).toBeFocused();
  await page.getByLabel("Strength").selectOption("fault-level");
  await expect(page.getByLabel("Short-circuit power, maximum")).toBeVisible();
  await page.getByRole("button", { name: "Go to the entry" }).press("Enter");
  await expect(page.getByLabel("Short-circuit power, maximum")).toBeFocused();
  await page.keyboard.type("250 MVA");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("region", { name: "Next in Plant" })).toHaveCount(0);

  await page.keyboard.press("Alt+6");
  await page.getByRole("button", { name: "Add drive point" }).press("Enter");
  await expect(cell(page, "DP-01", "load")).toBeFocused();
  await expect(page.getByRole("region", { name: "Next in Loads" })).toContainText("Say what DP-01 drives.");
  await page.getByRole("button", { name: "Go to DP-01" }).press("Enter");
  await page.getByLabel("Machine").selectOption("fan");
  await page.getByLabel("Rated flow").fill("10 m³/s");
  await page.keyboard.press("Tab");
  await page.getByLabel("Rated pressure").fill("1500 Pa");
  await page.keyboard.press("Tab");

  await page.getByText("Usual values for").click();
  await page.getByRole("button", { name: "Assume efficiency at the rated point" }).click();
  await expect(page.getByRole("alert")).toContainText("DP-01, assumed: efficiency at the rated point 0.75.");
  await page.getByRole("button", { name: "Assume all" }).click();
  await expect(page.getByText("Usual values for")).toHaveCount(0);

  // What was assumed is marked until somebody knows it.
  await expect(page.getByText(/^Assumed, not confirmed: \d+ entries$/)).toBeVisible();
  const mark = page.getByRole("button", { name: "Confirm Machine efficiency" });
  await mark.click();
  await expect(mark).toHaveCount(0);
  const speed = page.getByRole("button", { name: "Confirm Rated speed" });
  await expect(speed).toBeVisible();
  await page.getByLabel("Rated speed", { exact: true }).fill("1480 rpm");
  await page.keyboard.press("Tab");
  await expect(speed).toHaveCount(0);
  await expect(page.getByLabel("Length", { exact: true })).toHaveCount(0);

  // The list counts them, and below a reason says that its figure may rest on them.
  await page.keyboard.press("Alt+l");
  await expect(page.getByRole("columnheader", { name: /Assumed entries/ })).toBeVisible();
  const heads = await page.getByRole("columnheader").allInnerTexts();
  const counted = page.getByRole("row", { name: /DP-01/ }).locator("th, td");
  const first = 1; // The row's own head stands before them.
  await expect(counted.nth(first + heads.findIndex((h) => h.startsWith("Assumed entries")))).toHaveText(/^[1-9]\d*$/);
  // So does the field, which can be cut down to them.
  await page.keyboard.press("Alt+0");
  await page.getByRole("button", { name: "1 on assumed values" }).click();
  const column = page.getByRole("button", { name: /^DP-01 .*; \d+ entr(y|ies) assumed, not confirmed$/ });
  await column.focus();
  await page.keyboard.press("Enter");
  await expect(page.locator("[data-point='dp-01']:focus")).toBeVisible();
  await cell(page, "DP-01", "motor").click();
  await page
    .getByRole("complementary", { name: "Bench" })
    .getByRole("button", { name: /continuous torque/ })
    .click();
  await expect(page.getByRole("dialog")).toContainText(/Assumed: \d+ entries of DP-01, not confirmed/);
  await page.keyboard.press("Escape");

  await page.keyboard.press("Alt+3");
  await expect(page.getByRole("region", { name: "Next in Motors" })).toContainText("1 drive point has no motor");
  await page.getByRole("button", { name: "Size it" }).press("Enter");
  await expect(cell(page, "DP-01", "motor")).toHaveAccessibleName(/kW/);
  await expect(page.getByRole("region", { name: "Next in Motors" })).toHaveCount(0);
  await page.keyboard.press("Alt+9");
  await expect(page.getByRole("region", { name: "Next in Energy" })).toContainText("1 drive point has no hours");
});

test("a reason leads to the page on its method, and pages to each other", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-01", "supply").click();
  await page.getByRole("button", { name: /THDi/ }).click();
  await page.getByRole("button", { name: /^Method: / }).click();
  const sheet = page.getByRole("dialog", { name: "Method: what each kind of converter shows to the line" });
  await expect(sheet.getByText("Formula.")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+k");
  await page.keyboard.type("method recovery");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog", { name: "Method: I²t with recovery" })).toContainText("holds the heat");
});

test("what can't be done now says why", async ({ page, request }) => {
  await open(page, await importDemo(request));
  const undo = page.getByRole("button", { name: "Undo", exact: true });
  await expect(undo).toHaveAttribute("title", "Nothing was changed yet that could be taken back.");
  await undo.press("Enter");
  await expect(page.getByText("Nothing was changed yet that could be taken back.")).toBeVisible();
});
