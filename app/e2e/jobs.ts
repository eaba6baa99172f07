import { expect, type APIRequestContext, type Page } from "@playwright/test";
import { Hands } from "./hands";
import { cell } from "./plant";

/** An empty plant with its supply stated; its key. */
export async function emptyPlant(request: APIRequestContext): Promise<string> {
  const made = await request.post("/api/projects", { data: { name: "Empty", who: "engineer", supply: "400-50" } });
  return ((await made.json()) as { id: string }).id;
}

/** A fan with an outlet damper today: motor, converter, cable and payback, by keyboard alone. */
export async function fanWithDamper(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  const entry = (name: string) => page.getByRole("complementary", { name: "Bench" }).getByLabel(name, { exact: true });
  await hands.press("Insert");
  await expect(cell(page, "DP-01", "load")).toBeFocused();
  await hands.press("Enter");
  await expect(page.getByRole("tab", { name: "Entries" })).toBeFocused();
  await hands.tabTo(entry("Machine"));
  await hands.type("f");
  await expect(entry("Rated flow")).toBeVisible();
  await hands.tabTo(entry("Rated flow"));
  await hands.type("12");
  await hands.tabTo(entry("Rated pressure rise"));
  await hands.type("1800");
  await hands.tabTo(entry("Existing flow control"));
  await hands.type("o");
  await hands.saved();
  await hands.tabTo(page.getByRole("button", { name: "Add duty point" }));
  await hands.press("Enter");
  await expect(entry("Flow of duty point 1, %")).toBeFocused();
  await hands.type("60");
  await hands.press("Tab");
  await hands.type("4000");
  await hands.press("Enter");
  await hands.saved();
  await hands.find("assume");
  await expect(page.getByRole("alert")).toContainText("assumed");
  await hands.saved();
  await hands.find("size");
  await expect(cell(page, "DP-01", "converter")).toHaveAccessibleName(/6-pulse/);
  await hands.saved();
  await hands.press("Alt+5");
  await expect(cell(page, "DP-01", "cable")).toBeFocused();
  await hands.press("Enter");
  await expect(page.getByRole("tab", { name: "Entries" })).toBeFocused();
  await hands.tabTo(page.getByRole("textbox", { name: "Cross-section" }));
  await hands.type("16");
  await hands.press("Enter");
  await hands.saved();
  await hands.press("Control+Alt+Digit5");
  await expect(page.getByText("Simple payback")).toBeVisible();
  return hands;
}
