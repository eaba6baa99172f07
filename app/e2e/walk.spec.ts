import { expect, test } from "@playwright/test";
import { readFileSync } from "node:fs";
import { cell, importDemo, open } from "./plant";

test("the demo plant stands on the board with its tightest checks", async ({ page, request }) => {
  const id = await importDemo(request);
  await page.goto("/");
  const link = page.getByRole("link", { name: "Azulejos Valdecobre" });
  await link.and(page.locator(`[href$="${id}"]`)).click();
  await expect(page.getByRole("columnheader", { name: /DP-01/ })).toBeVisible();
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/Fails: Motor, continuous torque/);
  const ledger = page.getByRole("region", { name: /Ledger/ });
  await expect(ledger.getByRole("button")).toHaveCount(5);
  await expect(ledger.getByRole("button").first()).toContainText("Fails");
});

test("editing the plant moves every figure", async ({ page, request }) => {
  await open(page, await importDemo(request), "/plant");
  const busA = page.getByRole("region", { name: "Buses", exact: true }).locator("tr[data-element=bus-a]");
  await expect(busA).toContainText("27.8 / 27.0 kA");
  const rating = page.getByLabel("Rating of transformer 1");
  await rating.fill("1.6 MVA");
  await rating.press("Enter");
  await expect(page.getByRole("status").filter({ hasText: "Edit 2 saved" })).toBeVisible();
  await expect(busA).toContainText("34.8 / 33.5 kA");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(busA).toContainText("27.8 / 27.0 kA");
});

test("a bad value is shown at its field and nothing is saved", async ({ page, request }) => {
  const id = await importDemo(request);
  await open(page, id, "/plant");
  await page.getByLabel("Altitude").fill("-5000");
  await page.getByLabel("Altitude").press("Enter");
  await expect(page.getByRole("alert")).toHaveText("Altitude is -5000; allowed: -400 to 5000 m.");
  await expect(page.getByLabel("Altitude")).toHaveAttribute("aria-invalid", "true");
  const stored = (await (await request.get(`/api/projects/${id}`)).json()) as { edit: number };
  expect(stored.edit).toBe(1);
});

test("drive points are added, copied, moved and removed", async ({ page, request }) => {
  await open(page, await importDemo(request));
  const tags = page.getByRole("columnheader").filter({ hasText: /DP-/ });
  // Comes when all lineups are drawn.
  await expect(page.getByRole("button", { name: "Add lineup" })).toBeVisible();
  const before = await tags.count();
  await cell(page, "DP-03", "load").click();
  await page.getByRole("button", { name: "Copy" }).click();
  await expect(tags).toHaveCount(before + 1);
  await page.getByRole("button", { name: "Move left" }).click();
  await expect(tags.nth(2)).toContainText("DP-28");
  await page.getByRole("button", { name: "Add drive point" }).click();
  await expect(tags).toHaveCount(before + 2);
  await expect(cell(page, "DP-29", "motor")).toHaveAccessibleName(/Needs data/);
  await page.getByRole("button", { name: "Remove" }).click();
  await expect(tags).toHaveCount(before + 1);
});

test("a motor that fits is chosen among the candidates and the ledger follows", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "motor").click();
  await page.getByRole("tab", { name: "Candidates" }).click();
  const list = page.getByRole("list", { name: "Candidates, best first" });
  await expect(list.getByRole("button").first()).toContainText("55 kW");
  await expect(list.getByRole("button", { name: /IE3 cage 45 kW.*chosen/ })).toContainText(
    "Motor, continuous torque: 289 > 259 Nm",
  );
  await list.getByRole("button").first().click();
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/55 kW.*(Holds|Tight)/);
  await expect(
    page
      .getByRole("region", { name: /Ledger/ })
      .getByRole("button", { name: /DP-02 Exhaust fan/ })
      .filter({ hasText: "Fails" }),
  ).toHaveCount(0);

  // Another than the best stands too, with its reason.
  await list.getByRole("button", { name: /IE3 cage 55 kW, 4-pole/ }).click();
  await page.getByLabel(/Why this one/).fill("same as the neighbour");
  await page.getByRole("button", { name: "Choose it" }).click();
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/IE3 cage 55 kW/);
  await page.getByRole("tab", { name: "Entries" }).click();
  await expect(page.getByLabel("Reason for this motor")).toHaveValue("same as the neighbour");
});

