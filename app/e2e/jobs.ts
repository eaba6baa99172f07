import { expect, type APIRequestContext, type Page } from "@playwright/test";
import { Hands } from "./hands";
import { cell } from "./plant";

/** An empty plant with its supply stated; its key. */
export async function emptyPlant(request: APIRequestContext, supply = "400-50"): Promise<string> {
  const made = await request.post("/api/projects", { data: { name: "Empty", who: "engineer", supply } });
  const { id, edit, specification } = (await made.json()) as {
    id: string;
    edit: number;
    specification: { source: object };
  };
  const strength = { kind: "fault-level", shortCircuitMva: 250, leastMva: 180, xrRatio: 10 };
  const stated = await request.post(`/api/projects/${id}/edits`, {
    data: {
      basedOn: edit,
      label: "Source",
      who: "engineer",
      specification: { ...specification, source: { ...specification.source, strength } },
    },
  });
  expect(stated.status()).toBe(200);
  return id;
}

/** A fan with an outlet damper today: motor, converter, cable and payback, by keyboard alone. */
export async function fanWithDamper(page: Page, isUs = false): Promise<Hands> {
  const hands = new Hands(page);
  const entry = (name: string) => page.getByRole("complementary", { name: "Bench" }).getByLabel(name, { exact: true });
  await hands.press("Insert");
  await expect(cell(page, "DP-01", "load")).toBeFocused();
  await hands.press("Enter");
  await expect(page.getByRole("tab", { name: "Entries" })).toBeFocused();
  await hands.tabTo(entry("Machine"));
  await hands.type("f");
  await expect(entry("Rated flow")).toBeVisible();
  await hands.tabTo(entry("Rated flow"));
  await hands.type(isUs ? "25000" : "12");
  await hands.tabTo(entry("Rated pressure rise"));
  await hands.type(isUs ? "7.2" : "1800");
  await hands.tabTo(entry("Existing flow control"));
  await hands.type("o");
  await hands.saved();
  await hands.tabTo(page.getByRole("button", { name: "Add duty point" }));
  await hands.press("Enter");
  await expect(entry("Flow of duty point 1, %")).toBeFocused();
  await hands.type("60");
  await hands.press("Tab");
  await hands.type("4000");
  await hands.press("Enter");
  await hands.saved();
  await hands.find("assume");
  await expect(page.getByRole("alert")).toContainText("assumed");
  await hands.saved();
  await hands.find("size");
  await expect(cell(page, "DP-01", "converter")).toHaveAccessibleName(/6-pulse/);
  await hands.saved();
  await hands.press("Alt+5");
  await expect(cell(page, "DP-01", "cable")).toBeFocused();
  await hands.press("Enter");
  await expect(page.getByRole("tab", { name: "Entries" })).toBeFocused();
  await hands.tabTo(page.getByRole("textbox", { name: "Cross-section" }));
  await hands.type(isUs ? "6 AWG" : "16");
  await hands.press("Enter");
  await hands.saved();
  await hands.press("Control+Alt+Digit5");
  await expect(page.getByText("Simple payback")).toBeVisible();
  return hands;
}

const bench = (page: Page, name: string) =>
  page.getByRole("complementary", { name: "Bench" }).getByLabel(name, { exact: true });

/** A new drive point with a machine of that kind and these entries. */
async function machine(hands: Hands, kind: string, entries: readonly (readonly [string, string])[]): Promise<void> {
  await hands.press("Insert");
  await hands.choose(bench(hands.page, "Machine"), kind);
  for (const [name, text] of entries) {
    await hands.fill(bench(hands.page, name), text);
  }
  await hands.saved();
}

/** Usual values for what is open, the best motor and converter, and the section of the cable at the chosen cell. */
async function assumedAndSized(hands: Hands, tag: string, section: string): Promise<void> {
  await hands.find("assume");
  await hands.saved();
  await hands.find("size");
  await expect(cell(hands.page, tag, "motor")).toHaveAccessibleName(/\d (kW|hp)/, { timeout: 20_000 });
  await hands.click(cell(hands.page, tag, "cable"));
  await hands.fill(hands.page.getByRole("textbox", { name: "Cross-section" }), section);
  await hands.saved();
  await hands.press("Escape");
  await expect(cell(hands.page, tag, "cable")).toBeFocused();
}

