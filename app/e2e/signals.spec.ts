import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import DxfParser, { type ILineEntity } from "dxf-parser";
import { emptyPlant, fanWithDamper } from "./jobs";
import { importPlant, open } from "./plant";

const water = () => readFileSync("../src/Cuadrilla.Documents/Demo/tarn-hollow.cuadrilla.json");

test("signals from an empty plant, by keyboard: usual ones, a controller, channels, lists", async ({
  page,
  request,
}) => {
  const id = await emptyPlant(request);
  await open(page, id);
  const hands = await fanWithDamper(page);
  await hands.press("Alt+i");
  await page.getByRole("button", { name: /^Usual signals for all/ }).focus();
  await hands.press("Enter");
  await hands.saved();
  const checks = page.getByRole("region", { name: "Checks of the signals" });
  await expect(checks.getByRole("button", { name: /Terminals and channels/ })).toContainText("Needs data");
  await page.getByRole("button", { name: "Controller and channels" }).focus();
  await hands.press("Enter");
  for (const kind of ["digital inputs", "relay outputs", "analogue outputs", "analogue inputs"]) {
    await page.getByLabel("Add a card of").selectOption({ label: kind });
    await hands.saved();
  }
  await expect(page.getByRole("grid", { name: "Channels of the controller" })).toContainText("DP-01 speed reference");
  await page.getByRole("button", { name: "Drive points" }).focus();
  await hands.press("Enter");
  await expect(checks.getByRole("button", { name: /Terminals and channels/ })).toContainText("Holds");
  await expect(checks.getByRole("button", { name: /^.*Stop/ })).toContainText("Needs data");
  const settings = page.getByRole("region", { name: "Settings of the signals" });
  await settings.getByLabel("Stop depends on").selectOption({ label: "safe torque off" });
  await hands.saved();
  await settings.getByLabel("Stop category").selectOption({ label: "0, power off at once" });
  await hands.saved();
  await expect(checks.getByRole("button", { name: /^.*Stop/ })).toContainText("Holds");
  await page.getByRole("button", { name: "Remove DP-01 safe torque off" }).focus();
  await hands.press("Enter");
  await hands.saved();
  await expect(checks.getByRole("button", { name: /Enable/ })).toContainText("Fails");
  const list = await request.get(`/api/projects/${id}/lists/signals.csv`);
  expect(await list.text()).toMatch(/DP-01,speed reference,into the unit,4 to 20 mA,AI1,controller,AO-1\.1/);
  await expect(page.getByRole("img", { name: /^Wiring of DP-01/ })).toBeVisible();
});

test("faults of the water works are told; a reference moves to a card of its kind, by typing", async ({
  page,
  request,
}) => {
  const id = await importPlant(request, water());
  await open(page, id, "/signals?point=rw-1");
  const checks = page.getByRole("region", { name: "Checks of the signals" });
  await expect(checks.getByRole("button", { name: /Kinds of signals/ })).toContainText("Fails");
  await page.getByRole("button", { name: "Controller and channels" }).click();
  const sheet = page.getByRole("grid", { name: "Channels of the controller" });
  await sheet.getByRole("gridcell", { name: "channel 3, AO-2" }).click();
  await page.keyboard.type("RW-1 speed reference");
  await page.keyboard.press("Enter");
  await expect(sheet.getByRole("gridcell", { name: "channel 3, AO-2" })).toHaveText("RW-1 speed reference");
  await page.getByRole("button", { name: "Drive points" }).click();
  await expect(checks.getByRole("button", { name: /Kinds of signals/ })).toContainText("Holds");
  await page.getByRole("button", { name: /EF-1 Filter/ }).click();
  await expect(checks.getByRole("button", { name: /Enable/ })).toContainText("Fails");
  await page.getByRole("navigation", { name: "Parts of the signals" }).getByRole("button", { name: "Scaling" }).click();
  await page.getByLabel("Value", { exact: true }).fill("13.6");
  await expect(page.getByRole("region", { name: "What follows" })).toContainText("36.0 Hz");
});

test("the drawing of the cabinets has the rectangles of the data; the 24 V branch that never trips is told", async ({
  page,
  request,
}) => {
  const id = await importPlant(request, water());
  const cabinets = (await (await request.get(`/api/projects/${id}/lineups/l2/cabinets`)).json()) as {
    sections: { widthMm: number; units: { widthMm: number; heightMm: number }[] }[];
  };
  const dxf = await (await request.get(`/api/projects/${id}/lineups/l2/cabinets.dxf`)).text();
  const drawn = new DxfParser().parseSync(dxf);
  const lines = (drawn?.entities ?? []).filter((e): e is ILineEntity => e.type === "LINE" && e.layer === "UNITS");
  const lengths = lines.map((l) =>
    Math.round(
      Math.hypot((l.vertices[0]?.x ?? 0) - (l.vertices[1]?.x ?? 0), (l.vertices[0]?.y ?? 0) - (l.vertices[1]?.y ?? 0)),
    ),
  );
  const units = cabinets.sections.flatMap((s) => s.units);
  expect(units.length).toBeGreaterThan(3);
  for (const unit of units) {
    expect(lengths).toContain(Math.round(unit.widthMm));
    expect(lengths).toContain(Math.round(unit.heightMm));
  }
  await open(page, id, "/cabinets?lineup=l2");
  const supply = page.getByRole("region", { name: "Control supply" });
  await expect(supply.getByRole("button", { name: /24 V branch coils/ })).toContainText("Fails");
  await supply.getByLabel("Protected by of coils and far limit switches").selectOption({ label: "electronic" });
  await expect(supply.getByRole("button", { name: /24 V branch coils/ })).toContainText("5.91 of 2.90 V");
  await supply.getByLabel("Section of coils and far limit switches").fill("6 mm²");
  await supply.getByLabel("Section of coils and far limit switches").press("Enter");
  await expect(supply.getByRole("button", { name: /24 V branch coils/ })).toContainText("Holds");
});
