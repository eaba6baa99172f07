import { expect, test } from "@playwright/test";
import { gzipSync } from "node:zlib";
import { cell, importDemo, importPlant, madePlant, open } from "./plant";

const runs = 15;

/** Minimum, median and maximum, for docs/performance.md. */
function report(name: string, values: readonly number[], unit: string): void {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (part: number) => (sorted[Math.round(part * (sorted.length - 1))] ?? 0).toFixed(0);
  console.log(`${name}: min ${at(0)}, median ${at(0.5)}, max ${at(1)} ${unit} (${values.length} runs)`);
}

for (const points of [60, 200]) {
  test(`from key press to new figures on the board at ${points} drive points`, async ({ page, request }) => {
    await open(page, await importPlant(request, madePlant(points)));
    await cell(page, "DP-01", "cable").click();
    await page.keyboard.press("Enter");
    const length = page.getByRole("textbox", { name: "Length" });
    const times: number[] = [];
    for (let i = 0; i < runs; i++) {
      await length.fill(String(70 + i));
      await length.focus();
      // Measured inside the page: from the key press to the frame that shows another loss in the cell.
      await page.evaluate(() => {
        const target = document.getElementById("cell-dp-01-cable");
        const was = target?.textContent;
        const measured = window as unknown as { took: Promise<number> };
        measured.took = new Promise((resolve) => {
          window.addEventListener(
            "keydown",
            (event) => {
              const began = event.timeStamp;
              const watch = () =>
                document.getElementById("cell-dp-01-cable")?.textContent === was
                  ? requestAnimationFrame(watch)
                  : requestAnimationFrame(() => {
                      resolve(performance.now() - began);
                    });
              requestAnimationFrame(watch);
            },
            { once: true, capture: true },
          );
        });
      });
      await page.keyboard.press("Enter");
      times.push(await page.evaluate(() => (window as unknown as { took: Promise<number> }).took));
    }
    report(`key press to new figures, ${points} drive points`, times, "ms");
  });
}

test("opening a board of 200", async ({ page, request }) => {
  const id = await importPlant(request, madePlant(200));
  await page.goto("/");
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const began = performance.now();
    await page.goto(`/plants/${id}`);
    await expect(cell(page, "DP-01", "converter")).toBeVisible();
    times.push(performance.now() - began);
  }
  report("open a board of 200 drive points, files known", times, "ms");
});

test("first load on loopback", async ({ browser, request }) => {
  const id = await importDemo(request);
  const times: number[] = [];
  let bytes = 0;
  for (let i = 0; i < runs; i++) {
    const context = await browser.newContext();
    const page = await context.newPage();
    bytes = 0;
    const bodies: Promise<void>[] = [];
    page.on("response", (response) => {
      if (response.url().endsWith(".js")) {
        bodies.push(response.body().then((body) => void (bytes += gzipSync(body).length)));
      }
    });
    const began = performance.now();
    await page.goto(`/plants/${id}`);
    await expect(cell(page, "DP-01", "converter")).toBeVisible();
    times.push(performance.now() - began);
    await page.waitForLoadState("networkidle");
    await Promise.all(bodies);
    await context.close();
  }
  report("first load of the board, empty cache", times, "ms");
  console.log(`script on that load, charts included: ${(bytes / 1000).toFixed(0)} kB gzipped`);
});
