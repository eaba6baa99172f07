import { expect, type APIRequestContext, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";

const demo = "../src/Cuadrilla.Documents/Demo/azulejos-valdecobre.cuadrilla.json";

/** A fresh copy of the demo plant; its key. */
export async function importDemo(request: APIRequestContext): Promise<string> {
  const response = await request.post("/api/projects/import", {
    headers: { "Content-Type": "application/json" },
    data: readFileSync(demo),
  });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { id: string }).id;
}

/** Opens a view of a plant and waits until it stands. */
export async function open(page: Page, id: string, view = ""): Promise<void> {
  await page.goto(`/plants/${id}${view}`);
  await expect(page.getByRole("region", { name: /Ledger/ })).toBeVisible();
}

/** A cell of the board. */
export const cell = (page: Page, tag: string, row: string) =>
  page.getByRole("gridcell", { name: new RegExp(`^${tag} ${row}:`) });
