import { expect, test } from "@playwright/test";
import { importDemo } from "./plant";

test("a long study tells how far it is, is stopped and asked for again", async ({ page, request }) => {
  const id = await importDemo(request);
  await page.goto(`/plants/${id}/harmonics`);
  await page.getByRole("button", { name: "Mitigation workbench" }).click();
  const sheet = page.getByRole("dialog", { name: "Mitigation workbench" });
  await expect(sheet.getByRole("progressbar", { name: "Progress of ways" })).toBeVisible();
  await expect(sheet.getByText(/Computing ways: \d+ of \d+/)).toBeVisible();
  await sheet.getByRole("button", { name: "Stop" }).click();
  await expect(sheet.getByText("Stopped; nothing was computed.")).toBeVisible();
  await expect(sheet.getByRole("table", { name: "Ways of mitigating" })).toHaveCount(0);
  await sheet.getByRole("button", { name: "Compute ways" }).press("Enter");
  await expect(sheet.getByRole("table", { name: "Ways of mitigating" })).toBeVisible({ timeout: 30_000 });
  await expect(sheet.getByRole("button", { name: "Stop" })).toHaveCount(0);
});

test("where the line is full the page says so and asks again", async ({ page, request }) => {
  const id = await importDemo(request);
  await page.route(
    /\/alternatives\?/,
    (route) =>
      route.fulfill({
        status: 503,
        contentType: "application/problem+json",
        headers: { "Retry-After": "20" },
        body: JSON.stringify({ detail: "9 long studies are asked for already.", errors: [] }),
      }),
    { times: 1 },
  );
  await page.goto(`/plants/${id}/energy`);
  await expect(page.getByRole("alert")).toContainText("9 long studies are asked for already.");
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(page.getByRole("region", { name: "Ways of driving, scrolls sideways" })).toBeVisible({
    timeout: 20_000,
  });
});
