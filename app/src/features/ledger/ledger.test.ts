import { unitsOf } from "../../fields/useUnits";
import { describe, expect, it } from "vitest";
import type { Check, Specification } from "../../api/client";
import { figureText, inScope, kindsOf } from "./Ledger";

const check = (part: Partial<Check>) =>
  ({ id: "a", verdict: "fails", figure: 1, limit: 2, unit: "A", sense: "at-most", ...part }) as Check;

describe("ledger", () => {
  it("shows one tile a kind, with how many more fail alike", () => {
    const kinds = kindsOf([
      check({ id: "brake" }),
      check({ id: "cost" }),
      check({ id: "cost", drivePointId: "2" }),
      check({ id: "brake", verdict: "tight" }),
      check({ id: "held", verdict: "holds" }),
      check({ id: "held", verdict: "holds" }),
    ]);
    expect(kinds.map((k) => [k.worst.id, k.alike])).toEqual([
      ["brake", 0],
      ["cost", 1],
      ["held", 0],
    ]);
  });

  it("says figures as a sentence would", () => {
    expect(figureText(check({ figure: 1084, limit: 15, unit: "rpm" }), unitsOf("si"))).toBe("1084 of 15.0 rpm");
    expect(figureText(check({ figure: 5.57, limit: 0, unit: "kW" }), unitsOf("si"))).toBe("5.57 kW, none allowed");
    expect(figureText(check({ figure: 90, limit: 100, unit: "%", sense: "at-least" }), unitsOf("si"))).toBe(
      "90.0 %, at least 100 wanted",
    );
    expect(figureText(check({ figure: null, limit: null, verdict: "needs-data" }), unitsOf("si"))).toBe("data missing");
  });

  it("looks at a drive point, a stage, a scenario, the plant itself", () => {
    const specification = { lineups: [{ id: "l1", drivePoints: [{ id: "a" }] }] } as unknown as Specification;
    const one = check({ id: "motor.continuous", drivePointId: "a", scenario: "night" });
    const seen = (scope: string) => inScope(scope, "a", specification)(one);
    expect(["all", "point", "stage:3", "scenario:night", "lineup:l1"].map(seen)).toEqual([
      true,
      true,
      true,
      true,
      true,
    ]);
    expect(["plant", "stage:5", "scenario:day", "lineup:l2"].map(seen)).toEqual([false, false, false, false]);
    expect(inScope("point", "b", specification)(one)).toBe(false);
  });
});
