import { expect, test } from "@playwright/test";
import { importDemo, open } from "./plant";

test("harmonics are explained: scenarios, phasors, resonance, and a reactor cures it", async ({ page, request }) => {
  await open(page, await importDemo(request), "/harmonics");
  const matrix = page.getByRole("table", { name: "Figures by scenario" });
  await expect(matrix.getByRole("row", { name: /TDD at the PCC/ }).getByRole("img", { name: "Fails" })).toBeVisible({
    timeout: 30_000,
  });
  await matrix.getByRole("button", { name: "full production" }).click();
  await expect(page.getByRole("figure", { name: /Current by order, full production/ })).toBeVisible();
  const why = page.getByRole("region", { name: "Why" });
  await why.getByRole("button", { name: "5", exact: true }).click();
  await expect(why.getByText(/cancel most/)).toBeVisible();
  await expect(why.getByRole("table", { name: "Share of the harmonic current" })).toContainText("DP-01");
  await why.getByLabel("Bus looked at").selectOption({ label: "400 V bus B" });
  await expect(why.getByRole("list", { name: "Resonances" })).toContainText("order 7 is drawn there");
  await expect(why.getByRole("figure", { name: "A cycle at the bus, phase A" })).toBeVisible();

  await expect(why.getByRole("list", { name: "What spoils the front ends" })).toContainText(
    /DP-27, 18-pulse: THDi .* without the .* unbalance/,
  );
  await expect(why.getByText(/Waveforms and network agree on all orders/)).toBeVisible();

  await page.getByRole("button", { name: "Mitigation workbench" }).click();
  const sheet = page.getByRole("dialog", { name: "Mitigation workbench" });
  const ways = sheet.getByRole("table", { name: "Ways of mitigating" });
  await expect(ways.getByRole("row", { name: /active front end/ })).toBeVisible({ timeout: 60_000 });
  await expect(sheet.getByText(/A central active filter at low voltage/)).toContainText("A, a fifth of margin");
  await ways
    .getByRole("row", { name: /reactor of 7 % for the capacitor banks/ })
    .getByRole("button", { name: "Try" })
    .click();
  await expect(ways.getByRole("row", { name: /reactor of 7 % for/ })).toHaveCount(0, { timeout: 60_000 });
  await sheet.getByRole("button", { name: "Close" }).click();
  await expect(
    page.getByText("No capacitor bank lifts the impedance of this bus.").or(why.getByText(/At 3\.\d+ times/)),
  ).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(why.getByRole("list", { name: "Resonances" })).toContainText("order 7 is drawn there");
});

test("a measured spectrum and a recording stand beside the study", async ({ page, request }) => {
  const id = await importDemo(request);
  await open(page, id, "/harmonics");
  await page.getByRole("button", { name: "Measured against computed" }).click();
  const sheet = page.getByRole("dialog", { name: "Measured against computed" });
  const file = sheet.getByLabel("CSV, or .cfg with .dat");
  await file.setInputFiles({
    name: "coupling.csv",
    mimeType: "text/csv",
    buffer: Buffer.from("order;A\n1;42\n5;6,1\n7;2\n"),
  });
  const comparison = sheet.getByRole("region", { name: "Comparison" });
  await expect(comparison).toContainText("coupling.csv: fundamental 42");
  await expect(comparison.getByRole("figure", { name: /Orders, % of each/ })).toBeVisible();
  await file.setInputFiles({ name: "bad.csv", mimeType: "text/csv", buffer: Buffer.from("order;A\n1;42\n99;6\n") });
  await expect(sheet.getByText(/1 to 50, each once/)).toBeVisible();
  await file.setInputFiles({ name: "half.cfg", mimeType: "text/plain", buffer: Buffer.from("x") });
  await expect(sheet.getByRole("alert")).toContainText("choose the .cfg and the .dat together");

  // What the program writes it reads back: the computed cycle differs from the study by its rounding only.
  const parts = await Promise.all(
    ["cfg", "dat"].map(async (part) => ({
      name: `computed.${part}`,
      mimeType: "application/octet-stream",
      buffer: await (
        await request.get(`/api/projects/${id}/waveforms/${part}?scenarioId=full-production&busId=bus-mv&kind=binary`)
      ).body(),
    })),
  );
  await sheet.getByLabel("While").selectOption({ label: "full production" });
  await file.setInputFiles(parts);
  await sheet.getByLabel("Channel").selectOption({ label: "current into the bus  phase A" });
  await expect(comparison).toContainText("computed.cfg: fundamental");
});

test("one drive's front ends are compared and one is tried", async ({ page, request }) => {
  await open(page, await importDemo(request), "/harmonics");
  await page.getByRole("button", { name: "Mitigation workbench" }).click();
  const sheet = page.getByRole("dialog", { name: "Mitigation workbench" });
  await sheet.getByLabel("For").selectOption({ label: "DP-02 Exhaust fan" });
  const choke = sheet.getByRole("row", { name: /six-pulse, DC choke 4 %/ });
  await expect(choke).toContainText("1 changed", { timeout: 60_000 });
  await choke.getByRole("button", { name: "Try" }).click();
  await expect(sheet.getByRole("row", { name: /six-pulse, no choke/ })).toBeVisible({ timeout: 60_000 });
});

test("a central active filter and a move to the other transformer are tried, and undone", async ({ page, request }) => {
  const id = await importDemo(request);
  await open(page, id, "/harmonics");
  await page.getByRole("button", { name: "Mitigation workbench" }).click();
  const sheet = page.getByRole("dialog", { name: "Mitigation workbench" });
  await sheet.getByLabel("For").selectOption({ label: "DP-02 Exhaust fan" });
  const filter = sheet.getByRole("row", { name: /central active filter of \d+ A/ });
  await expect(filter).toBeVisible({ timeout: 60_000 });
  await expect(sheet.getByRole("row", { name: /DP-02 moved into/ }).first()).toContainText("only while both sides run");
  await filter.getByRole("button", { name: "Try" }).click();
  await sheet.getByRole("button", { name: "Close" }).click();

  // It stands on the plant page and in the single-line diagram, with its check.
  await open(page, id, "/plant");
  await expect(
    page
      .getByRole("img", { name: /Active filter, / })
      .or(page.getByLabel(/Active filter, /))
      .first(),
  ).toBeVisible();
  const rated = page.getByLabel(/Rated current of Active filter/);
  await rated.fill("30");
  await rated.press("Enter");
  await expect(page.getByText("Edit 3 saved")).toBeVisible();
  await expect(page.getByRole("button", { name: /Why: Current of Active filter/ })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(rated).not.toHaveValue("30");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(rated).toHaveCount(0);
});
