import { describe, expect, it } from "vitest";
import type { SiteEntry, SiteStep } from "../../api/client";
import { unitsOf } from "../../fields/useUnits";
import { compared, expectedOf, markOf, nextOf, readRun, readTable, readValues, resultIn } from "./commissioning";

const quantity = (id: string, unit: string, more: Partial<SiteStep["quantities"][number]> = {}) => ({
  id,
  name: id,
  unit,
  expected: null,
  least: null,
  most: null,
  isNeeded: true,
  numbers: "",
  source: "",
  reading: null,
  ...more,
});
const step = (more: Partial<SiteStep>): SiteStep => ({
  id: "s",
  phase: "loaded",
  title: "Step",
  how: "",
  caution: "",
  suspect: "",
  quantities: [],
  runUnit: "",
  runReading: null,
  orders: [],
  standing: "open",
  why: [],
  entryNumber: null,
  verdict: "",
  result: "",
  simulated: false,
  ...more,
});
const si = unitsOf("si");
const us = unitsOf("us-customary");

describe("values of a step", () => {
  const warm = step({ quantities: [quantity("winding", "°C"), quantity("ten", "MΩ", { isNeeded: false })] });
  it("are read in the project's units and any other of the kind", () => {
    expect(readValues(warm, { winding: "40" }, si)).toEqual({ values: { winding: 40 } });
    const read = readValues(warm, { winding: "104" }, us);
    expect("values" in read && read.values.winding).toBeCloseTo(40, 9);
    const named = readValues(warm, { winding: "40 °C" }, us);
    expect("values" in named && named.values.winding).toBeCloseTo(40, 9);
  });
  it("are asked for by name", () => {
    expect(readValues(warm, { ten: "5" }, si)).toEqual({ problem: "winding is needed." });
    expect(readValues(warm, { winding: "warm" }, si)).toHaveProperty("problem");
  });
  it("have their window said", () => {
    expect(expectedOf(quantity("a", "A", { expected: 80, least: 76, most: 84 }), si)).toBe("80 A; 76 A to 84 A");
    expect(expectedOf(quantity("a", "Ω", { most: 0.1 }), si)).toBe("at most 0.1 Ω");
    expect(expectedOf(quantity("a", "%", { least: 125 }), si)).toBe("at least 125 %");
    expect(expectedOf(quantity("a", "°C", { expected: 40 }), us)).toBe("104 °F");
    expect(expectedOf(quantity("a", "A"), si)).toBe("");
    expect(expectedOf(quantity("power", "kW", { expected: 37.285 }), us)).toBe("50 hp");
    expect(expectedOf(quantity("kw", "kW", { expected: 37.285 }), us)).toBe("37.28 kW");
  });
});

describe("what was found", () => {
  it("tells a plate's power as that of a shaft, and other power as it is", () => {
    const us = unitsOf("us-customary");
    expect(resultIn("plate", "rated power 55.93 kW, 55.37 to 56.49 kW expected; 40 °C", us)).toBe(
      "rated power 75 hp, 74.25 to 75.75 hp expected; 104 °F",
    );
    expect(resultIn("loaded", "power 50.99 kW", us)).toBe("power 50.99 kW");
    expect(resultIn("plate", "rated power 55.93 kW", unitsOf("si"))).toBe("rated power 55.93 kW");
  });
});

describe("a run", () => {
  it("is read from a spreadsheet, from typing, with and without heads", () => {
    const wanted = [
      { timeS: 0, value: 20.5 },
      { timeS: 60, value: 22 },
    ];
    expect(readRun("s\t°C\n0\t20,5\n60\t22\n")).toEqual({ run: wanted });
    expect(readRun("0;20,5\r\n60;22")).toEqual({ run: wanted });
    expect(readRun("0 20.5\n\n60 22")).toEqual({ run: wanted });
    expect(readRun("0,20.5\n60,22")).toEqual({ run: wanted });
  });
  it("names the line that is none", () => {
    expect(readRun("0 20\nhot")).toEqual({ problem: "Line 2, “hot”, is no time and value." });
  });
});

describe("a table", () => {
  it("is read with its heads", () => {
    expect(readTable('key\tas left\n"ramp.up"\t95\n')).toEqual({
      heads: ["key", "as left"],
      rows: [["ramp.up", "95"]],
    });
    expect(readTable("key,as left\nramp.up,95")).toEqual({ heads: ["key", "as left"], rows: [["ramp.up", "95"]] });
  });
});

describe("steps", () => {
  it("lead to the first that is not done", () => {
    const steps = [
      step({ id: "a", standing: "done" }),
      step({ id: "b", standing: "waiting" }),
      step({ id: "c", standing: "stale" }),
      step({ id: "d", standing: "open" }),
    ];
    expect(nextOf(steps)?.id).toBe("c");
    expect(nextOf(steps.slice(0, 2))).toBeUndefined();
  });
  it("are marked by what counts", () => {
    expect(markOf(step({ standing: "done", verdict: "Holds" }))).toBe("holds");
    expect(markOf(step({ standing: "done", verdict: "Tight" }))).toBe("tight");
    expect(markOf(step({ standing: "wrong", verdict: "Fails" }))).toBe("fails");
    expect(markOf(step({ standing: "stale", verdict: "Holds" }))).toBe("needs-data");
    expect(markOf(step({ standing: "waiting" }))).toBeUndefined();
  });
  it("stand side by side in what both entries have", () => {
    const entry = (values: Record<string, number>) => ({ values }) as unknown as SiteEntry;
    const of = step({ quantities: [quantity("amps", "A"), quantity("rpm", "rpm")] });
    expect(compared(of, entry({ amps: 80 }), entry({ amps: 76, rpm: 1480 }))).toEqual([
      { name: "amps", unit: "A", was: 80, is: 76 },
    ]);
  });
});
