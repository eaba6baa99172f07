import { expect, test } from "@playwright/test";
import { emptyPlant, fanWithDamper } from "./jobs";
import { open } from "./plant";

test("a fan with a damper gets motor, converter and payback from nothing by keyboard alone", async ({
  page,
  request,
}) => {
  await open(page, await emptyPlant(request));
  const hands = await fanWithDamper(page);
  console.log(`${hands.count} keys`);
  expect(hands.count).toBeLessThanOrEqual(180);
});