test("the bench shows torque, line current, losses and cost, and each figure's reason", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-01", "converter").click();
  await expect(page.getByRole("figure", { name: "Torque over speed" })).toBeVisible();
  await expect(page.getByText("air at converter 38 °C")).toBeVisible();
  await page.getByRole("tab", { name: "Power" }).click();
  await expect(page.getByRole("figure", { name: "Spectrum" })).toBeVisible();
  await page.getByRole("button", { name: /THDi/ }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("THDi = 100·√(ΣI_h²)/I_1");
  await expect(dialog).toContainText("link capacitance");
  await page.keyboard.press("Escape");
  await page.getByRole("tab", { name: "Power" }).click();
  await expect(page.getByRole("row", { name: /Motor cable/ })).toBeVisible();
  await page.getByRole("tab", { name: "Cost" }).click();
  await expect(page.getByRole("cell", { name: /^\d+\. As today: outlet damper/ })).toBeVisible();
  await expect(page.getByText("Simple payback")).toBeVisible();
});

test("the reason of a check opens from the ledger", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await page
    .getByRole("region", { name: /Ledger/ })
    .getByRole("button", { name: /Stop of all members/ })
    .click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("full production");
  await expect(dialog).toContainText("Relief:");
  await page.keyboard.press("Escape");
  await expect(dialog).toHaveCount(0);
});

test("harmonics at the PCC stand order by order", async ({ page, request }) => {
  await open(page, await importDemo(request), "/harmonics");
  await expect(page.getByText("TDD (of demand current)")).toBeVisible();
  await expect(page.getByRole("figure", { name: /Current by order/ })).toBeVisible();
});

test("sheet, lists and project file leave the program and the file comes back", async ({ page, request }) => {
  const id = await importDemo(request);
  await open(page, id, "/sheets");
  const pdf = page.waitForEvent("download");
  await page.getByRole("link", { name: "PDF" }).first().click();
  expect((await pdf).suggestedFilename()).toBe("azulejos-valdecobre-l1.pdf");
  const file = page.waitForEvent("download");
  await page.getByRole("link", { name: /Project file/ }).click();
  const path = await (await file).path();
  await page.goto("/");
  await page.getByLabel("A file *.cuadrilla.json").setInputFiles(path);
  await expect(page.getByRole("columnheader", { name: /DP-01/ })).toBeVisible();
  const copy = new URL(page.url()).pathname.split("/")[2] ?? "";
  expect(copy).not.toBe(id);
  const text = (await (await request.get(`/api/projects/${copy}/file`)).body()).toString();
  expect(text).toBe(readFileSync(path, "utf8"));
  await page.goto(`/plants/${id}/print/l1`);
  await expect(page.getByRole("heading", { name: "L1 Body preparation" })).toBeVisible();
});

test("what two windows change in different fields is merged by itself", async ({ page, context, request }) => {
  const id = await importDemo(request);
  const other = await context.newPage();
  // A window that has not heard of the other yet.
  await other.route("**/events", (route) => route.abort());
  await open(page, id, "/plant");
  await open(other, id, "/plant");
  await page.getByLabel("Highest ambient temperature").fill("41");
  await page.getByLabel("Highest ambient temperature").press("Enter");
  await expect(page.getByText("Edit 2 saved")).toBeVisible();
  await other.getByLabel("Altitude").fill("700");
  await other.getByLabel("Altitude").press("Enter");
  await expect(other.getByText("Edit 3 saved")).toBeVisible();
  await expect(other.getByLabel("Altitude")).toHaveValue("700");
  await expect(other.getByLabel("Highest ambient temperature")).toHaveValue("41");
});

test("a stale edit of the same field in a second window is refused and offered again", async ({
  page,
  context,
  request,
}) => {
  const id = await importDemo(request);
  const other = await context.newPage();
  await other.route("**/events", (route) => route.abort());
  await open(page, id, "/plant");
  await open(other, id, "/plant");
  await page.getByLabel("Altitude").fill("650");
  await page.getByLabel("Altitude").press("Enter");
  await expect(page.getByText("Edit 2 saved")).toBeVisible();
  await other.getByLabel("Altitude").fill("700");
  await other.getByLabel("Altitude").press("Enter");
  const dialog = other.getByRole("dialog");
  await expect(dialog).toContainText("site: altitude");
  await dialog.getByRole("button", { name: "Save the merged version" }).click();
  await expect(other.getByText("Edit 3 saved")).toBeVisible();
  await expect(other.getByLabel("Altitude")).toHaveValue("700");
});

