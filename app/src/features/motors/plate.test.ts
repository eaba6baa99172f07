import { describe, expect, it } from "vitest";
import { readCsv } from "../../lib/csv";
import { guessMapping } from "../../lib/columns";
import { listFields, motorNameHeads, plateFields, readMotors } from "./plate";

const heads = "Motor;kW;Voltage;Current A;No-load current A;Hz;Speed rpm;Efficiency %;cos phi;Poles;Max speed";
const table = readCsv(`${heads}
mill 1;45;400;80,4;32;50;1479;94,2;0,858;4;3000
mill 2;55;400;97;;50;1482;94,6;0,86;4;
mill 3;75;400;many;;50;1485;95;0,86;4;`);

describe("motors from a list", () => {
  it("finds the columns by their names, each once", () => {
    expect(guessMapping(plateFields, table.heads, motorNameHeads)).toEqual({
      name: 0,
      ratedPowerKw: 1,
      ratedVoltageV: 2,
      ratedCurrentA: 3,
      noLoadCurrentA: 4,
      ratedFrequencyHz: 5,
      ratedSpeedRpm: 6,
      efficiencyPct: 7,
      powerFactor: 8,
      poles: 9,
      maxSpeedRpm: 10,
    });
  });

  it("reads good rows and names the bad one", () => {
    const rows = readMotors(
      table.rows,
      guessMapping(plateFields, table.heads, motorNameHeads),
      "cage-induction",
      new Set(["own-1"]),
    );
    expect(rows.map((r) => r.ok)).toEqual([true, true, false]);
    expect(rows[0]).toMatchObject({ value: { id: "own-2", name: "mill 1", ratedCurrentA: 80.4, noLoadCurrentA: 32 } });
    expect(rows[1]).toMatchObject({ value: { id: "own-3", noLoadCurrentA: null, maxSpeedRpm: null } });
    expect(rows[2]).toEqual({ ok: false, problem: "row 3: Rated current is “many”" });
  });

  it("names a needed column that the list lacks", () => {
    const rows = readMotors([["x", "45"]], { name: 0, ratedPowerKw: 1 }, "cage-induction", new Set());
    expect(rows[0]).toEqual({ ok: false, problem: "row 1: Voltage is “”" });
  });

  it("reads what a maker states in words, and names a word that says nothing", () => {
    const stated = readCsv(`${heads};Explosion protection;Certificate for converters;Made for converters
a;45;400;80;;50;1479;94;0,86;4;;Ex db IIC T4;yes;x
b;45;400;80;;50;1479;94;0,86;4;;;;no
c;45;400;80;;50;1479;94;0,86;4;;perhaps;yes;x`);
    const rows = readMotors(
      stated.rows,
      guessMapping(listFields, stated.heads, motorNameHeads),
      "cage-induction",
      new Set(),
    );
    expect(rows[0]).toMatchObject({
      value: { explosion: "flameproof", certifiedForConverter: true, forConverter: true },
    });
    expect(rows[1]).toMatchObject({ value: { explosion: "none", certifiedForConverter: false, forConverter: false } });
    expect(rows[2]).toEqual({ ok: false, problem: "row 3: Explosion protection is “perhaps”" });
  });
});
