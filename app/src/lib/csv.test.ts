import { describe, expect, it } from "vitest";
import { readCsv, readNumber } from "./csv";

describe("tables from text", () => {
  it("finds the separator, the heads and quoted cells", () => {
    expect(readCsv('time s;speed rpm;"torque; Nm"\r\n0;0;1,5\n2;1480;"-3"\n')).toEqual({
      heads: ["time s", "speed rpm", "torque; Nm"],
      rows: [
        ["0", "0", "1,5"],
        ["2", "1480", "-3"],
      ],
    });
  });

  it("numbers the columns of a table without heads", () => {
    expect(readCsv("1\t2\n3\t4").heads).toEqual(["column 1", "column 2"]);
    expect(readCsv("1\t2\n3\t4").rows).toHaveLength(2);
  });

  it("leaves a byte-order mark and empty lines out", () => {
    expect(readCsv("\uFEFFa,b\n\n1,2\n\n").rows).toEqual([["1", "2"]]);
  });

  it("doubles a quote inside quotes", () => {
    expect(readCsv('a,b\n"say ""no""",2').rows).toEqual([['say "no"', "2"]]);
  });

  it("reads numbers with point or comma and nothing else", () => {
    expect(readNumber("1,5")).toBe(1.5);
    expect(readNumber(" -2.5e3 ")).toBe(-2500);
    expect(readNumber("1 480")).toBe(1480);
    expect(readNumber("fast")).toBeUndefined();
    expect(readNumber("")).toBeUndefined();
    expect(readNumber("1.2.3")).toBeUndefined();
  });
});
