import { AxeBuilder } from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { importDemo, open } from "./plant";

for (const view of ["", "/plant", "/harmonics", "/energy", "/schedules", "/sheets", "/history"]) {
  test(`view ${view || "/board"} has no accessibility faults and breaks no policy`, async ({ page, request }) => {
    const complaints: string[] = [];
    page.on("console", (message) => {
      if (message.type() === "error") complaints.push(message.text());
    });
    await open(page, await importDemo(request), view);
    await page.waitForLoadState("networkidle");
    const result = await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa", "wcag21aa"]).analyze();
    expect(result.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(" ")).join(", ")}`)).toEqual([]);
    expect(complaints).toEqual([]);
  });
}

test("the first load is small: app script at most 350 kB gzipped", async ({ page, request }) => {
  const { gzipSync } = await import("node:zlib");
  let bytes = 0;
  const bodies: Promise<void>[] = [];
  page.on("response", (response) => {
    if (response.url().endsWith(".js")) {
      bodies.push(response.body().then((body) => void (bytes += gzipSync(body).length)));
    }
  });
  const id = await importDemo(request);
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  await Promise.all(bodies);
  expect(id).not.toBe("");
  expect(bytes).toBeGreaterThan(10_000);
  expect(bytes).toBeLessThan(350_000);
});

test("the project file follows the published schema", async ({ request }) => {
  const { Ajv2020 } = await import("ajv/dist/2020.js");
  const schema = (await (await request.get("/api/schema/project")).json()) as object;
  const validate = new Ajv2020({ strict: false }).compile(schema);
  const file = (await (await request.get(`/api/projects/${await importDemo(request)}/file`)).json()) as Record<
    string,
    unknown
  >;
  expect(validate(file), JSON.stringify(validate.errors)).toBe(true);
  expect(validate({ ...file, colour: "green" })).toBe(false);
});