test("history has labels, compares and brings back", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-01", "cable").click();
  await page.getByLabel("Length").fill("80");
  await page.getByLabel("Length").press("Enter");
  await expect(page.getByText("Edit 2 saved")).toBeVisible();
  await page.getByRole("button", { name: "History" }).click();
  await expect(page.getByRole("row", { name: /DP-01: cable length/ })).toBeVisible();
  await page.getByRole("button", { name: "Compare" }).click();
  await expect(page.getByText(/DP-01, cable: length: 62 m then, 80 m now/)).toBeVisible();
  await page.getByRole("button", { name: "Bring back" }).click();
  await expect(page.getByText("Edit 3 saved")).toBeVisible();
});

test("a winder is entered from its process sheet and shows torque over diameter", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-16", "load").click();
  await page.getByRole("button", { name: "Add drive point" }).click();
  await cell(page, "DP-28", "load").click();
  await page.getByLabel("Machine", { exact: true }).selectOption("winder");
  await expect(cell(page, "DP-28", "load")).toHaveAccessibleName(/winds, N open/);
  const enter = async (label: string, text: string) => {
    const field = page.getByLabel(label, { exact: true });
    await field.fill(text);
    await field.press("Enter");
    await expect(page.getByRole("status").filter({ hasText: /Edit \d+ saved/ })).toBeVisible();
  };
  await enter("Line speed", "180 m/min");
  await enter("Tension at the core", "800 N");
  await enter("Taper to the full roll", "0");
  await enter("Core diameter", "90 mm");
  await enter("Full diameter", "610");
  await enter("Web width", "0.8 m");
  await enter("Density of the roll", "920");
  await enter("Friction at the roll", "0");
  await enter("Gear ratio", "1");
  await enter("Gear efficiency", "100");
  await page.getByRole("tab", { name: "Fit" }).click();
  await expect(page.getByRole("figure", { name: "Torque and speed over the diameter" })).toBeVisible();
  await expect(page.getByText("2.400 kW")).toBeVisible();
});

test("a duty comes from a CSV whose bad row is named", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-03", "load").click();
  await page.getByRole("button", { name: "From CSV …" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Rows").fill("hours;flow\n1200;100\n3000;sixty");
  await dialog.getByLabel("flow, % of rated").selectOption({ label: "flow" });
  await dialog.getByLabel("hours per year").selectOption({ label: "hours" });
  await expect(dialog.getByRole("alert")).toContainText("row 2: flow, % of rated is “sixty”");
  await dialog.getByLabel("Rows").fill("hours;flow\n1200;100\n3000;60");
  await dialog.getByRole("button", { name: "Take 2 rows" }).click();
  await expect(page.getByLabel("Hours of duty point 2")).toHaveValue("3000");
  await expect(page.getByLabel("Flow of duty point 2, %")).toHaveValue("60");
});

test("three technologies are compared and one is picked with a reason", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "motor").click();
  await page.getByRole("tab", { name: "Candidates" }).click();
  await page.getByRole("button", { name: "Compare technologies …" }).click();
  const dialog = page.getByRole("dialog");
  for (const name of ["cage induction", "reluctance", "permanent magnet"]) {
    await expect(dialog.getByRole("columnheader", { name: new RegExp(name) }).first()).toBeVisible();
  }
  await expect(dialog.getByRole("row", { name: /driven while off/ })).toContainText("voltage at the terminals");
  await expect(dialog).toContainText("they only size the converter and the cable");
  await dialog.getByRole("button", { name: /Choose IE5 reluctance 55 kW/ }).click();
  await page.getByLabel(/Why this one/).fill("cool bearings");
  await page.getByRole("button", { name: "Choose it" }).click();
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/IE5 reluct. 55 kW/);
  await expect(
    page
      .getByRole("region", { name: /Ledger/ })
      .getByRole("button", { name: /DP-02 Exhaust fan/ })
      .filter({ hasText: "Motor, continuous torque" }),
  ).toHaveCount(0);
});

test("the rule on bearings is failed by the dryer fan and cured by a switch", async ({ page, request }) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-01", "motor").click();
  await page.getByRole("tab", { name: "Entries" }).click();
  await expect(page.getByText("Motor, bearing currents")).toBeVisible();
  await page.getByLabel("Insulated bearing, non-drive end").click();
  await expect(cell(page, "DP-01", "motor")).toHaveAccessibleName(/(Holds|Tight)/);
  await expect(page.getByRole("img", { name: "Delta: U1 to W2, V1 to U2, W1 to V2" })).toBeVisible();
});

