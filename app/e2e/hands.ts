import { expect, type Locator, type Page } from "@playwright/test";

/** Works the app as a user does and counts: each key, click and choice from a list is one; typed text one a character. */
export class Hands {
  count = 0;

  constructor(readonly page: Page) {}

  async press(key: string, times = 1): Promise<void> {
    for (let i = 0; i < times; i++) {
      await this.page.keyboard.press(key);
      this.count++;
    }
  }

  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.count += text.length;
  }

  async click(on: Locator, modifier?: "Shift" | "Control"): Promise<void> {
    await on.click(modifier ? { modifiers: [modifier] } : {});
    this.count++;
  }

  /** Opens a list and picks from it. */
  async choose(list: Locator, value: string): Promise<void> {
    await list.selectOption(value);
    this.count += 2;
  }

  /** Something of the palette, by what is typed. */
  async find(text: string): Promise<void> {
    await this.press("Control+k");
    await expect(this.page.getByRole("dialog", { name: "Find or do" })).toBeVisible();
    await this.type(text);
    await this.press("Enter");
    await expect(this.page.getByRole("dialog", { name: "Find or do" })).toHaveCount(0);
  }

  /** Fills an entry: a click, the text and Enter. */
  async fill(entry: Locator, text: string): Promise<void> {
    await entry.click({ clickCount: 1 });
    await entry.press("Control+a");
    await this.page.keyboard.type(text);
    await entry.press("Enter");
    this.count += 2 + text.length;
  }

  /** Goes on with Tab until an entry has the focus; every Tab counts. */
  async tabTo(entry: Locator): Promise<void> {
    await expect(entry).toBeVisible();
    for (let i = 0; i < 60; i++) {
      if (await entry.evaluate((element) => element === document.activeElement)) {
        return;
      }
      await this.press("Tab");
    }
    throw new Error("Tab does not lead there.");
  }

  /** Waits until all that was changed is saved. */
  async saved(): Promise<void> {
    await expect(this.page.getByText(/^Edit \d+ saved$/)).toBeVisible({ timeout: 20_000 });
  }
}
