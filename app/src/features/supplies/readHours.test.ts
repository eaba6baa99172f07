import { describe, expect, it } from "vitest";
import { readHours } from "./readHours";

const year = (hours: number, row: (i: number) => string, head = "time;light;air") =>
  [head, ...Array.from({ length: hours }, (_, i) => row(i))].join("\n");

describe("a year by hours", () => {
  it("takes the last two columns, decimal commas too", () => {
    const found = readHours(year(8760, (i) => `${i};${i % 24},5;12,3`));
    if (typeof found === "string") {
      throw new Error(found);
    }
    expect(found.wPerM2).toHaveLength(8760);
    expect(found.wPerM2[25]).toBe(1.5);
    expect(found.airC[0]).toBe(12.3);
  });

  it("passes over the 29th of February and the little less than nothing of the night", () => {
    const found = readHours(year(8784, (i) => `${i};${i >= 1416 && i < 1440 ? 999 : -3};5`));
    expect(typeof found === "string" ? found : found.wPerM2.every((w) => w === 0)).toBe(true);
  });

  it("says which row is wrong, and how many are wanted", () => {
    expect(readHours(year(8760, (i) => (i === 99 ? "99;1600;5" : `${i};5;5`)))).toContain("Row 100");
    expect(readHours(year(8760, (i) => (i === 3 ? "3;5;warm" : `${i};5;5`)))).toContain("Row 4");
    expect(readHours(year(24, (i) => `${i};5;5`))).toContain("24 rows");
  });
});
