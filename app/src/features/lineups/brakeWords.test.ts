import { unitsOf } from "../../fields/useUnits";
import { describe, expect, it } from "vitest";
import type { Brake } from "../../api/client";
import { outcome, phaseStarts } from "./brakeWords";

type Run = NonNullable<Brake["run"]>;
const run = {
  fault: "none",
  up: true,
  rollbackMm: 0,
  dropMm: 0,
  clampedAtRpm: 3,
  brakeJ: 0.2,
  permittedJ: 30000,
  clampingsLeft: null,
  endPhase: "off",
  heldAtEnd: true,
  trace: [],
} as Run;

describe("what a brake sequence came to", () => {
  it("is said in sentences", () => {
    expect(outcome(run, true, unitsOf("si"))).toHaveLength(2);
    expect(outcome(run, true, unitsOf("si"))[0]).toMatch(
      /^The brake takes 0\.2\d* J of 30.000 J permitted, touching at 3/,
    );
    expect(outcome(run, true, unitsOf("si"))[1]).toBe("The load stands at the end.");
    const fallen = outcome({ ...run, rollbackMm: 12.4, dropMm: 3, brakeJ: 0 }, true, unitsOf("si"));
    expect(fallen).toHaveLength(4);
    expect(fallen[0]).toBe("The load rolls back 12.4 mm at the start.");
    expect(fallen[1]).toMatch(/^It drops 3/);
    expect(fallen[2]).toBe("The brake takes no work.");
    expect(outcome({ ...run, rollbackMm: 12 }, false, unitsOf("si"))[0]).toContain("takes 0.2");
  });

  it("warns of what is not confirmed and of what falls", () => {
    expect(outcome({ ...run, endPhase: "hold-and-warn" }, true, unitsOf("si")).at(-1)).toContain(
      "must not be switched off",
    );
    expect(outcome({ ...run, heldAtEnd: false }, true, unitsOf("si")).at(-1)).toContain("does not stand");
    expect(outcome({ ...run, fault: "power-lost", clampingsLeft: 180 }, true, unitsOf("si"))).toContain(
      "Worn after 180 such emergency engagements.",
    );
  });

  it("names where each phase begins", () => {
    const at = (timeS: number, phase: Run["endPhase"]) => ({ timeS, phase }) as Run["trace"][number];
    expect(phaseStarts([at(0, "magnetise"), at(0.1, "magnetise"), at(0.3, "release"), at(0.4, "move")])).toEqual([
      { timeS: 0, name: "magnetise" },
      { timeS: 0.3, name: "release" },
      { timeS: 0.4, name: "move" },
    ]);
  });
});
