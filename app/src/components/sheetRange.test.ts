import { describe, expect, it } from "vitest";
import { fromClipboard, places, rangeOf, toClipboard } from "./sheetRange";

const sheet = [
  ["a", "b", "c"],
  ["d", "e", "f"],
  ["g", "h", "i"],
];
const at = ({ row, column }: { row: number; column: number }) => sheet[row]?.[column] ?? "";

describe("copying and pasting in a sheet", () => {
  it("selects between any two corners", () => {
    expect(rangeOf({ row: 2, column: 0 }, { row: 1, column: 2 })).toEqual({ top: 1, left: 0, bottom: 2, right: 2 });
    expect(places(rangeOf({ row: 0, column: 0 }, { row: 1, column: 1 }))).toHaveLength(4);
  });

  it("copies as tabs and lines and pastes the same elsewhere", () => {
    const text = toClipboard(rangeOf({ row: 0, column: 0 }, { row: 1, column: 1 }), at);
    expect(text).toBe("a\tb\nd\te");
    const pasted = fromClipboard(text, rangeOf({ row: 1, column: 1 }, { row: 1, column: 1 }), 3, 3);
    expect(pasted).toEqual([
      { row: 1, column: 1, text: "a" },
      { row: 1, column: 2, text: "b" },
      { row: 2, column: 1, text: "d" },
      { row: 2, column: 2, text: "e" },
    ]);
  });

  it("repeats one cell over the selection and stops at the edge", () => {
    const all = rangeOf({ row: 0, column: 0 }, { row: 2, column: 2 });
    expect(fromClipboard("x", all, 3, 3)).toHaveLength(9);
    expect(fromClipboard("1\t2\t3\r\n", rangeOf({ row: 2, column: 2 }, { row: 2, column: 2 }), 3, 3)).toEqual([
      { row: 2, column: 2, text: "1" },
    ]);
  });
});