/** Name and supply of a plant, its fault level and maximum demand. */
async function plantAndSupply(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await page.goto("/");
  await hands.click(page.getByLabel("Name of the plant"));
  await hands.type("Mesa");
  await hands.choose(page.getByLabel("Supply"), "480-60");
  await hands.click(page.getByRole("button", { name: "Begin", exact: true }));
  await hands.choose(page.getByLabel("Strength"), "fault-level");
  await hands.fill(page.getByLabel("Short-circuit power, maximum"), "12 kA");
  await hands.fill(page.getByLabel("Short-circuit power, minimum"), "8 kA");
  await hands.fill(page.getByLabel("X/R of the source"), "10");
  await hands.fill(page.getByLabel("Maximum demand"), "800");
  await expect(page.getByText("Demand current I_L")).toBeVisible();
  return hands;
}

/** A pump from nothing, its motor and converter sized, its cable laid: what a special supply is put to. */
export async function pumpOnConverter(page: Page, flow: string, head: string, cable: string): Promise<Hands> {
  const hands = new Hands(page);
  await machine(hands, "pump", [
    ["Rated flow", flow],
    ["Rated head", head],
    ["Static head", String(Math.round(0.8 * Number(head)))],
  ]);
  await assumedAndSized(hands, "DP-01", cable);
  return hands;
}

async function pumpWithTechnologies(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await machine(hands, "pump", [
    ["Rated flow", "90"],
    ["Rated head", "40"],
    ["Static head", "22"],
  ]);
  await hands.click(page.getByRole("button", { name: "Add duty point" }));
  await expect(bench(page, "Flow of duty point 1, %")).toBeFocused();
  await hands.type("70");
  await hands.press("Tab");
  await hands.type("5000");
  await hands.press("Enter");
  await hands.saved();
  await assumedAndSized(hands, "DP-01", "6");
  await hands.click(cell(page, "DP-01", "motor"));
  await hands.press("Control+Alt+Digit6");
  await hands.click(page.getByRole("button", { name: "Compare technologies …" }));
  await expect(
    page
      .getByRole("dialog")
      .getByRole("columnheader", { name: /permanent magnet/ })
      .first(),
  ).toBeVisible();
  return hands;
}

async function hoistWithBrake(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await machine(hands, "hoist", [
    ["Mass, upwards", "2000"],
    ["Mass, downwards", "500"],
    ["Speed", "0.8"],
    ["Way", "12"],
    ["Cycles per hour", "20"],
    ["Drum diameter", "400"],
    ["Inertia at the machine", "2"],
  ]);
  await assumedAndSized(hands, "DP-01", "10");
  await hands.click(cell(page, "DP-01", "motor"));
  await hands.press("Control+Alt+Digit1");
  await hands.click(page.getByRole("button", { name: "Add a holding brake" }));
  const sheet = page.getByRole("dialog");
  for (const [name, text] of [
    ["Holding torque", "300"],
    ["Release time", "120"],
    ["Engagement time", "80"],
  ] as const) {
    await hands.fill(sheet.getByLabel(name, { exact: true }), text);
  }
  await hands.press("Escape");
  await hands.click(page.getByRole("button", { name: "Two motors" }));
  await expect(cell(page, "DP-02", "motor")).toBeVisible();
  return hands;
}

async function millOnSoftStarter(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await machine(hands, "high-inertia", [
    ["Torque at rated speed", "30000"],
    ["Rated speed of the machine", "20"],
    ["Inertia at the machine", "40000"],
  ]);
  await assumedAndSized(hands, "DP-01", "95");
  await hands.click(cell(page, "DP-01", "converter"));
  await hands.press("Control+Alt+Digit1");
  await hands.choose(page.getByLabel("Fed by"), "soft-starter");
  await hands.saved();
  await hands.press("Control+Alt+Digit4");
  await expect(page.getByText(/the weakest in which it runs/)).toBeVisible();
  return hands;
}

async function rollersInGroup(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await machine(hands, "roller-group", [
    ["Rollers", "6"],
    ["Torque per roller", "15"],
    ["Inertia at the machine", "2"],
    ["Rated speed of the machine", "60"],
  ]);
  await assumedAndSized(hands, "DP-01", "1.5");
  await hands.press("Control+d");
  await expect(cell(page, "DP-02", "cable")).toBeFocused();
  await hands.press("Control+d");
  await expect(cell(page, "DP-03", "cable")).toBeFocused();
  await hands.press("Shift+ArrowLeft", 2);
  await hands.click(page.getByRole("button", { name: "One converter" }));
  await expect(page.getByRole("button", { name: /group/i }).first()).toBeVisible();
  return hands;
}

