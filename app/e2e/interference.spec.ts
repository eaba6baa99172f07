import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("a clash is found, ended at a press, and undone", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page.keyboard.press("Alt+7");
  const plan = page.getByRole("region", { name: "Plan of the trays" });
  await expect(plan.getByRole("button", { name: /T7 glazing.*clash/ })).toBeVisible();
  const clashes = page.getByRole("table", { name: "Clashes of cables" });
  const glaze = clashes.getByRole("row", { name: /DP-11 motor W105 glaze control/ });
  await expect(glaze).toContainText("26.0");
  await glaze.getByRole("button", { name: /Try: W105 glaze control over S4 signals, S7 signals/ }).click();
  await expect(glaze).toHaveCount(0);
  await expect(plan.getByRole("button", { name: /T7 glazing.*clash/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(glaze).toBeVisible();
});

test("a tray typed longer moves the cable, the schedule and the check", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-01", "cable").click();
  const bench = page.locator("#bench");
  await page.getByRole("tab", { name: "Entries" }).click();
  await bench.getByLabel("Length").fill("");
  await bench.getByLabel("Length").press("Enter");
  await page.keyboard.press("Alt+w");
  await page.getByLabel("Filter the schedules").fill("DP-01-W2");
  const row = page.getByRole("table", { name: "Cable schedule" }).getByRole("row", { name: /DP-01-W2/ });
  await expect(row).toContainText("38 m");
  await page.keyboard.press("Alt+7");
  await page.getByLabel("Length of T4 dryer").fill("150");
  await page.getByLabel("Length of T4 dryer").press("Enter");
  await page.keyboard.press("Alt+w");
  await page.getByLabel("Filter the schedules").fill("DP-01-W2");
  await expect(row).toContainText("174 m");
  await page.keyboard.press("Alt+5");
  await cell(page, "DP-01", "cable").click();
  await expect(
    page.getByRole("region", { name: "Checks of this cell" }).getByRole("button", { name: /Longest motor cable/ }),
  ).toContainText("Fails");
});

test("a place is moved by keys, a way laid by hand, a device ahead chosen", async ({ page, request }) => {
  await open(page, await importDemo(request), "/interference");
  const kiln = page.getByRole("button", { name: /^Kiln, 62/ });
  await kiln.focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("button", { name: /^Kiln, 63/ })).toBeVisible();
  await page.getByLabel("Way of W104 field bus").fill("S4, T9");
  await page.getByLabel("Way of W104 field bus").press("Enter");
  await expect(page.getByText(/needs trays that hang together/)).toBeVisible();
  await page.getByLabel("Way of W104 field bus").fill("nowhere");
  await page.getByLabel("Way of W104 field bus").press("Enter");
  await expect(page.getByRole("alert")).toContainText("There is no tray nowhere");
  await page.getByLabel("Residual-current device of DP-17").selectOption("type-b");
  await expect(page.getByText(/^Edit \d+ saved$/)).toBeVisible();
  await page.getByLabel("Rated residual current of DP-17").fill("300");
  await page.getByLabel("Rated residual current of DP-17").press("Enter");
  await expect(
    page.getByRole("button", { name: /^Reason: .* of DP-17/ }).getByRole("img", { name: "Holds" }),
  ).toBeVisible();
});

test("trays are begun from nothing", async ({ page, request }) => {
  const made = await request.post("/api/projects", { data: { name: "Bare works", who: "engineer", template: "" } });
  await open(page, ((await made.json()) as { id: string }).id, "/interference");
  // Two places asked for before the first one is there are two places.
  await page.route("**/changes", async (route) => {
    await new Promise((later) => setTimeout(later, 500));
    await route.continue();
  });
  await page.getByRole("button", { name: "Add place" }).click();
  await page.getByRole("button", { name: "Add place" }).click();
  await page.getByRole("button", { name: "Add tray" }).click();
  await expect(page.getByRole("region", { name: "Plan of the trays" })).toBeVisible();
  await page.getByRole("button", { name: "Add cable" }).click();
  await page.getByLabel("From of W1").selectOption({ label: "Place 1" });
  await page.getByLabel("To of W1").selectOption({ label: "Place 2" });
  await expect(page.getByRole("row", { name: /W1 sensitive Place 1 Place 2/ })).toContainText("8");
  await page.getByRole("button", { name: "Remove Place 1" }).click();
  await expect(page.getByRole("alert")).toContainText("a tray ends there");
});

test("what listens nearby is judged, and trays are hung further apart at a press", async ({ page, request }) => {
  await open(page, await importDemo(request), "/interference");
  const judged = page
    .getByRole("region", { name: "Checks of the plant" })
    .getByRole("button", { name: /Works radio mast nearby/ });
  await expect(judged).toContainText("Tight");
  await page.getByRole("button", { name: "Receivers nearby", exact: true }).press("Enter");
  await expect(page.getByRole("button", { name: "Add receiver" })).toBeFocused();
  await page.getByLabel("Distance of Works radio mast").fill("400");
  await page.getByLabel("Distance of Works radio mast").press("Enter");
  await expect(judged).toContainText("Holds");
  await expect(page.getByLabel("Gap to it of T2 power")).toHaveValue("100");
  await page
    .getByRole("button", { name: /Try: T2 power 150 mm from S2 signals/ })
    .first()
    .click();
  await expect(page.getByLabel("Gap to it of T2 power")).toHaveValue("150");
});

test("places stand in the list and are written by name", async ({ page, request }) => {
  await open(page, await importDemo(request), "/list");
  await page.getByRole("button", { name: "Columns …" }).click();
  await page.getByRole("checkbox", { name: "Motor stands at" }).check();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("columnheader", { name: /Motor stands at/ })).toHaveCount(1);
  const kept = page.getByRole("gridcell").filter({ hasText: "Spray dryer" });
  await expect(kept).toHaveCount(2);
  await kept.first().dblclick();
  await page.keyboard.press("Control+a");
  await page.keyboard.type("nowhere");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("there is no place “nowhere”");
});

test("devices of one's own list are read, proposed and chosen", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "supply").click();
  const bench = page.locator("#bench");
  await page.getByRole("tab", { name: "Entries" }).click();
  await bench.getByRole("button", { name: "Own devices …" }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("button", { name: "From a list (CSV, XLSX) …" }).click();
  await sheet.getByLabel("List of devices").setInputFiles({
    name: "fuses.csv",
    mimeType: "text/csv",
    buffer: Buffer.from("Type;Rated A;Volt;Breaking kA\nF-125;125;690;100\nF-150;150;690;100\nF-bad;;690;100\n"),
  });
  await expect(sheet.getByRole("alert")).toContainText("row 3");
  await sheet.getByLabel("List", { exact: true }).fill("House list");
  await sheet.getByLabel("Version").fill("2026");
  await sheet.getByRole("button", { name: "Take the 2 good rows" }).click();
  await expect(sheet.getByRole("row", { name: /F-125/ })).toContainText("House list, 2026");
  await page.keyboard.press("Escape");
  await bench.getByLabel("From own devices").selectOption({ label: "F-150, 150 A" });
  await expect(bench.getByText("F-150, House list 2026")).toBeVisible();
  await expect(bench.getByLabel("Rated current")).toHaveValue(/150/);
});
