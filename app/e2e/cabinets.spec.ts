import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { emptyPlant, fanWithDamper } from "./jobs";
import { importPlant, open } from "./plant";

test("cabinets from an empty plant, by keyboard: placed, fanned, judged, at the converter, on the sheet", async ({
  page,
  request,
}) => {
  const id = await emptyPlant(request);
  await open(page, id);
  const hands = await fanWithDamper(page);
  await hands.press("Alt+8");
  await page.getByRole("button", { name: "Place in cabinets" }).focus();
  await hands.press("Enter");
  await hands.saved();
  const checks = page.getByRole("region", { name: "Checks of the cabinets" });
  await expect(checks.getByRole("button", { name: /Heat in section 2/ })).toContainText("Needs data");
  const entries = page.getByRole("region", { name: "Entries of the cabinets" });
  await hands.fill(entries.getByLabel("Fan, blowing freely", { exact: true }), "60");
  await hands.fill(entries.getByLabel("Width free", { exact: true }), "2000");
  await hands.fill(entries.getByLabel("Busbar", { exact: true }), "250");
  await hands.fill(entries.getByLabel("Withstand I_cw", { exact: true }), "50");
  await hands.saved();
  await expect(checks.getByRole("button", { name: /Heat in section 2/ })).toContainText("Fails");
  await hands.fill(entries.getByLabel("Fan, blowing freely", { exact: true }), "2000");
  await hands.saved();
  await expect(checks.getByRole("button", { name: /Heat in section 2/ })).toContainText("Holds");
  for (const title of [/Width of L1/, /Busbar of L1/, /Short-circuit withstand of L1/]) {
    await expect(checks.getByRole("button", { name: title })).toContainText("Holds");
  }
  await page.getByRole("button", { name: /^DP-01 .*converter/ }).focus();
  await hands.press("Enter");
  const unit = page.getByRole("region", { name: "Chosen unit" });
  await expect(unit).toContainText("Takes in at most");
  await unit.getByLabel("Section").selectOption("3");
  await hands.saved();
  await expect(unit.getByLabel("Section")).toHaveValue("3");
  await unit.getByRole("button", { name: "Its cell on the board" }).focus();
  await hands.press("Enter");
  await expect(page.getByRole("gridcell", { name: /^DP-01 converter:/ })).toBeFocused();
  await page.goto(`/plants/${id}/print/l1`);
  await expect(page.getByText(/a fan each, 1400 m³\/h behind the mats/)).toBeVisible();
  await expect(page.getByRole("cell", { name: /placed by hand/ })).toBeVisible();
});

test("a crowded section of the water works is told, and its elevation leaves as a drawing", async ({
  page,
  request,
}) => {
  const id = await importPlant(request, readFileSync("../src/Cuadrilla.Documents/Demo/tarn-hollow.cuadrilla.json"));
  await open(page, id, "/cabinets?lineup=l2");
  await expect(page.getByRole("group", { name: /Front elevation of L2/ })).toBeVisible();
  const checks = page.getByRole("region", { name: "Checks of the cabinets" });
  await expect(checks.getByRole("button", { name: /Heat in section 2 of L2/ })).toContainText("Fails");
  const saving = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save as SVG" }).click();
  expect((await saving).suggestedFilename()).toMatch(/^l2-.*\.svg$/);
  const dxf = await request.get(`/api/projects/${id}/lineups/l2/cabinets.dxf`);
  expect(await dxf.text()).toMatch(/AC1009[\s\S]*RW-1[\s\S]*EOF/);
  await page.getByRole("button", { name: "L1 High-service pumps" }).click();
  await expect(page.getByRole("group", { name: /Front elevation of L1/ })).toBeVisible();
});

test("a unit moved out of a crowded section takes in cooler air, and its converter carries more", async ({
  page,
  request,
}) => {
  const id = await importPlant(request, readFileSync("../src/Cuadrilla.Documents/Demo/tarn-hollow.cuadrilla.json"));
  const limit = async () => {
    const project = (await (await request.get(`/api/projects/${id}`)).json()) as {
      assessment: { checks: { id: string; drivePointId: string; limit: number }[] };
    };
    return (
      project.assessment.checks.find((c) => c.id === "converter.continuous" && c.drivePointId === "rw-2")?.limit ?? 0
    );
  };
  await open(page, id, "/cabinets?lineup=l2");
  await page.getByRole("button", { name: /^RW-2 .*converter/ }).click();
  const unit = page.getByRole("region", { name: "Chosen unit" });
  const inlet = async () => Number(/at most: ([\d.]+)/.exec((await unit.textContent()) ?? "")?.[1]);
  const [warm, carried] = [await inlet(), await limit()];
  await unit.getByLabel("Section").selectOption("4");
  await expect(page.getByText("Edit 2 saved")).toBeVisible();
  await expect(unit.getByLabel("Section")).toHaveValue("4");
  await expect.poll(inlet).toBeLessThan(warm);
  expect(await limit()).toBeGreaterThan(carried);
});

test("at 480 V in US units from an empty plant, by keyboard: cabinets, control supply, signals, first steps on site", async ({
  page,
  request,
}) => {
  const id = await emptyPlant(request, "480-60");
  await open(page, id);
  const hands = await fanWithDamper(page, true);
  await hands.press("Alt+8");
  await page.getByRole("button", { name: "Place in cabinets" }).focus();
  await hands.press("Enter");
  await hands.saved();
  await page.getByRole("button", { name: "Add a control supply" }).focus();
  await hands.press("Enter");
  await hands.saved();
  await hands.press("Alt+i");
  await page.getByRole("button", { name: /^Usual signals for all/ }).focus();
  await hands.press("Enter");
  await hands.saved();
  await hands.press("Alt+c");
  await page.getByRole("button", { name: /^Insulation of motor and cable/ }).focus();
  await hands.press("Enter");
  const form = page.getByRole("form", { name: "Entry of Insulation of motor and cable" });
  await form.getByLabel("reading after 1 min").fill("210");
  await form.getByLabel("winding temperature").fill("70");
  await hands.press("Enter");
  await expect(page.getByText(/MΩ at 104 °F, at least/).first()).toBeVisible();
  await page.getByRole("button", { name: "Parameters", exact: true }).click();
  await expect(
    page.getByRole("table", { name: "Parameters of DP-01" }).getByRole("row", { name: /^rated power \d/ }),
  ).toContainText("hp");
});
