import { expect, type APIRequestContext, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";

const demo = "../src/Cuadrilla.Documents/Demo/azulejos-valdecobre.cuadrilla.json";

/** A fresh copy of the demo plant; its key. */
export const importDemo = (request: APIRequestContext): Promise<string> => importPlant(request, readFileSync(demo));

/** Imports a project file; its key. */
export async function importPlant(request: APIRequestContext, file: Buffer | string): Promise<string> {
  const response = await request.post("/api/projects/import", {
    headers: { "Content-Type": "application/json" },
    data: file,
  });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { id: string }).id;
}

interface PlantFile {
  specification: {
    lineups: {
      id: string;
      tag: string;
      name: string;
      busId: string;
      drivePoints: Record<string, unknown>[];
      dcBuses: unknown[];
      arrangements: unknown[];
      variantName: string;
      reason: string;
      setAside: unknown[];
    }[];
    scenarios: { states: unknown[] }[];
    distribution: { transformers: { ratedKva: number; loadLossKw: number }[] };
  };
}

/** A project file with many drive points, made of the demo's in turn with cables of different length. */
export function madePlant(count: number): string {
  const file = JSON.parse(readFileSync(demo, "utf8")) as PlantFile;
  const { lineups, distribution, scenarios } = file.specification;
  const patterns = lineups[0]?.drivePoints ?? [];
  const points = Array.from({ length: count }, (_, i) => {
    const number = String(i + 1).padStart(2, "0");
    const pattern = patterns[i % patterns.length] ?? {};
    const cable = { ...(pattern["cable"] as object), lengthM: 30 + i };
    return { ...pattern, cable, id: `dp-${number}`, tag: `DP-${number}`, name: `Drive point ${number}` };
  });
  for (const transformer of distribution.transformers) {
    transformer.ratedKva *= count / 3;
    transformer.loadLossKw *= count / 3;
  }
  // One scenario, as the bound is stated for.
  file.specification.scenarios = scenarios.slice(0, 1);
  file.specification.lineups = Array.from({ length: Math.ceil(count / 12) }, (_, i) => ({
    id: `l${i + 1}`,
    tag: `L${i + 1}`,
    name: `Lineup ${i + 1}`,
    busId: lineups[0]?.busId ?? "",
    drivePoints: points.slice(12 * i, 12 * (i + 1)),
    dcBuses: [],
    arrangements: [],
    variantName: "",
    reason: "",
    setAside: [],
  }));
  return JSON.stringify(file);
}

/** Opens a view of a plant and waits until it stands. */
export async function open(page: Page, id: string, view = ""): Promise<void> {
  await page.goto(`/plants/${id}${view}`);
  await expect(page.getByRole("region", { name: /Ledger/ })).toBeVisible();
}

/** A cell of the board, by the beginning of its label: names of all cells worked out anew for every look take longer than the work. */
export const cell = (page: Page, tag: string, row: string) =>
  page.locator(`[role="gridcell"][aria-label^="${tag} ${row}:"]`);
