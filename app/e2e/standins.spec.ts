import { spawn, type ChildProcess } from "node:child_process";
import { fileURLToPath } from "node:url";
import { expect, test, type APIRequestContext, type Page } from "@playwright/test";
import { importDemo, open } from "./plant";

const program = fileURLToPath(new URL("../../.build/web/Cuadrilla.Web.dll", import.meta.url));

/** The process that the server would start, with something wrong at one drive point. */
function standIns(
  broker: string,
  plant: string,
  project: unknown,
  faults: Readonly<Record<string, string>>,
): ChildProcess {
  const child = spawn("dotnet", [program, "stand-ins"], { stdio: ["pipe", "ignore", "ignore"] });
  child.stdin.write(`${JSON.stringify({ broker, plant, seed: 5, project, faults, times: 20, points: ["dp-04"] })}\n`);
  return child;
}

/** A mill that breaks away: with the current of the example it does not. */
async function strongerStart(request: APIRequestContext, id: string) {
  const found = (await (await request.get(`/api/projects/${id}`)).json()) as {
    edit: number;
    specification: { lineups: { drivePoints: { id: string }[] }[] };
  };
  const at = found.specification.lineups[0]?.drivePoints.findIndex((p) => p.id === "dp-04") ?? -1;
  const path = `/lineups/0/drivePoints/${at}/converter/settings`;
  const saved = await request.post(`/api/projects/${id}/changes`, {
    data: {
      basedOn: found.edit,
      label: "start of the mill",
      who: "engineer",
      merges: true,
      changes: [
        { op: "replace", path: `${path}/initialPct`, value: 500 },
        { op: "replace", path: `${path}/currentLimitPct`, value: 600 },
      ],
    },
  });
  expect(saved.ok()).toBe(true);
}

async function step(page: Page, title: string) {
  await page.getByRole("button", { name: new RegExp(`${title} (open|done|not in order|stale|waits)`) }).click();
  return page.getByRole("region", { name: title, exact: true });
}

async function takeAndEnter(page: Page, title: string, take = "Take all readings") {
  const panel = await step(page, title);
  const corrects = panel.getByLabel(/^corrects entry/);
  if (await corrects.isVisible()) {
    await corrects.check();
  }
  await expect(async () => {
    await panel.getByRole("button", { name: take }).click();
    await expect(panel.getByText("taken, simulated").first()).toBeVisible({ timeout: 2000 });
  }).toPass({ timeout: 30_000 });
  await panel.getByRole("button", { name: /^(Enter|In order)$/ }).click();
  await expect(panel.getByText("taken, simulated")).toHaveCount(0);
  return panel;
}

