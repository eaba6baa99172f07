import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("the bench's pages have keys, its edge moves by keyboard and its width is kept", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "motor").click();
  for (const [digit, name] of [
    ["3", "Power"],
    ["4", "Time"],
    ["6", "Candidates"],
    ["1", "Entries"],
  ] as const) {
    await page.keyboard.press(`Control+Alt+Digit${digit}`);
    await expect(page.getByRole("tab", { name, exact: true })).toBeFocused();
    await expect(page.getByRole("tab", { name, exact: true })).toHaveAttribute("aria-selected", "true");
  }
  const bench = page.getByRole("complementary", { name: "Bench" });
  const width = async () => (await bench.boundingBox())?.width ?? 0;
  const before = await width();
  const edge = page.getByRole("separator", { name: "Width of the bench" });
  await edge.focus();
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("ArrowLeft");
  await expect.poll(width).toBeGreaterThan(before + 20);
  const wider = await width();
  await page.reload();
  await cell(page, "DP-02", "motor").click();
  await expect.poll(width).toBeCloseTo(wider, -1);
});

test("the bench never scrolls sideways, and its pictures fill it", async ({ page, request }) => {
  await open(page, await importDemo(request));
  const bench = page.getByRole("complementary", { name: "Bench" });
  const picture = bench.getByRole("figure").first().locator(".recharts-surface");
  const widthOf = async () => (await picture.boundingBox())?.width ?? 0;
  for (const row of ["supply", "converter", "motor", "load"] as const) {
    await cell(page, "DP-01", row).click();
    for (const name of ["Entries", "Fit", "Power", "Time", "Cost"]) {
      await page.getByRole("tab", { name, exact: true }).click();
      await expect(bench.getByText("Loading")).toHaveCount(0);
      await expect.poll(() => bench.evaluate((e) => e.scrollWidth - e.clientWidth), `${row}, ${name}`).toBe(0);
    }
  }
  await page.getByRole("tab", { name: "Fit", exact: true }).click();
  await expect(picture).toBeVisible();
  const before = await widthOf();
  const edge = page.getByRole("separator", { name: "Width of the bench" });
  await edge.focus();
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("ArrowLeft");
  await expect.poll(widthOf).toBeGreaterThan(before + 20);
});

test("on a narrow window the bench is a drawer", async ({ page, request }) => {
  await page.setViewportSize({ width: 1000, height: 760 });
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "motor").click();
  const bench = page.getByRole("complementary", { name: "Bench" });
  await expect(bench).toHaveCount(0);
  await page.keyboard.press("Enter");
  await expect(bench).toBeVisible();
  await expect(page.getByRole("tab", { selected: true })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(bench).toHaveCount(0);
  await expect(cell(page, "DP-02", "motor")).toBeFocused();
  await page.getByRole("button", { name: "Bench" }).click();
  await expect(bench).toBeVisible();
  // What was open stays open when the window grows wide enough to show the bench beside the board.
  await page.getByRole("tab", { name: "Power", exact: true }).click();
  await page.setViewportSize({ width: 1280, height: 760 });
  await expect(page.getByRole("separator", { name: "Width of the bench" })).toBeVisible();
  await expect(page.getByRole("tab", { name: "Power", exact: true, selected: true })).toBeVisible();
  await page.setViewportSize({ width: 1000, height: 760 });
  await expect(page.getByRole("tab", { name: "Power", exact: true, selected: true })).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(1000);
});

test("the lower pages are reached with Alt and their letter, also from an entry", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "load").click();
  await page.keyboard.press("5");
  await expect(cell(page, "DP-02", "cable")).toBeFocused();
  await page.keyboard.press("Alt+s");
  await expect(page.getByRole("heading", { name: "Sheets and files" })).toBeVisible();
  await page.keyboard.press("Alt+l");
  await expect(page.getByRole("grid").first()).toBeVisible();
  await page.keyboard.press("Alt+h");
  await expect(page.getByRole("heading", { name: /History/ })).toBeVisible();
  await page.keyboard.press("Alt+1");
  await expect(page.getByLabel("Fault level", { exact: false }).first()).toBeVisible();
});
