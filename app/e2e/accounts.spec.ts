import { expect, test, type Locator, type Page } from "@playwright/test";
import { execFileSync, spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { createServer, type AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";

const password = "nine tall chimneys";
let server: ChildProcess;
let base = "";

async function freePort(): Promise<number> {
  const probe = createServer();
  await new Promise<void>((listening) => probe.listen(0, "127.0.0.1", listening));
  const { port } = probe.address() as AddressInfo;
  await new Promise((closed) => probe.close(closed));
  return port;
}

// An installation of its own: with accounts, so unlike that of the other walks.
test.beforeAll(async () => {
  const data = mkdtempSync(join(tmpdir(), "cuadrilla-accounts-"));
  execFileSync(
    "dotnet",
    ["../src/Cuadrilla.Cli/bin/Release/net10.0/Cuadrilla.Cli.dll", "user", data, "add", "Chief", "administrator"],
    { input: `${password}\n` },
  );
  base = `http://127.0.0.1:${await freePort()}`;
  server = spawn(
    "dotnet",
    ["../.build/web/Cuadrilla.Web.dll", "--data", data, "--app", "../.build/app", "--demo", "true", "--urls", base],
    { stdio: "ignore" },
  );
  await expect
    .poll(async () => (await fetch(`${base}/api/health`).catch(() => undefined))?.ok, { timeout: 30_000 })
    .toBe(true);
});

test.afterAll(() => {
  server.kill("SIGTERM");
});

async function signIn(page: Page, name: string, typed = password) {
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByLabel("Password", { exact: true }).fill(typed);
  await page.keyboard.press("Enter");
}

test("one signs in, is named in the history, and what was typed outlives the end of the session", async ({
  page,
  browser,
}) => {
  await page.goto(base);
  await expect(page.getByRole("heading", { name: "Plants" })).toHaveCount(0);
  await signIn(page, "Chief", "not that one at all");
  await expect(page.getByRole("alert")).toContainText("Name or password is wrong.");
  await signIn(page, "Chief");
  await page.getByRole("link", { name: "Azulejos Valdecobre" }).click();
  await expect(page.getByRole("status").filter({ hasText: "saved" })).toBeVisible();
  await page.keyboard.press("Alt+1");
  const altitude = page.getByLabel("Altitude").first();
  await altitude.fill("512");
  await page.keyboard.press("Tab");
  await expect(page.getByText("Edit 2 saved")).toBeVisible();
  await page.goto(`${page.url().replace(/\/plant$/, "")}/history`);
  await expect(page.getByText("signed by Chief")).toBeVisible();
  await expect(page.getByRole("row").nth(1)).toContainText("Chief");

  await page.goBack();
  await expect(page.getByLabel("Altitude").first()).toHaveValue("512");
  await page.getByLabel("Altitude").first().fill("640");

  // Their other window ends this session.
  const other = await (await browser.newContext()).newPage();
  await other.goto(base);
  await signIn(other, "Chief");
  await other.getByRole("button", { name: /Chief/ }).click();
  await other.getByRole("button", { name: "End", exact: true }).click();
  await expect(other.getByText("this one")).toBeVisible();

  await page.keyboard.press("Tab");
  await expect(page.getByRole("dialog", { name: "Signed out" })).toBeVisible();
  await expect(page.getByLabel("Altitude").first()).toHaveValue("640");
  await expect(page.getByLabel("Name", { exact: true }).last()).toHaveValue("Chief");
  await page.getByLabel("Password", { exact: true }).fill(password);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog", { name: "Signed out" })).toHaveCount(0);
  await page.getByLabel("Altitude").first().focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText("Edit 3 saved")).toBeVisible();
  await other.context().close();
});

test("an administrator makes a reader, who reads and changes nothing", async ({ page }) => {
  await page.goto(base);
  await signIn(page, "Chief");
  await page.getByRole("button", { name: /Chief/ }).click();
  const form = page.getByRole("form", { name: "New account" });
  await form.getByLabel("new account").fill("Guest");
  await form.getByLabel("first password").fill("too short");
  await form.getByLabel("role").selectOption("reader");
  await form.getByRole("button", { name: "Add" }).click();
  await expect(page.getByRole("alert")).toContainText("allowed: 12 to 128");
  await form.getByLabel("first password").fill("seven grey herons");
  await form.getByRole("button", { name: "Add" }).click();
  await expect(page.getByLabel("Role of Guest")).toHaveValue("reader");
  await page.getByRole("button", { name: "Sign out" }).click();

  await signIn(page, "Guest", "seven grey herons");
  await expect(page.getByText("plants are begun by engineers")).toBeVisible();
  await page.getByRole("link", { name: "Azulejos Valdecobre" }).click();
  await expect(page.getByText("Read only", { exact: true })).toBeVisible();
  await page.keyboard.press("Insert");
  await expect(page.getByRole("alert")).toContainText("The account Guest is reader; allowed: engineer and above.");
  await expect(page.getByRole("status").filter({ hasText: "saved" })).toBeVisible();
  await page.keyboard.press("Alt+1");
  const altitude = page.getByLabel("Altitude").first();
  await altitude.fill("1");
  await page.keyboard.press("Tab");
  await expect(page.getByText(/The account Guest is reader/).first()).toBeVisible();
});

test("a plant is described, archived, opened again, binned, taken back and removed", async ({ page }) => {
  await page.goto(base);
  await signIn(page, "Chief");
  const choose = async (row: Locator, choice: string) => {
    await row.getByRole("button", { name: /^Do with/ }).focus();
    await page.keyboard.press("Enter");
    await page.getByRole("menuitem", { name: choice }).press("Enter");
  };
  const unfold = async (summary: string) => {
    await page.getByText(summary).focus();
    await page.keyboard.press("Enter");
    await expect(copy).toBeVisible();
  };
  const copy = page.getByRole("row").filter({ hasText: ", copy" });
  await choose(page.getByRole("row").filter({ hasText: "Tarn Hollow" }), "Duplicate");
  await expect(page.getByRole("heading", { name: /Tarn Hollow.*, copy/ })).toBeVisible();
  await page.getByRole("link", { name: "Cuadrilla" }).click();
  await choose(copy, "Describe");
  await expect(page.getByLabel(/^Description of/)).toBeFocused();
  await page.keyboard.type("For the second stage");
  await page.keyboard.press("Enter");
  await expect(copy).toContainText("For the second stage");
  await choose(copy, "Archive");
  await unfold("Archive (1)");
  await copy.getByRole("link").click();
  await expect(page.getByText("Archived, read only")).toBeVisible();
  await page.keyboard.press("Insert");
  await expect(page.getByRole("alert")).toContainText("open it again first");
  await page.getByRole("link", { name: "Cuadrilla" }).click();
  await expect(page.getByRole("heading", { name: "Plants, last changed first" })).toBeVisible();
  await unfold("Archive (1)");
  await choose(copy, "Open again");
  await expect(page.getByText("Archive (1)")).toHaveCount(0);
  await choose(copy, "Put into the bin");
  await unfold("Bin (1)");
  await choose(copy, "Take back");
  await expect(page.getByText("Bin (1)")).toHaveCount(0);
  await choose(copy, "Put into the bin");
  await unfold("Bin (1)");
  await choose(copy, "Remove for ever");
  await copy.getByRole("button", { name: "Remove it with its edit" }).click();
  await expect(copy).toHaveCount(0);
});
