import { describe, expect, it } from "vitest";
import { tableOf, type Along, type Series } from "./Chart";

const along: Along = { key: "timeS", kind: "time" };
const series: readonly Series[] = [
  { key: "a", name: "current", unit: "A", colour: "black" },
  { key: "b", name: "state", colour: "black" },
];

describe("the table of a picture", () => {
  it("has a column for what runs along it and one for each series, with its unit", () => {
    const table = tableOf([{ timeS: 0, a: 1234.5, b: "open" }], along, series, [], [{ head: "more", of: () => "x" }]);
    expect(table.heads).toEqual(["s", "current, A", "state", "more"]);
    expect(table.rows).toEqual([["0", "1235", "open", "x"]]);
  });

  it("shows what is not there as a dash", () => {
    expect(tableOf([{ timeS: 1, a: null }], along, series).rows).toEqual([["1.00", "–", "–"]]);
  });

  it("leaves rows out of long ones, never the last", () => {
    const rows = Array.from({ length: 601 }, (_, i) => ({ timeS: i, a: i, b: i }));
    const table = tableOf(rows, along, series);
    expect(table.rows.length).toBeLessThanOrEqual(61);
    expect(table.rows.at(-1)?.[0]).toBe("600");
  });

  it("lists points that have names", () => {
    const table = tableOf([], along, series.slice(0, 1), [
      { x: 1, y: 2, name: "night" },
      { x: 3, y: 4 },
    ]);
    expect(table.rows).toEqual([["night", "1.00", "2.00"]]);
  });
});
