import { describe, expect, it } from "vitest";
import type { DrivePoint } from "../api/client";
import { loadShare } from "./loadShare";

type Load = DrivePoint["load"];
const train = { gearRatio: 10, gearEfficiency: 0.9, inertiaKgM2: 4, startTimeS: 2 };
const of = (load: object) =>
  loadShare({ train, duty: [], ...load } as unknown as Load, 0.5) as unknown as Record<string, unknown>;

describe("a part of a load", () => {
  it("divides masses, torques and inertia, and leaves speeds", () => {
    expect(of({ kind: "hoist", massKg: 2600, returnMassKg: 900, counterweightKg: null, speedMPerS: 1 })).toMatchObject({
      massKg: 1300,
      returnMassKg: 450,
      counterweightKg: null,
      speedMPerS: 1,
      train: { inertiaKgM2: 2, gearRatio: 10, startTimeS: 2 },
    });
    expect(of({ kind: "high-inertia", runningTorqueNm: 80, ratedSpeedRpm: 20 })).toMatchObject({
      runningTorqueNm: 40,
      ratedSpeedRpm: 20,
    });
    expect(of({ kind: "winder", tensionN: 800, webWidthM: 1, frictionNm: 2, lineSpeedMPerS: 3 })).toMatchObject({
      tensionN: 400,
      webWidthM: 0.5,
      frictionNm: 1,
      lineSpeedMPerS: 3,
    });
    expect(of({ kind: "conveyor", massFlowKgPerS: 9, rollerKgPerM: 4, beltKgPerM: 2 })).toMatchObject({
      massFlowKgPerS: 4.5,
      rollerKgPerM: 2,
      beltKgPerM: 1,
    });
    expect(of({ kind: "roller-group", torqueEachNm: 10, rollers: 8 })).toMatchObject({ torqueEachNm: 5, rollers: 8 });
    expect(of({ kind: "dosing-pump", displacementCm3PerRev: 90 })).toMatchObject({ displacementCm3PerRev: 45 });
    expect(of({ kind: "servo-axis", massKg: 80, frictionN: 50 })).toMatchObject({ massKg: 40, frictionN: 25 });
    expect(of({ kind: "profile", points: [{ timeS: 0, speedRpm: 5, torqueNm: 8 }] })).toMatchObject({
      points: [{ timeS: 0, speedRpm: 5, torqueNm: 4 }],
    });
  });

  it("takes half the flow of a fan or pump at the same pressure", () => {
    const common = { ratedFlowM3PerS: 10, inertiaKgM2: 6, ratedSpeedRpm: 1480 };
    expect(of({ kind: "fan", ratedPressurePa: 2000, common })).toMatchObject({
      ratedPressurePa: 2000,
      common: { ratedFlowM3PerS: 5, inertiaKgM2: 3, ratedSpeedRpm: 1480 },
    });
  });
});
