import { expect, test } from "@playwright/test";
import { cell, importDemo, open } from "./plant";

const folder = "../docs/screenshots";

test("screenshots of the main views", async ({ page, request }) => {
  const id = await importDemo(request);
  const shoot = async (name: string) => {
    await page.waitForLoadState("networkidle");
    // A study that is still computed is no picture of it.
    await expect(page.getByRole("button", { name: "Stop", exact: true })).toHaveCount(0, { timeout: 40_000 });
    await page.waitForTimeout(300);
    await page.screenshot({ path: `${folder}/${name}.png` });
  };
  await open(page, id);
  await expect(page.getByRole("figure", { name: "Torque over speed" })).toBeVisible();
  await shoot("board");
  await page.getByRole("tab", { name: "Cost" }).click();
  await page.getByRole("button", { name: "Compare all …" }).click();
  await shoot("alternatives");
  await page.keyboard.press("Escape");
  await cell(page, "DP-04", "converter").click();
  await page.getByRole("tab", { name: "Time" }).click();
  await expect(page.getByRole("figure", { name: "Voltage at the bus" })).toBeVisible();
  await shoot("start");
  await cell(page, "DP-04", "supply").click();
  await page.getByRole("tab", { name: "Power" }).click();
  await page.getByRole("button", { name: "Full width" }).click();
  await shoot("protection");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Fails hoist drum" }).click();
  await expect(page.getByRole("figure", { name: "Torque of each unit" })).toBeVisible();
  await page.mouse.move(5, 5);
  await shoot("shaft");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Alt+4");
  await page.getByRole("button", { name: /film bus$/ }).click();
  await page.getByRole("button", { name: "Emergency stop" }).click();
  await shoot("dc-bus");
  await page.keyboard.press("Escape");
  for (const view of ["plant", "harmonics", "interference"]) {
    await open(page, id, `/${view}`);
    await shoot(view);
  }
  await open(page, id, "/harmonics");
  await page.getByRole("button", { name: "Mitigation workbench" }).click();
  await expect(page.getByRole("row", { name: /active front end/ })).toBeVisible({ timeout: 40_000 });
  await shoot("mitigation");
  await open(page, id, "/supplies?job=sun&point=dp-08");
  await expect(page.getByRole("figure", { name: "Water a day by month" })).toBeVisible();
  await shoot("sun");
  await open(page, id, "/supplies?job=long-cable&point=dp-06");
  await expect(page.getByRole("figure", { name: "Flux of the transformer" })).toBeVisible();
  await shoot("long-cable");
  await open(page, id, "/supplies?job=one-phase&point=l5");
  await expect(page.getByRole("figure", { name: /Input current and link/ })).toBeVisible();
  await shoot("one-phase");
  await page.goto(`/plants/${id}/print/l1`);
  await shoot("sheet");

  // The second example, in US customary units.
  const works = await request.post("/api/projects", { data: { name: "", who: "engineer", template: "tarn-hollow" } });
  const water = ((await works.json()) as { id: string }).id;
  await open(page, water, "/supplies?job=generator");
  await page.getByRole("button", { name: "Find it" }).click();
  await expect(page.getByText(/an active filter of/)).toBeVisible();
  await page.getByRole("button", { name: "Sweep sizes" }).click();
  await expect(page.getByRole("figure", { name: /over the size of the set/ })).toBeVisible();
  await page.getByRole("region", { name: "What must be shed or filtered" }).scrollIntoViewIfNeeded();
  await shoot("generator");
  await open(page, water, "/cabinets?lineup=l2");
  await page.getByRole("button", { name: /^RW-1 .*converter/ }).click();
  await shoot("cabinets");
  await open(page, water, "/signals?point=rw-1");
  await expect(page.getByRole("img", { name: /^Wiring of RW-1/ })).toBeVisible();
  await shoot("signals");
  // Some of the work on site, with a joint that is not in order.
  const entry = (stepId: string, found: object) =>
    request.post(`/api/projects/${water}/commissioning/entries`, {
      data: { who: "commissioning engineer", pointId: "rw-1", stepId, ...found },
    });
  for (const seen of ["visual", "clean", "tight", "wiring", "links"]) {
    await entry(seen, { done: true });
  }
  await entry("cable", { values: { metres: 96 } });
  await entry("earth", { values: { ohm: 0.06 }, instrument: "milliohmmeter 25 A" });
  await entry("insulation", {
    values: { megohm: 240, winding: 19 },
    instrument: "insulation tester",
    calibrated: "2026-03-02",
  });
  await entry("resistances", {
    values: { uv: 0.0996, vw: 0.1158, wu: 0.1155 },
    instrument: "micro-ohmmeter",
    calibrated: "2026-06-11",
  });
  // Beside what was found, what the simulated instruments read.
  await request.post(`/api/projects/${water}/instruments/stand-ins`, { data: { seed: 7, times: 1 } });
  await open(page, water, "/commissioning?point=rw-1&step=resistances");
  await expect(page.getByText("Suspect first")).toBeVisible();
  await expect(page.getByRole("button", { name: "Take all readings" })).toBeVisible({ timeout: 60_000 });
  await shoot("commissioning");
  await request.post(`/api/projects/${water}/instruments/stand-ins/stop`, { data: {} });
  await open(page, water, "/list");
  await page.getByLabel("Group by").selectOption("lineup");
  await shoot("list");
});