test("the ball mill with stand-ins: a swapped rotation and a mistyped plate are found, signed off and printed", async ({
  page,
  request,
}) => {
  test.setTimeout(240_000);
  const id = await importDemo(request);
  await strongerStart(request, id);
  await open(page, id, "/commissioning?part=instruments&point=dp-04");
  await page.getByRole("button", { name: "Start the stand-ins" }).click();
  await expect(page.getByRole("table", { name: "Readings at DP-04" })).toBeVisible({ timeout: 60_000 });
  await page.getByRole("button", { name: "Stop them" }).click();
  await expect(page.getByRole("button", { name: "Start the stand-ins" })).toBeVisible();
  const { broker } = (await (await request.get(`/api/projects/${id}/instruments`)).json()) as { broker: string };
  const project: unknown = await (await request.get(`/api/projects/${id}/file`)).json();
  let child = standIns(broker, id, project, { "dp-04": "swapped-rotation" });
  try {
    await page.getByRole("button", { name: "Steps", exact: true }).click();
    const insulation = await step(page, "Insulation of motor and cable");
    await expect(insulation.getByRole("group", { name: "Simulated drive" })).toContainText("at rest", {
      timeout: 60_000,
    });
    await expect(insulation.getByRole("button", { name: "Take all readings" })).toBeVisible();
    await takeAndEnter(page, "Insulation of motor and cable");
    await takeAndEnter(page, "Supply at the unit’s terminals".replace("’", "'"));
    const direction = await step(page, "Direction of rotation");
    const drive = direction.getByRole("group", { name: "Simulated drive" });
    await drive.getByRole("button", { name: /^Start/ }).click();
    await expect(direction.getByRole("form").getByRole("table")).toContainText(/[-−]\d+ rpm now/, { timeout: 30_000 });
    await takeAndEnter(page, "Direction of rotation", "Take speed at the forward command, forward positive");
    await expect(direction).toContainText("not forward, two leads are swapped");
    await expect(direction).toContainText("Suspect first");

    // Leads changed; now the plate in the unit is wrong.
    child.kill("SIGKILL");
    await expect(drive).toContainText("has said nothing", { timeout: 30_000 });
    child = standIns(broker, id, project, { "dp-04": "plate-typed" });
    await expect(drive).toContainText("at rest", { timeout: 60_000 });
    await drive.getByRole("button", { name: /^Start/ }).click();
    await expect(direction.getByRole("form").getByRole("table")).toContainText(/[^-−\d][1-9]\d+ rpm now/, {
      timeout: 30_000,
    });
    await takeAndEnter(page, "Direction of rotation", "Take speed at the forward command, forward positive");
    await expect(page.getByRole("button", { name: /Direction of rotation done/ })).toBeVisible();
    const links = await step(page, "Links in the terminal box: delta");
    await links.getByRole("button", { name: "In order", exact: true }).click();
    const plate = await takeAndEnter(page, "Plate as entered in the unit");
    await expect(plate).toContainText("Suspect first");
    child.kill("SIGKILL");
    child = standIns(broker, id, project, {});
    await expect(page.getByRole("button", { name: /Plate as entered in the unit not in order/ })).toBeVisible();
    await expect(plate.getByRole("group", { name: "Simulated drive" })).not.toContainText("has said nothing", {
      timeout: 60_000,
    });
    await expect(async () => {
      await takeAndEnter(page, "Plate as entered in the unit");
      await expect(page.getByRole("button", { name: /Plate as entered in the unit done/ })).toBeVisible({
        timeout: 3000,
      });
    }).toPass({ timeout: 60_000 });
    await page.getByRole("button", { name: /^Sign-off/ }).click();
    const signOff = page.getByRole("region", { name: "Sign-off" });
    await signOff.getByRole("button", { name: /^Name all/ }).click();
    await signOff.getByRole("button", { name: /^Sign off/ }).click();
    await expect(signOff.getByRole("status")).toContainText("simulated entries");
    const printed = await request.get(`/api/projects/${id}/commissioning/points/dp-04/record.pdf`);
    expect(printed.headers()["content-type"]).toBe("application/pdf");
    expect((await printed.body()).length).toBeGreaterThan(5000);
  } finally {
    child.kill("SIGKILL");
  }
});

test("an exercise is begun, measured, decided and told", async ({ page, request }) => {
  test.setTimeout(120_000);
  await page.goto("/");
  await page.getByText(/^Training/).click();
  await page.getByRole("button", { name: "Begin Exit rollers that do not start" }).click();
  const exercise = page.getByRole("region", { name: "Exercise" });
  await expect(exercise).toContainText("Motors are already being changed");
  const supply = await step(page, "Supply at the unit's terminals");
  await expect(supply.getByRole("button", { name: "Take all readings" })).toBeVisible({ timeout: 60_000 });
  await takeAndEnter(page, "Supply at the unit's terminals");
  await expect(supply).toContainText("Suspect first");
  await exercise.getByLabel("What is wrong").selectOption("phase-missing");
  await exercise.getByRole("button", { name: /^Decide/ }).click();
  await expect(exercise).toContainText("100 of 100 points");
  const id = /plants\/([^/]+)/.exec(page.url())?.[1] ?? "";
  await request.post(`/api/projects/${id}/instruments/stand-ins/stop`, { data: {} });
});

test("a fan’s line current: the recorded cycle lies beside the study’s and can be held", async ({ page, request }) => {
  test.setTimeout(120_000);
  const id = await importDemo(request);
  await open(page, id, "/commissioning?part=instruments&point=dp-01");
  await page.getByLabel("Faster than the clock").selectOption("20");
  await page.getByRole("button", { name: "Start the stand-ins" }).click();
  await expect(page.getByText(/^Running, \d+ drive points/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole("button", { name: "Steps", exact: true }).click();
  const panel = await step(page, "Harmonics of the line current");
  await panel.getByRole("button", { name: /^Start/ }).click();
  const cycle = panel.getByRole("region", { name: "Recorded cycle" });
  await expect(cycle.getByText("power analyser (simulated)")).toBeVisible({ timeout: 30_000 });
  await expect(cycle.getByText(/THDi .* %, of the study/)).toBeVisible();
  await cycle.getByRole("button", { name: "Hold the picture" }).click();
  await expect(cycle.getByText("held")).toBeVisible();
  await panel.getByRole("button", { name: "Method plant-harmonics" }).first().click();
  await expect(page.getByRole("dialog").getByRole("heading", { name: "Waveforms and network together" })).toBeVisible();
  await page.getByRole("button", { name: "Close" }).click();
  await request.post(`/api/projects/${id}/instruments/stand-ins/stop`);
});
