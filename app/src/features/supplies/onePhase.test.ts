import { describe, expect, it } from "vitest";
import { rpmOf, withChanged, withMachine, without, type OnePhase } from "./onePhase";

const one: OnePhase = { machines: [{ id: "machine-2", name: "Saw" }] };

describe("the list of machines", () => {
  it("gives a new machine a key that no other has", () => {
    const more = withMachine(one);
    expect(new Set(more.machines?.map((m) => m.id)).size).toBe(2);
    expect(withMachine(more).machines?.map((m) => m.id)).toContain("machine-4");
  });

  it("changes one machine and leaves the others", () => {
    const two = withChanged(withMachine(one), "machine-2", { ratedKw: 3 });
    expect(two.machines?.[0]).toMatchObject({ name: "Saw", ratedKw: 3 });
    expect(two.machines?.[1]?.ratedKw).toBeUndefined();
    expect(without(two, "machine-2").machines).toHaveLength(1);
  });
});

describe("the speed of a sensor", () => {
  it("is sixty times pulses a second over pulses a turn", () => {
    expect(rpmOf(1450, 60)).toBe(1450);
    expect(rpmOf(24, 1)).toBe(1440);
    expect(rpmOf(24, 0)).toBeUndefined();
    expect(rpmOf(Number.NaN, 60)).toBeUndefined();
  });
});
