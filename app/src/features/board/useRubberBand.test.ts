import { describe, expect, it } from "vitest";
import { caught, type PlacedCell } from "./useRubberBand";

const cell = (point: string, row: PlacedCell["row"], left: number, top: number): PlacedCell => ({
  point,
  row,
  left,
  top,
  right: left + 90,
  bottom: top + 40,
});
const cells = [
  cell("a", "motor", 0, 0),
  cell("b", "motor", 100, 0),
  cell("c", "motor", 200, 0),
  cell("a", "load", 0, 50),
  cell("b", "load", 100, 50),
  cell("c", "load", 200, 50),
];

describe("a box drawn over the board", () => {
  it("selects the columns it touches, in the row where it began", () => {
    expect(caught(cells, { left: 50, top: 20, right: 150, bottom: 70 }, { x: 150, y: 70 })).toEqual({
      point: "b",
      row: "load",
      columns: ["a", "b"],
    });
  });

  it("begun between cells, it takes the first it touches", () => {
    expect(caught(cells, { left: 195, top: 45, right: 260, bottom: 60 }, { x: 195, y: 45 })).toEqual({
      point: "c",
      row: "load",
      columns: ["c"],
    });
  });

  it("over nothing selects nothing", () => {
    expect(caught(cells, { left: 400, top: 0, right: 500, bottom: 90 }, { x: 400, y: 0 })).toBeUndefined();
  });
});
