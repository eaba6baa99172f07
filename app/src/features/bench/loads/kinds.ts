import type { FluidMachine, Load } from "../../../api/client";
import type { Field } from "../../../fields/field";
import { fields } from "../../../fields/table";

/** Kinds of load in the order of a process sheet. */
export const kindNames = {
  unspecified: "not entered yet",
  fan: "fan",
  pump: "centrifugal pump",
  "constant-torque": "constant torque (screw, mixer, mill)",
  "high-inertia": "high inertia (ball mill, centrifuge)",
  conveyor: "belt conveyor",
  "roller-group": "roller group",
  "dosing-pump": "dosing pump",
  winder: "winder or unwinder",
  hoist: "hoist or haul",
  "servo-axis": "servo axis",
  profile: "profile over time",
} as const satisfies Record<Load["kind"], string>;

/** A load whose torque follows from mechanics. */
export type Mechanical = Exclude<Load, { kind: "unspecified" | "fan" | "pump" }>;

/** Entries of each kind, in the order in which they are asked. */
export const fieldsOf: Readonly<Record<Mechanical["kind"], Readonly<Record<string, Field>>>> = {
  "constant-torque": fields.LoadConstantTorqueLoad,
  "high-inertia": fields.LoadHighInertiaLoad,
  conveyor: fields.LoadConveyorLoad,
  "roller-group": fields.LoadRollerGroupLoad,
  "dosing-pump": fields.LoadDosingPumpLoad,
  winder: fields.LoadWinderLoad,
  hoist: fields.LoadHoistLoad,
  "servo-axis": fields.LoadServoAxisLoad,
  profile: {},
};

/** What the level of the duty stands for. */
export function levelName(kind: Load["kind"]): string {
  switch (kind) {
    case "fan":
    case "pump":
      return "flow";
    case "conveyor":
      return "belt speed";
    case "winder":
      return "line speed";
    case "hoist":
    case "servo-axis":
    case "profile":
      return "rate of cycles";
    default:
      return "speed";
  }
}

const emptyFluid: FluidMachine = {
  ratedFlowM3PerS: null,
  ratedEfficiency: null,
  ratedSpeedRpm: null,
  staticFraction: null,
  shutOffPu: null,
  inertiaKgM2: null,
  startTimeS: null,
  stopTimeS: null,
  duty: [],
  presentControl: "not-stated",
  vaneCurve: [],
  path: { kind: "own" },
};

/** An empty load of a kind; what both kinds share is kept. */
export function ofKind(kind: Load["kind"], was: Load): Load {
  if (kind === was.kind) {
    return was;
  }
  const common = was.kind === "fan" || was.kind === "pump" ? was.common : emptyFluid;
  switch (kind) {
    case "unspecified":
      return { kind };
    case "fan":
      return { kind, common, ratedPressurePa: null };
    case "pump":
      return {
        kind,
        common: common.presentControl === "inlet-vanes" ? { ...common, presentControl: "not-stated" } : common,
        ratedHeadM: null,
        densityKgPerM3: null,
      };
    default:
      return emptyMechanical(kind, was);
  }
}

function emptyMechanical(kind: Mechanical["kind"], was: Load): Mechanical {
  const kept = "train" in was ? was : undefined;
  const load: Record<string, unknown> = {
    kind,
    train: kept?.train ?? {
      gearRatio: null,
      gearEfficiency: null,
      inertiaKgM2: null,
      startTimeS: null,
      stopTimeS: null,
    },
    duty: kept?.duty ?? [],
  };
  for (const key of Object.keys(fieldsOf[kind])) {
    load[key] = null;
  }
  if (kind === "winder") {
    load["unwinds"] = false;
  } else if (kind === "servo-axis") {
    load["shape"] = "trapezoid";
  } else if (kind === "profile") {
    load["points"] = [];
  }
  return load as unknown as Mechanical;
}
