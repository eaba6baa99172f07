import { expect, test } from "@playwright/test";
import { readFileSync } from "node:fs";
import { Hands } from "./hands";
import { emptyPlant, fanWithDamper, pumpOnConverter } from "./jobs";
import { cell, importDemo, importPlant, open } from "./plant";

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
  await expect(page.getByText("assumed", { exact: true }).first()).toBeVisible();
  await page.getByRole("button", { name: "Propose transformer" }).click();
  await expect(page.getByText("At the surface", { exact: true }).first()).toBeVisible();
  await expect(page.getByText(/Tap needed/)).toBeVisible();
  await page.goto(`/plants/${id}/print/l1`);
  await expect(page.getByText("Step-up transformer").first()).toBeVisible();
  await expect(page.getByText("Assumed, not confirmed")).toBeVisible();
});

test("one phase from an empty plant, by keyboard: machines, ways, lineup, sheet", async ({ page, request }) => {
  const id = await emptyPlant(request);
  await open(page, id);
  const hands = new Hands(page);
  await hands.press("Alt+u");
  await page.getByLabel("Only one phase available to").selectOption("l1");
  await expect(page.getByRole("paragraph").filter({ hasText: "Needs data:" }).first()).toContainText("a machine");
  const list = page.getByRole("region", { name: "Machines", exact: true });
  await hands.tabTo(list.getByRole("button", { name: "Add machine" }));
  await hands.press("Enter");
  await hands.saved();
  const entry = (name: string) => page.getByLabel(name, { exact: true });
  for (const [name, text] of [
    ["Motor of Machine 1", "3 hp"],
    ["Speed of Machine 1", "1400"],
    ["Load of Machine 1", "75"],
    ["Hours a year of Machine 1", "600"],
    ["Pulses a turn of Machine 1", "60"],
  ] as const) {
    await hands.tabTo(entry(name));
    await hands.type(text);
    await hands.press("Enter");
    await hands.saved();
  }
  await entry("Switched on").focus();
  await hands.type("1500");
  await hands.press("Enter");
  await hands.saved();
  await expect(page.getByText(/Enter for the cost/)).toBeVisible();
  for (const [name, text] of [
    ["Converters", "260"],
    ["Rotary converter", "220"],
    ["Static converter", "95"],
  ] as const) {
    const cost = page.getByRole("group", { name: /Cost/ }).getByLabel(name, { exact: true });
    await cost.focus();
    await hands.type(text);
    await hands.press("Enter");
    await hands.saved();
  }
  const ways = page.getByRole("region", { name: "Ways to run them" });
  await expect(ways.getByText(/costs least of what suits/)).toBeVisible();
  const build = ways.getByRole("button", { name: "Build with a converter each" });
  await build.focus();
  await hands.press("Enter");
  await expect(page.getByText("Terminal box of DP-01 Machine 1")).toBeVisible();
  await expect(page.getByRole("img", { name: /delta for 231 V, as linked now/ })).toBeVisible();
  await page.getByLabel("Pulses read at DP-01, Hz").fill("1425");
  await expect(page.getByText("1425 rpm")).toBeVisible();

  // What stands on the board is what was chosen, and the sheet tells it.
  await hands.press("Alt+4");
  await expect(cell(page, "DP-01", "converter")).toHaveAccessibleName(/1-phase input/);
  await page.goto(`/plants/${id}/print/l1`);
  await expect(page.getByText("Only one phase").first()).toBeVisible();
  await expect(page.getByText(/run by a converter each/)).toBeVisible();
});

