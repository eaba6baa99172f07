import { describe, expect, it } from "vitest";
import type { DrivePoint, DrivePointFigures, Specification } from "../../api/client";
import { nextStep } from "./nextStep";

const point = (tag: string, part: object = {}) =>
  ({
    id: tag.toLowerCase(),
    tag,
    load: { kind: "fan", common: { duty: [] } },
    motor: { kind: "not-chosen" },
    converter: { kind: "not-chosen" },
    cable: { lengthM: null, crossSectionMm2: 6 },
    ...part,
  }) as unknown as DrivePoint;
const plant = (drivePoints: DrivePoint[], strength: object = { kind: "fault-level", shortCircuitMva: 250 }) =>
  ({
    source: { strength },
    lineups: [{ drivePoints }],
  }) as unknown as Specification;

describe("the next step of a stage", () => {
  it("of the plant is the strength of the connection", () => {
    for (const [open, name] of [
      [{ kind: "not-stated" }, "Strength"],
      [{ kind: "fault-level", shortCircuitMva: null }, "Short-circuit power, maximum"],
      [{ kind: "generator", ratedKva: null }, "Generator"],
    ] as const) {
      expect(nextStep("Plant", plant([], open))?.actions).toEqual([{ kind: "entry", name }]);
    }
    expect(nextStep("Plant", plant([]))).toBeUndefined();
    expect(nextStep("Plant", plant([], { kind: "assumed-infinite" }))).toBeUndefined();
  });

  it("of an empty plant is a drive point, in every stage that needs one", () => {
    for (const stage of ["Loads", "Motors", "Converters", "Cables", "Energy", "Harmonics", "Sheets"]) {
      expect(nextStep(stage, plant([]))?.actions.map((a) => a.kind)).toEqual(["add", "templates", "import"]);
    }
    expect(nextStep("History", plant([]))).toBeUndefined();
  });

  it("of the loads is what the first without one drives; motors wait for it", () => {
    const bare = plant([point("DP-1"), point("DP-2", { load: { kind: "unspecified" } })]);
    expect(nextStep("Loads", bare)).toEqual({
      says: "Say what DP-2 drives.",
      actions: [{ kind: "cell", point: "dp-2", row: "load" }],
    });
    expect(nextStep("Motors", bare)?.actions).toEqual([
      { kind: "size", points: ["dp-1"] },
      { kind: "cell", point: "dp-1", row: "motor" },
    ]);
    expect(nextStep("Converters", plant([point("DP-2", { load: { kind: "unspecified" } })]))?.says).toBe(
      "DP-2 has no converter or starter; what it drives comes first.",
    );
  });

  it("counts what is open, and is silent where nothing is", () => {
    const full = point("DP-1", {
      load: { kind: "fan", common: { duty: [{ level: 1, hours: 1 }] } },
      motor: { kind: "catalogue" },
      converter: { kind: "catalogue" },
      cable: { lengthM: 10, crossSectionMm2: 6 },
    });
    for (const stage of ["Loads", "Motors", "Converters", "Cables", "Energy", "Harmonics"]) {
      expect(nextStep(stage, plant([full]))).toBeUndefined();
    }
    expect(nextStep("Cables", plant([full, point("DP-2"), point("DP-3")]))?.says).toBe(
      "2 motor cables lack length or cross-section.",
    );
    expect(
      nextStep("Cables", plant([point("DP-2", { cable: { lengthM: 10, crossSectionMm2: null } })]))?.actions,
    ).toEqual([
      { kind: "entry", name: "Cables of this plant" },
      { kind: "cell", point: "dp-2", row: "cable" },
    ]);
    const stated = { ...plant([point("DP-2", { cable: { lengthM: 10, crossSectionMm2: null } })]), cables: {} };
    expect(nextStep("Cables", stated as unknown as Specification)?.actions[0]).toEqual({
      kind: "protect",
      points: ["dp-2"],
    });
    const laid = [{ drivePointId: "dp-2", cableM: 18 } as DrivePointFigures];
    expect(nextStep("Cables", plant([full, point("DP-2")]), laid)).toBeUndefined();
    expect(nextStep("Energy", plant([point("DP-2")]))?.says).toContain("1 drive point has no hours");
  });
});
