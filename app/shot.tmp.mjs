import { chromium } from "@playwright/test";
const [,, path, out, script] = process.argv;
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox"] });
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
await p.goto("http://127.0.0.1:5099" + path); await p.waitForTimeout(2500);
if (script) { await (new Function("p", "return (async()=>{" + script + "})()"))(p); await p.waitForTimeout(1200); }
await p.screenshot({ path: out }); await b.close();