test("a data plate is entered by hand, checked as a whole, and stands among the candidates", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request));
  await cell(page, "DP-02", "motor").click();
  await page.getByRole("tab", { name: "Candidates" }).click();
  await page.getByRole("button", { name: "Own motors …" }).click();
  const dialog = page.getByRole("dialog", { name: "Own motors" });
  await dialog.getByRole("button", { name: "Enter a data plate …" }).click();
  const plate = {
    Name: "Mill spare 7",
    Power: "75 hp",
    "Rated current": "98",
    Speed: "1482",
    Efficiency: "95.1",
    "Power factor": "0.99",
  };
  for (const [label, text] of Object.entries(plate)) {
    await dialog.getByLabel(label, { exact: true }).fill(text);
  }
  await dialog.getByRole("button", { name: "Take the motor" }).click();
  await expect(dialog.getByRole("alert")).toContainText("Power factor is 0.99; allowed: about 0.866");
  await dialog.getByLabel("Power factor", { exact: true }).fill("0.87");
  await dialog.getByRole("button", { name: "Take the motor" }).click();
  await expect(dialog.getByRole("row", { name: /Mill spare 7/ })).toContainText(
    "breakdown torque, locked-rotor current",
  );
  await dialog.getByRole("button", { name: "Close" }).click();
  await page
    .getByRole("list", { name: "Candidates, best first" })
    .getByRole("button", { name: /Mill spare 7/ })
    .click();
  const reason = page.getByLabel(/Why this one/);
  if (await reason.isVisible()) {
    await reason.fill("in store");
    await page.getByRole("button", { name: "Choose it" }).click();
  }
  await expect(cell(page, "DP-02", "motor")).toHaveAccessibleName(/Mill spare 7/);
});

test("ten motors come from a CSV, its bad row is named, the rest come in", async ({ page, request }) => {
  const id = await importDemo(request);
  await open(page, id);
  await cell(page, "DP-02", "motor").click();
  await page.getByRole("tab", { name: "Candidates" }).click();
  await page.getByRole("button", { name: "Own motors …" }).click();
  const dialog = page.getByRole("dialog", { name: "Own motors" });
  await dialog.getByRole("button", { name: /From a list/ }).click();
  const rows = Array.from({ length: 10 }, (_, i) =>
    i === 6 ? `M${i + 1};fifty;400;80;50;1480;94;0.86;4` : `M${i + 1};45;400;${80 + i / 10};50;1480;94.2;0.86;4`,
  );
  await dialog.getByLabel("List of motors").setInputFiles({
    name: "motors.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(["Type;kW;Voltage;Current;Hz;Speed;Efficiency;cos phi;Poles", ...rows].join("\n")),
  });
  await expect(dialog.getByRole("alert")).toHaveText("row 7: Power is “fifty”");
  await dialog.getByRole("button", { name: "Take the 9 good rows" }).click();
  await expect(dialog.getByRole("row", { name: /M10/ })).toBeVisible();
  const stored = (await (await request.get(`/api/projects/${id}`)).json()) as {
    specification: { motors: { name: string }[] };
  };
  expect(stored.specification.motors.map((m) => m.name)).toEqual([
    "M1",
    "M2",
    "M3",
    "M4",
    "M5",
    "M6",
    "M8",
    "M9",
    "M10",
  ]);
});

test("the single-line diagram is live, leads to entries and cells, and is saved as SVG", async ({ page, request }) => {
  await open(page, await importDemo(request), "/plant");
  const diagram = page.getByRole("region", { name: "Single-line diagram" }).first();
  await expect(diagram.getByRole("button", { name: /transformer 1, 1250 kVA, 6 %, Fails/ })).toBeVisible();
  await diagram.getByRole("button", { name: /transformer 1/ }).click();
  await expect(page.getByLabel("Name of transformer 1")).toBeFocused();
  await page.getByLabel("Rating of transformer 1").fill("2 MVA");
  await page.getByLabel("Rating of transformer 1").press("Enter");
  await expect(diagram.getByRole("button", { name: /transformer 1, 2000 kVA, 6 %, Holds/ })).toBeVisible();
  const saved = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save as SVG" }).click();
  const svg = readFileSync(await (await saved).path(), "utf8");
  expect(svg).toContain("2000 kVA");
  expect(svg).toContain("DP-16");
  await diagram.getByRole("button", { name: /DP-02 motor, Fails/ }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: /DP-02 Exhaust fan · motor/ })).toBeVisible();
});
