import { describe, expect, it } from "vitest";
import { guessMapping } from "../../lib/columns";
import { readCsv } from "../../lib/csv";
import { readConverters, unitFields, unitNameHeads, type Shared } from "./unit";

const shared: Shared = { kind: "six-pulse", emcFilter: "for-c3", catalogue: "House list", version: "2026-10" };
const table = readCsv(`Unit;kW;Voltage;Light duty A;Heavy duty A;DC choke %;Loss 90/100;Loss 50/25;Width mm;Mass kg
A-75;75;400;145;110;4;1820;520;280;48
A-90;90;400;171;;4;;;330;62
A-110;110;400;two hundred;;;;;;`);
const mapping = guessMapping(unitFields, table.heads, unitNameHeads);

describe("converters from a list", () => {
  it("finds the columns by their names, the narrow words first", () => {
    expect(mapping).toEqual({
      name: 0,
      ratedKw: 1,
      ratedVoltageV: 2,
      lightCurrentA: 3,
      heavyCurrentA: 4,
      chokePct: 5,
      lossF90I100W: 6,
      lossF50I25W: 7,
      widthMm: 8,
      massKg: 9,
    });
  });

  it("keeps what is open open, and which catalogue it came from", () => {
    const rows = readConverters(table.rows, mapping, shared, new Set(["own-converter-1"]));
    expect(rows[0]).toMatchObject({
      ok: true,
      value: {
        id: "own-converter-2",
        name: "A-75",
        catalogue: "House list",
        version: "2026-10",
        emcFilter: "for-c3",
        heavyCurrentA: 110,
      },
    });
    expect(rows[1]).toMatchObject({
      ok: true,
      value: { heavyCurrentA: null, lossF90I100W: null, leastBrakeOhm: null },
    });
  });

  it("names a row that can't be read", () => {
    expect(readConverters(table.rows, mapping, shared, new Set())[2]).toEqual({
      ok: false,
      problem: "row 3: Current, light overload, A is “two hundred”",
    });
  });
});
