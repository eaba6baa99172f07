import { chromium } from "@playwright/test";
const [, , path, out, ...acts] = process.argv;
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox", "--disable-gpu"] });
const p = await b.newPage({ viewport: { width: Number(process.env.W ?? 1280), height: 800 } });
p.on("pageerror", (e) => console.log("pageerror", e.message));
p.on("console", (m) => m.type() === "error" && console.log("console", m.text()));
await p.goto("http://127.0.0.1:5099" + path);
await p.waitForTimeout(1500);
for (const a of acts) {
  const [kind, ...rest] = a.split("::"); const arg = rest.join("::");
  if (kind === "click") await p.locator(arg).first().click();
  else if (kind === "button") await p.getByRole("button", { name: arg }).first().click();
  else if (kind === "key") await p.keyboard.press(arg);
  else if (kind === "type") await p.keyboard.type(arg);
  else if (kind === "file") await p.locator("input[type=file]").first().setInputFiles(arg);
  else if (kind === "select") { const [l, v] = arg.split("||"); await p.getByLabel(l).first().selectOption(v); }
  else if (kind === "fill") { const [l, v] = arg.split("||"); await p.getByLabel(l).first().fill(v); }
  else if (kind === "wait") await p.waitForTimeout(Number(arg));
  else if (kind === "shot") await p.screenshot({ path: arg });
  await p.waitForTimeout(400);
}
await p.waitForTimeout(700);
await p.screenshot({ path: out });
console.log(p.url());
await b.close();