async function windersOnBus(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await machine(hands, "winder", [
    ["Line speed", "4"],
    ["Tension at the core", "300"],
    ["Core diameter", "90"],
    ["Full diameter", "800"],
    ["Web width", "1200"],
    ["Density of the roll", "900"],
    ["Friction at the roll", "2"],
    ["Inertia at the machine", "2"],
  ]);
  await assumedAndSized(hands, "DP-01", "4");
  await hands.press("Control+d");
  await expect(cell(page, "DP-02", "cable")).toBeFocused();
  await hands.click(cell(page, "DP-02", "load"));
  await hands.click(page.getByRole("checkbox", { name: "Unwinds" }));
  await hands.saved();
  await hands.press("Escape");
  await hands.press("Shift+ArrowLeft");
  await hands.click(page.getByRole("button", { name: "Common DC bus" }));
  await expect(page.getByRole("button", { name: /DC bus 1$/ }).first()).toBeVisible();
  return hands;
}

async function ratioFollower(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await machine(hands, "constant-torque", [
    ["Torque at the machine", "80"],
    ["Inertia at the machine", "2"],
    ["Rated speed of the machine", "300"],
  ]);
  await assumedAndSized(hands, "DP-01", "4");
  await machine(hands, "dosing-pump", [
    ["Displacement per revolution", "50"],
    ["Inertia at the machine", "2"],
    ["Pressure difference", "10"],
    ["Speed at maximum dose", "300"],
  ]);
  await assumedAndSized(hands, "DP-02", "1.5");
  await hands.press("Shift+ArrowLeft");
  await hands.click(page.getByRole("button", { name: "Ratio" }));
  await expect(page.getByRole("button", { name: /ratio/i })).toHaveCount(2);
  return hands;
}

async function servoAxes(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await machine(hands, "servo-axis", [
    ["Moved mass", "40"],
    ["Travel per revolution", "20"],
    ["Distance", "300"],
    ["Move time", "0.4"],
    ["Dwell time", "0.6"],
    ["Friction", "60"],
    ["Gear ratio", "1"],
    ["Inertia at the machine", "0"],
  ]);
  await assumedAndSized(hands, "DP-01", "1.5");
  await hands.press("Control+d");
  await expect(cell(page, "DP-02", "cable")).toBeFocused();
  await hands.press("Shift+ArrowLeft");
  await hands.click(page.getByRole("button", { name: "Common DC bus" }));
  await expect(page.getByRole("button", { name: /DC bus 1$/ }).first()).toBeVisible();
  return hands;
}

async function mitigation(page: Page): Promise<Hands> {
  const hands = await fanWithDamper(page);
  await hands.press("Alt+6");
  await hands.click(page.getByRole("button", { name: "Mitigation workbench" }));
  await hands.click(page.getByRole("button", { name: /^Try/ }).first());
  await hands.saved();
  return hands;
}

async function sixtyRows(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await hands.find("import");
  const rows = Array.from({ length: 60 }, (_, i) => `P-${i + 1},pump,${4 + (i % 5)},1450,7.5,40,6`);
  await page.locator("input[type=file]").setInputFiles({
    name: "list.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(["Tag,Type,Shaft power kW,Speed rpm,Motor kW,Cable m,mm2", ...rows].join("\n")),
  });
  hands.count += 2; // Choose a file, and take it.
  await hands.click(page.getByRole("button", { name: /^Take 60 rows/ }));
  await expect(page.getByText("Edit 3 saved")).toBeVisible({ timeout: 20_000 });
  return hands;
}

async function sheets(page: Page): Promise<Hands> {
  const hands = await fanWithDamper(page);
  await hands.press("Alt+s");
  const download = page.waitForEvent("download");
  await hands.click(page.getByRole("link", { name: /PDF/ }).first());
  await download;
  return hands;
}

/** The jobs of an engineer's day, each from the empty plant. */
export const jobs: readonly (readonly [string, (page: Page) => Promise<Hands>])[] = [
  ["1 plant and supply", plantAndSupply],
  ["2 fan with damper today, converter, payback", fanWithDamper],
  ["3 pump with static head and technologies", pumpWithTechnologies],
  ["4 hoist with brake and second motor", hoistWithBrake],
  ["5 mill on a soft starter", millOnSoftStarter],
  ["6 group of rollers", rollersInGroup],
  ["7 winder pair on a DC bus", windersOnBus],
  ["8 ratio follower", ratioFollower],
  ["9 servo axes", servoAxes],
  ["10 harmonics and mitigation", mitigation],
  ["11 sixty rows imported", sixtyRows],
  ["12 sheets", sheets],
];
