import { test } from "@playwright/test";
import { emptyPlant, jobs } from "./jobs";
import { open } from "./plant";

/** Keys, clicks and choices of each job from the empty plant, for docs/performance.md. */
for (const [name, job] of jobs) {
  test(name, async ({ page, request }) => {
    await open(page, await emptyPlant(request));
    console.log(`${name}: ${(await job(page)).count} keys`);
  });
}