test("a workshop on one phase: a star is found, solved and mended; another way is built and undone", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request), "/supplies?job=one-phase&point=l5");
  const checks = page.getByRole("region", { name: "Checks of the one phase" });
  await expect(checks.getByRole("button", { name: /DP-18 Motor linked for one phase/ })).toContainText("Fails");
  await expect(page.getByRole("img", { name: /DP-18 Small compressor: star for 400 V, as linked now/ })).toBeVisible();
  await page.getByLabel("Speed wanted of Lathe").click();
  await page.getByRole("button", { name: "Build with rotary converter" }).click();
  await expect(page.getByRole("button", { name: "Build again" })).toBeVisible();
  await expect(checks.getByRole("button", { name: /Motor on a made third phase/ }).first()).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(checks.getByRole("button", { name: /Motor on a made third phase/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Standby generator" }).click();
  await expect(page.getByRole("region", { name: "Entries of the generator" })).toBeVisible();
});

test("a standby generator from an empty plant: entered, fed by, judged, swept, on the sheet", async ({
  page,
  request,
}) => {
  const id = await emptyPlant(request);
  await open(page, id);
  const hands = await fanWithDamper(page);
  await hands.press("Alt+u");
  await page.getByRole("button", { name: "Standby generator" }).click();
  const entries = page.getByRole("region", { name: "Entries of the generator" });
  await entries.getByRole("button", { name: "Add" }).click();
  await hands.saved();
  await entries.getByLabel("Feeds").selectOption("bus-1");
  for (const [name, text] of [
    ["Generator", "30"],
    ["Active power", "24"],
    ["Transient reactance X′d", "22"],
    ["Governing class G", "2"],
    ["Subtransient reactance X″d", "13"],
    ["Negative-sequence reactance X2", "15"],
    ["X/R of the generator", "16"],
  ] as const) {
    await hands.fill(entries.getByLabel(name, { exact: true }), text);
  }
  await hands.saved();
  await expect(page.getByText(/a scenario on the generator/)).toBeVisible();
  await hands.press("Alt+1");
  await page.getByRole("button", { name: "Add scenario" }).click();
  await hands.saved();
  const at = (row: string) => page.getByRole("gridcell", { name: new RegExp(`^${row}, (?!full)`) });
  await at("fed by").click();
  await hands.type("generator");
  await hands.press("Enter");
  await hands.saved();
  await at("transformer 1").click();
  await hands.type("open");
  await hands.press("Enter");
  await hands.saved();
  await hands.press("Alt+u");
  const judged = page.getByRole("region", { name: "Checks of the generator" });
  await expect(judged.getByRole("button", { name: /Change-over to the standby generator/ })).toContainText("Holds");
  await expect(judged.getByRole("button", { name: /Distortion on the generator/ })).toBeVisible();
  await page.getByRole("button", { name: "Sweep sizes" }).click();
  await expect(page.getByText(/Everything holds|None of these sizes/)).toBeVisible({ timeout: 20_000 });
  await page.goto(`/plants/${id}/print/l1`);
  await expect(page.getByText("Standby generator").first()).toBeVisible();
});

test("what the generator does not carry is shed by its steps", async ({ page, request }) => {
  const id = await importPlant(request, readFileSync("../src/Cuadrilla.Documents/Demo/tarn-hollow.cuadrilla.json"));
  await open(page, id, "/supplies");
  const judged = page.getByRole("region", { name: "Checks of the generator" });
  await expect(judged.getByRole("button", { name: /Distortion on the generator/ })).toContainText("Fails");
  await page.getByRole("button", { name: "Find it" }).click();
  await expect(page.getByText(/an active filter of/)).toBeVisible({ timeout: 20_000 });
  await page.getByRole("button", { name: "Switch these off in the scenario" }).click();
  await expect(judged.getByRole("button", { name: /Distortion on the generator/ })).not.toContainText("Fails");
});

test("sun from an empty plant to its sheet", async ({ page, request }) => {
  const id = await emptyPlant(request);
  await open(page, id);
  const hands = await pumpOnConverter(page, "20", "30", "4");
  await hands.press("Alt+u");
  await page.getByLabel("Feed a pump from the sun").selectOption("dp-01");
  await page.getByRole("button", { name: "Assume usual values" }).click();
  await hands.saved();
  const entries = page.getByRole("region", { name: "Entries of the array" });
  for (const [name, text] of [
    ["Peak power", "450"],
    ["Open-circuit voltage U_oc", "49.5"],
    ["Voltage at greatest power U_mp", "41.5"],
    ["Short-circuit current I_sc", "11.4"],
    ["Largest series fuse", "20"],
    ["Latitude", "40"],
    ["Tilt", "30"],
    ["Coldest dawn", "-5"],
    ["Hottest noon", "38"],
  ] as const) {
    await hands.fill(entries.getByLabel(name, { exact: true }), text);
  }
  await hands.saved();
  await page
    .getByRole("region", { name: "Strings", exact: true })
    .getByRole("button", { name: /^Choose 15 in series/ })
    .first()
    .click();
  await hands.saved();
  const january = page.getByLabel("Clearness of Jan", { exact: true });
  await january.focus();
  for (let month = 0; month < 12; month++) {
    for (const text of ["0.7", "15", "60"]) {
      await hands.type(text);
      await hands.press("Tab");
    }
  }
  await hands.saved();
  await expect(page.getByText("Water of the year")).toBeVisible();
  await page.goto(`/plants/${id}/print/l1`);
  await expect(page.getByText(/strings? of 15 modules/)).toBeVisible();
  await expect(page.getByText("Water from the sun")).toBeVisible();
});

test("a long cable from an empty plant to its sheet", async ({ page, request }) => {
  const id = await emptyPlant(request);
  await open(page, id);
  const hands = await pumpOnConverter(page, "40", "120", "16");
  await hands.press("Alt+u");
  await page.getByLabel("Step-up transformer for a long cable").selectOption("dp-01");
  await page.getByRole("button", { name: "Assume usual values" }).click();
  await hands.saved();
  await page.getByRole("button", { name: "Propose transformer" }).click();
  await hands.saved();
  await expect(page.getByRole("figure", { name: "Flux of the transformer" })).toBeVisible();
  const readings = page.getByRole("region", { name: "Entries of the long cable" });
  for (const [name, text] of [
    ["Reading U–V", "0.91"],
    ["Reading V–W", "0.93"],
    ["Reading W–U", "0.92"],
  ] as const) {
    await hands.fill(readings.getByLabel(name, { exact: true }), text);
  }
  await hands.saved();
  await expect(page.getByText(/Read at the surface: cable/)).toBeVisible();
  await page.goto(`/plants/${id}/print/l1`);
  await expect(page.getByText("Step-up transformer").first()).toBeVisible();
  await expect(page.getByText("Start through it")).toBeVisible();
});
