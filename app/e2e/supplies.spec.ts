import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

test("a pump on the sun: a string is chosen by its limits, fuses with it, and the board tells it", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request));
  await page.keyboard.press("Alt+u");
  await page.getByRole("button", { name: /DP-08 Pond pump, sun/ }).click();
  const checks = page.getByRole("region", { name: "Checks of the array" });
  await expect(checks.getByRole("button", { name: /Fuses of the strings/ })).toContainText("Fails");
  await expect(page.getByText("at most 15 in series")).toBeVisible();
  const strings = page.getByRole("region", { name: "Strings", exact: true });
  await expect(strings.getByRole("button", { name: /Choose 16 in series/ }).first()).toHaveAttribute(
    "aria-disabled",
    "true",
  );
  await strings.getByRole("button", { name: "Choose 15 in series, 2 strings" }).click();
  await expect(checks.getByRole("button", { name: /Fuses of the strings/ })).toContainText("Holds");
  await page.getByRole("button", { name: "Sweep 200 pairs" }).click();
  await expect(page.getByRole("img", { name: "Array size against pump size" })).toBeVisible();
  await page.getByRole("button", { name: "Pump on the board" }).click();
  await expect(cell(page, "DP-08", "supply")).toContainText("sun, 2 × 15");
});

test("a pump is fed from the sun from nothing: missing entries are named, usual ones assumed, a file read", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request), "/supplies");
  await page.getByLabel("Feed a pump from the sun").selectOption({ label: "DP-03 Slip pump" });
  await expect(page.getByText(/latitude/).first()).toBeVisible();
  await page.getByRole("button", { name: "Assume usual values" }).click();
  await page.getByRole("alert").getByRole("button", { name: "Close" }).click();
  const typed: readonly (readonly [string, string])[] = [
    ["Peak power", "450 W"],
    ["Open-circuit voltage U_oc", "49.5"],
    ["Voltage at greatest power U_mp", "41.5"],
    ["Short-circuit current I_sc", "11.4"],
    ["Largest series fuse", "20"],
    ["Latitude", "37.2"],
    ["Tilt", "25"],
    ["Coldest dawn", "-5"],
    ["Hottest noon", "40"],
    ["Modules in series", "14"],
  ];
  for (const [name, value] of typed) {
    await page.getByLabel(name, { exact: true }).fill(value);
    await page.getByLabel(name, { exact: true }).press("Enter");
  }
  await page.getByRole("region", { name: "Entries of the array" }).getByLabel("Strings", { exact: true }).fill("6");
  await page
    .getByRole("region", { name: "Entries of the array" })
    .getByLabel("Strings", { exact: true })
    .press("Enter");
  const rows = Array.from(
    { length: 8760 },
    (_, i) => `${i};${Math.max(0, Math.round(900 * Math.sin(((i % 24) - 6) / 3.8)))};18`,
  );
  await page.getByLabel("File of a year by hours").setInputFiles({
    name: "year.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(["hour;light;air", ...rows].join("\n")),
  });
  await expect(page.getByText("Water of the year")).toBeVisible();
  await expect(page.getByText("Energy used")).toBeVisible();
});

test("a well behind a step-up transformer: the start saturates it, a higher frequency does not", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request), "/supplies?point=dp-06&job=long-cable");
  const checks = page.getByRole("region", { name: "Checks of the long cable" });
  const flux = checks.getByRole("button", { name: /Flux of the transformer/ });
  await expect(flux).toContainText("Fails");
  await page.getByLabel("Start frequency").fill("10");
  await page.getByLabel("Start frequency").press("Enter");
  await expect(flux).toContainText("Holds");
  await page.getByLabel("Identification", { exact: true }).selectOption("direct-at-rest");
  await expect(checks.getByRole("button", { name: /Identification through the transformer/ })).toContainText("Fails");
  await page.getByLabel("Taps, V").fill("420, 440, high");
  await page.getByLabel("Taps, V").press("Enter");
  await expect(page.getByText(/“high” is no voltage of a tap/)).toBeVisible();
});

test("a step-up transformer from nothing: usual values, a proposal, its sheet", async ({ page, request }) => {
  const id = await importDemo(request);
  await open(page, id, "/supplies");
  await page.getByLabel("Step-up transformer for a long cable").selectOption({ label: "DP-03 Slip pump" });
  await expect(page.getByText(/its tap in use/).first()).toBeVisible();
  await page.getByRole("button", { name: "Assume usual values" }).click();
  await page.getByRole("alert").getByRole("button", { name: "Close" }).click();
  await page.getByRole("button", { name: "Propose transformer" }).click();
  await expect(page.getByText("At the surface", { exact: true }).first()).toBeVisible();
  await expect(page.getByText(/Tap needed/)).toBeVisible();
  await page.goto(`/plants/${id}/print/l1`);
  await expect(page.getByText("Step-up transformer").first()).toBeVisible();
});
