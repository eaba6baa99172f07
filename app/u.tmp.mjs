import { chromium } from "@playwright/test";
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox"] });
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
const shot = async (name) => p.screenshot({ path: `/tmp/u-${name}.png` });
const names = async () => console.log((await p.locator("button:visible, a:visible, input:visible, select:visible").evaluateAll(es => es.map(e => e.tagName[0] + ":" + (e.getAttribute("aria-label") || e.labels?.[0]?.textContent || e.textContent || "").trim().slice(0,40)))).join(" | "));
await p.goto("http://127.0.0.1:5099/"); await p.waitForTimeout(1200);
await p.getByLabel("Name of the plant").fill("Brewhouse");
const o = await p.getByLabel("Supply to start from").locator("option").evaluateAll(es => es.map(e => e.value + "=" + e.textContent)); console.log(o.join("|")); await p.getByLabel("Supply to start from").selectOption(o.find(x => x.includes("480")).split("=")[0]);
await p.getByRole("button", { name: "Begin with a drive list …" }).click();
await p.waitForTimeout(2000); console.log(p.url()); await shot("1");
await p.locator("input[type=file]").first().setInputFiles("/tmp/brew.csv"); await p.waitForTimeout(2500); 
await p.getByRole("button", { name: "Take 6 rows" }).click(); await p.waitForTimeout(4000); await shot("3");
await p.keyboard.press("Alt+1"); await p.waitForTimeout(1200);
await p.getByLabel("Strength").selectOption({ index: 1 }); await p.waitForTimeout(1500);
await p.getByLabel("Short-circuit power, maximum").fill("200"); await p.getByLabel("Short-circuit power, maximum").press("Enter"); await p.waitForTimeout(800);
await p.getByLabel("X/R").first().fill("8"); await p.getByLabel("X/R").first().press("Enter"); await p.waitForTimeout(2000); await shot("4");

const key = async (...k) => { for (const x of k) { await p.keyboard.press(x); await p.waitForTimeout(150); } };
await key("Alt+5"); await p.waitForTimeout(1200); await shot("5");
await p.getByRole("button", { name: "Go to the entry" }).press("Enter"); await p.waitForTimeout(1200); await shot("6");
await p.keyboard.press("ArrowDown"); await p.waitForTimeout(1500); await shot("7"); await key("Alt+5"); await p.waitForTimeout(1500);
await p.getByRole("button", { name: /Propose for/ }).press("Enter"); await p.waitForTimeout(6000); await shot("8");
await key("Alt+w"); await p.waitForTimeout(1500); await shot("9");

await key("Alt+7"); await p.waitForTimeout(1500);
await p.getByLabel("Electromagnetic environment").selectOption("second"); await p.waitForTimeout(1000);
for (const n of ["MCC room", "Brewhouse", "Cellar"]) { await p.getByRole("button", { name: "Add place" }).press("Enter"); await p.waitForTimeout(700); const box = p.getByRole("table", { name: /Places/ }).or(p.locator("section", { hasText: "Places" })).getByLabel(/^Place of Place|^Place, Place|Place \d/).last(); }
await shot("10"); console.log((await p.locator("input:visible").evaluateAll(es => es.map(e => e.getAttribute("aria-label")))).join(" | "));
console.log(p.url());
await b.close();
