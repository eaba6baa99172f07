import { expect, test, type APIRequestContext } from "@playwright/test";
import { emptyPlant, fanWithDamper } from "./jobs";
import { importDemo, open } from "./plant";

interface Found {
  readonly edit: number;
  readonly specification: { readonly lineups: readonly { readonly drivePoints: readonly { readonly id: string }[] }[] };
}

/** Somebody else changes one entry of a drive point of the first lineup. */
async function change(request: APIRequestContext, id: string, point: string | undefined, entry: string, value: number) {
  const found = (await (await request.get(`/api/projects/${id}`)).json()) as Found;
  const points = found.specification.lineups[0]?.drivePoints ?? [];
  const at = point === undefined ? 0 : points.findIndex((p) => p.id === point);
  const saved = await request.post(`/api/projects/${id}/changes`, {
    data: {
      basedOn: found.edit,
      label: entry,
      who: "engineer",
      merges: true,
      changes: [{ op: "replace", path: `/lineups/0/drivePoints/${at}/${entry}`, value }],
    },
  });
  expect(saved.ok()).toBe(true);
}

test("a fan from an empty plant: steps by keyboard, a bad joint found and mended, stale after an edit, signed off", async ({
  page,
  request,
}) => {
  const id = await emptyPlant(request);
  await open(page, id);
  const hands = await fanWithDamper(page);
  await hands.press("Alt+c");
  await page.getByRole("button", { name: /^Insulation of motor and cable/ }).focus();
  await hands.press("Enter");
  const enter = async (step: string, values: Readonly<Record<string, string>>) => {
    const form = page.getByRole("form", { name: `Entry of ${step}` });
    for (const [label, value] of Object.entries(values)) {
      await form.getByLabel(label).fill(value);
    }
    await hands.press("Enter");
  };
  await enter("Insulation of motor and cable", { "reading after 1 min": "210", "winding temperature": "21" });
  await expect(page.getByText(/MΩ at 40 °C, at least/).first()).toBeVisible();
  await page.getByRole("button", { name: /^Resistances between the leads/ }).focus();
  await hands.press("Enter");
  await enter("Resistances between the leads", { "U–V": "0.24", "V–W": "0.28", "W–U": "0.28" });
  const panel = page.getByRole("region", { name: "Resistances between the leads", exact: true });
  await expect(panel).toContainText("share lead W");
  await expect(panel).toContainText("Suspect first");
  await panel.getByLabel(/^corrects entry/).check();
  await panel.getByLabel("U–V").focus();
  await enter("Resistances between the leads", { "U–V": "0.24", "V–W": "0.24", "W–U": "0.24" });
  await expect(panel).not.toContainText("Suspect first");
  await expect(page.getByRole("button", { name: /Resistances between the leads done/ })).toBeVisible();

  // A longer cable: what rests on it says so.
  await change(request, id, undefined, "cable/lengthM", 77);
  await page.reload();
  await page.getByRole("button", { name: /Resistances between the leads stale/ }).click();
  await expect(page.getByRole("status").filter({ hasText: "Stale." })).toContainText("77 m");
  await page.getByRole("button", { name: /^Sign-off/ }).click();
  const signOff = page.getByRole("region", { name: "Sign-off" });
  await expect(signOff.getByRole("button", { name: /^Sign off/ })).toBeDisabled();
  await signOff.getByRole("button", { name: /^Name all/ }).click();
  await signOff.getByRole("button", { name: /^Sign off/ }).click();
  await expect(signOff.getByText("Signed off")).toBeVisible();
  await page.getByRole("button", { name: "Log", exact: true }).click();
  await page.getByLabel("Words").fill("lead W");
  await expect(page.getByRole("table", { name: "Log" }).getByRole("row")).toHaveCount(2);
});

test("a hoist is not asked to turn freely; its sheet is issued, changed, and shows the change; own numbers stay", async ({
  page,
  request,
}) => {
  const id = await importDemo(request);
  await open(page, id, "/commissioning?point=dp-05&step=rotating");
  await expect(page.getByText(/^Not done here: something hangs/)).toBeVisible();
  await page.getByRole("button", { name: "Parameters", exact: true }).click();
  const sheet = page.getByRole("table", { name: "Parameters of DP-05" });
  await expect(sheet.getByRole("row", { name: /^torque memory/ })).toContainText("on: the last load");
  await page.getByRole("button", { name: "Note as issued" }).click();
  await expect(page.getByRole("status").filter({ hasText: "issued on edit" })).toContainText("nothing changed since");
  const own = sheet.getByLabel("Own number of DP-05 switching frequency");
  await own.fill("P-31");
  await own.press("Tab");
  await expect(sheet.getByLabel("Factor of DP-05 switching frequency")).toHaveValue("1");
  await change(request, id, "dp-05", "converter/switchingKhz", 6);
  await page.reload();
  await expect(sheet.getByRole("row", { name: /^switching frequency/ })).toContainText("was 4 kHz");
  await expect(sheet.getByLabel("Own number of DP-05 switching frequency")).toHaveValue("P-31");
  await page.getByRole("button", { name: "Values as left" }).click();
  await page.getByLabel(/^Rows of the exported sheet/).fill("key\tas left\nramp.up\t4\nramp.sideways\t3\n");
  await page.getByRole("button", { name: "Take them" }).click();
  const told = page.getByRole("status").filter({ hasText: "taken" });
  await expect(told).toContainText("1 values taken.");
  await expect(told).toContainText("row 2: 'ramp.sideways' is no parameter of this sheet");
  await page.getByRole("button", { name: "All sheets" }).click();
  await page.getByLabel("Parameters with").fill("switching");
  const all = page.getByRole("table", { name: "Parameters of all drive points" });
  await expect(all.getByRole("row", { name: /^switching frequency/ })).toContainText("6 kHz");
});

test("steps by keyboard alone: arrows walk both columns, an entry leads to the next step", async ({
  page,
  request,
}) => {
  await open(page, await importDemo(request), "/commissioning?point=dp-02");
  const points = page.getByRole("navigation", { name: "Drive points" });
  await points.getByRole("button", { name: /^DP-02/ }).focus();
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "DP-03 Slip pump" })).toBeVisible();
  await points.getByLabel("Find a drive point").fill("KILN");
  await expect(points.getByRole("button")).toHaveText([/^DP-13/, /^DP-26/, /^DP-27/]);
  await points.getByLabel("Find a drive point").fill("slip");
  await page.keyboard.press("Tab");
  await expect(points.getByRole("button", { name: /^DP-03/ })).toBeFocused();
  // One Tab leaves the column of drive points, three files on stand the steps.
  for (let i = 0; i < 4; i++) {
    await page.keyboard.press("Tab");
  }
  await expect(page.getByRole("button", { name: /^Look it over/ })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "In order", exact: true })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Next: Dry and free" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("region", { name: "Dry and free", exact: true })).toBeVisible();
  await expect(page.getByRole("button", { name: "In order", exact: true })).toBeFocused();
  await page.getByRole("button", { name: /^Dry and free/ }).focus();
  await page.keyboard.press("End");
  await expect(page.getByRole("button", { name: /^Sign-off/ })).toBeFocused();
});
