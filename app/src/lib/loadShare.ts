import type { DrivePoint } from "../api/client";

type Load = DrivePoint["load"];
type Number = number | null;

/** The part of a load that one of several motors on one shaft drives: forces, masses, torques and inertias, not speeds. */
export function loadShare(load: Load, part: number): Load {
  const of = (value: Number): Number => (value === null ? null : Math.round(value * part * 1e6) / 1e6);
  switch (load.kind) {
    case "unspecified":
      return load;
    case "fan":
    case "pump":
      return {
        ...load,
        common: {
          ...load.common,
          ratedFlowM3PerS: of(load.common.ratedFlowM3PerS),
          inertiaKgM2: of(load.common.inertiaKgM2),
        },
      };
    case "constant-torque":
      return { ...load, torqueNm: of(load.torqueNm), train: trainOf(load.train) };
    case "high-inertia":
      return { ...load, runningTorqueNm: of(load.runningTorqueNm), train: trainOf(load.train) };
    case "conveyor":
      return {
        ...load,
        massFlowKgPerS: of(load.massFlowKgPerS),
        rollerKgPerM: of(load.rollerKgPerM),
        beltKgPerM: of(load.beltKgPerM),
        train: trainOf(load.train),
      };
    case "roller-group":
      return { ...load, torqueEachNm: of(load.torqueEachNm), train: trainOf(load.train) };
    case "dosing-pump":
      return { ...load, displacementCm3PerRev: of(load.displacementCm3PerRev), train: trainOf(load.train) };
    case "winder":
      return {
        ...load,
        tensionN: of(load.tensionN),
        webWidthM: of(load.webWidthM),
        frictionNm: of(load.frictionNm),
        train: trainOf(load.train),
      };
    case "hoist":
      return {
        ...load,
        massKg: of(load.massKg),
        returnMassKg: of(load.returnMassKg),
        counterweightKg: of(load.counterweightKg),
        train: trainOf(load.train),
      };
    case "servo-axis":
      return { ...load, massKg: of(load.massKg), frictionN: of(load.frictionN), train: trainOf(load.train) };
    case "profile":
      return {
        ...load,
        points: load.points.map((p) => ({ ...p, torqueNm: p.torqueNm * part })),
        train: trainOf(load.train),
      };
  }

  function trainOf<T extends { readonly inertiaKgM2: Number }>(train: T): T {
    return { ...train, inertiaKgM2: of(train.inertiaKgM2) };
  }
}
