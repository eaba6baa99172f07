import type { FluidMachine, Load } from "../../../api/client";
import { quantities, type Quantity } from "../../../lib/units";

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

/** An entry of a load: where it is kept, what it is called, in which unit it is typed. */
export interface EntryField {
  readonly key: string;
  readonly label: string;
  readonly quantity: Quantity;
  readonly note?: string;
}

const q = quantities;
const speed: EntryField = { key: "ratedSpeedRpm", label: "Rated speed of the machine", quantity: q.speedRpm };
const breakaway: EntryField = {
  key: "breakawayPct",
  label: "Breakaway",
  quantity: q.percent,
  note: "Of the running torque; 150 % is common.",
};

/** Entries of each kind, in the order in which they are asked. */
export const fieldsOf: Readonly<Record<Mechanical["kind"], readonly EntryField[]>> = {
  "constant-torque": [
    { key: "torqueNm", label: "Torque of the machine", quantity: q.torqueNm },
    speed,
    breakaway,
    { key: "minSpeedPu", label: "Lowest speed", quantity: q.fractionPercent },
  ],
  "high-inertia": [{ key: "runningTorqueNm", label: "Torque at rated speed", quantity: q.torqueNm }, speed, breakaway],
  conveyor: [
    { key: "massFlowKgPerS", label: "Material carried", quantity: q.massFlowKgPerS },
    { key: "lengthM", label: "Length", quantity: q.lengthM },
    { key: "liftM", label: "Lift", quantity: q.lengthM, note: "Negative downhill." },
    { key: "beltSpeedMPerS", label: "Belt speed", quantity: q.linearSpeedMPerS },
    { key: "frictionFactor", label: "Friction factor f", quantity: q.plain, note: "0.02 to 0.03 is common." },
    {
      key: "regenerationFriction",
      label: "Friction factor while it drives",
      quantity: q.plain,
      note: "Empty: the project’s, 0.012.",
    },
    { key: "secondaryFactor", label: "Secondary factor C", quantity: q.plain },
    { key: "rollerKgPerM", label: "Idlers, per metre", quantity: q.kgPerM },
    { key: "beltKgPerM", label: "Belt, per metre", quantity: q.kgPerM },
    { key: "drumDiameterM", label: "Drum diameter", quantity: q.diameterMm },
    breakaway,
  ],
  "roller-group": [
    { key: "rollers", label: "Rollers", quantity: q.plain },
    { key: "torqueEachNm", label: "Torque of a roller", quantity: q.torqueNm },
    { key: "simultaneityPct", label: "Loaded at once", quantity: q.percent },
    speed,
    breakaway,
  ],
  "dosing-pump": [
    { key: "displacementCm3PerRev", label: "Volume of a turn", quantity: q.volumeCm3 },
    { key: "pressureBar", label: "Pressure difference", quantity: q.pressureBar },
    { key: "pumpEfficiency", label: "Pump efficiency", quantity: q.fractionPercent },
    { ...speed, label: "Speed at the largest dose" },
    breakaway,
  ],
  winder: [
    { key: "lineSpeedMPerS", label: "Line speed", quantity: q.linearSpeedMPerS },
    { key: "tensionN", label: "Tension at the core", quantity: q.forceN },
    { key: "taperPct", label: "Taper to the full roll", quantity: q.percent },
    { key: "coreDiameterM", label: "Core diameter", quantity: q.diameterMm },
    { key: "fullDiameterM", label: "Full diameter", quantity: q.diameterMm },
    { key: "webWidthM", label: "Width of the web", quantity: q.diameterMm },
    { key: "densityKgPerM3", label: "Density of the roll", quantity: q.densityKgPerM3 },
    { key: "frictionNm", label: "Friction at the roll", quantity: q.torqueNm },
  ],
  hoist: [
    { key: "massKg", label: "Mass, upwards", quantity: q.massKg },
    { key: "returnMassKg", label: "Mass, downwards", quantity: q.massKg },
    { key: "counterweightKg", label: "Counterweight", quantity: q.massKg },
    { key: "inclineDeg", label: "Angle of the track", quantity: q.angleDeg, note: "90° for a hoist." },
    { key: "speedMPerS", label: "Speed", quantity: q.linearSpeedMPerS },
    { key: "liftM", label: "Way", quantity: q.lengthM },
    { key: "cyclesPerHour", label: "Cycles an hour", quantity: q.plain },
    {
      key: "rollingFriction",
      label: "Rolling friction of the track",
      quantity: q.plain,
      note: "Empty: the project’s, 0.01; nothing on a vertical track.",
    },
    { key: "falls", label: "Falls of rope", quantity: q.plain },
    { key: "drumDiameterM", label: "Drum diameter", quantity: q.diameterMm },
    { key: "efficiency", label: "Ropes and guides, efficiency", quantity: q.fractionPercent },
  ],
  "servo-axis": [
    { key: "massKg", label: "Moved mass", quantity: q.massKg },
    { key: "feedMPerRev", label: "Way of a turn", quantity: q.diameterMm },
    { key: "distanceM", label: "Distance", quantity: q.diameterMm },
    { key: "moveTimeS", label: "Time of a move", quantity: q.timeS },
    { key: "dwellS", label: "Rest after it", quantity: q.timeS },
    { key: "frictionN", label: "Friction", quantity: q.forceN },
    { key: "inclineDeg", label: "Angle of the axis", quantity: q.angleDeg, note: "90° vertical, 0° level." },
  ],
  profile: [],
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
  for (const field of fieldsOf[kind]) {
    load[field.key] = null;
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
