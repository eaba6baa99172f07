import { describe, expect, it } from "vitest";
import type { Check } from "../api/client";
import { usage, worst } from "./verdict";

const check = (change: Partial<Check>): Check => ({
  id: "motor.continuous",
  drivePointId: "dp-01",
  elementId: "",
  row: "motor",
  title: "Motor, continuous torque",
  verdict: "holds",
  figure: 50,
  limit: 100,
  unit: "Nm",
  sense: "at-most",
  marginPct: 50,
  scenario: "",
  relief: "",
  reason: null,
  ...change,
});

describe("verdicts", () => {
  it("names the worst, a failure first, then a tight margin, then missing data", () => {
    expect(worst(["holds", "tight", "needs-data", "fails"])).toBe("fails");
    expect(worst(["holds", "needs-data", "tight"])).toBe("tight");
    expect(worst(["holds", "not-applicable"])).toBe("holds");
    expect(worst([])).toBeUndefined();
  });

  it("says how much of a limit is used, either way round", () => {
    expect(usage(check({}))).toBeCloseTo(0.5);
    expect(usage(check({ sense: "at-least", figure: 40, limit: 30 }))).toBeCloseTo(0.75);
  });
});
