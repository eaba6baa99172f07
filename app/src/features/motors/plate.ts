import type { Specification } from "../../api/client";
import { readNumber } from "../../lib/csv";
import { quantities, type Quantity } from "../../lib/units";

/** A real motor of the project. */
export type OwnMotor = Specification["motors"][number];

/** Kinds of motor with their names. */
export const technologyNames: Readonly<Record<OwnMotor["technology"], string>> = {
  "cage-induction": "cage induction",
  "synchronous-reluctance": "synchronous reluctance",
  "permanent-magnet": "permanent magnet",
  servo: "servo",
  "dc-separately-excited": "DC, separately excited",
};

type NumberKey = {
  [K in keyof OwnMotor]-?: Exclude<OwnMotor[K], undefined> extends number | null ? K : never;
}[keyof OwnMotor];

/** An entry of a plate. */
export interface PlateField {
  readonly key: NumberKey;
  readonly label: string;
  readonly quantity: Quantity;
  readonly needed: boolean;
  /** Words that name such a column in a list. */
  readonly heads: RegExp;
}

const q = quantities;
const field = (key: NumberKey, label: string, quantity: Quantity, heads: RegExp, needed = false): PlateField => ({
  key,
  label,
  quantity,
  needed,
  heads,
});

/** What a data plate says, then what only a catalogue sheet does. */
export const plateFields: readonly PlateField[] = [
  field("ratedPowerKw", "Power", q.powerKw, /power(?! f)|kw|^p\b/i, true),
  field("ratedVoltageV", "Voltage", q.voltageV, /^(rated )?volt|^u\b|^v$/i, true),
  field("deltaVoltageV", "Voltage in delta", q.voltageV, /delta/i),
  field("ratedCurrentA", "Current at that voltage", q.currentA, /current|amp|^i\b|^a$/i, true),
  field("ratedFrequencyHz", "Frequency", q.frequencyHz, /freq|hz/i, true),
  field("ratedSpeedRpm", "Speed", q.speedRpm, /^(rated )?speed|rpm|1\/min/i, true),
  field("efficiencyPct", "Efficiency", q.percent, /eff|η/i, true),
  field("powerFactor", "Power factor", q.plain, /factor|cos|pf/i, true),
  field("poles", "Poles", q.plain, /pole/i, true),
  field("breakdownTorquePu", "Breakdown torque, × rated", q.plain, /breakdown|pull/i),
  field("noLoadCurrentA", "No-load current, measured", q.currentA, /no.?load/i),
  field("lockedRotorCurrentPu", "Locked-rotor current, × rated", q.plain, /locked.*curr|starting curr|i[as]\/i/i),
  field("lockedRotorTorquePu", "Locked-rotor torque, × rated", q.plain, /locked.*torq|starting torq/i),
  field("halfLoadPowerFactor", "Power factor at half load, measured", q.plain, /half.?load|pf.?50/i),
  field("backEmfVPerKrpm", "Magnets, V at 1000 rpm", q.plain, /emf|ke\b/i),
  field("inertiaKgM2", "Inertia", q.inertiaKgM2, /inertia|^j\b/i),
  field("maxSpeedRpm", "Mechanical limit", q.speedRpm, /max.*speed|limit/i),
  field("shaftHeightMm", "Shaft height", q.lengthMm, /height|frame/i),
  field("lengthMm", "Length", q.lengthMm, /length/i),
  field("massKg", "Mass", q.massKg, /mass|weight|kg$/i),
  field("priceIndex", "Price index", q.plain, /price/i),
  ...(
    [
      ["lossN90T100W", 90, 100],
      ["lossN50T100W", 50, 100],
      ["lossN25T100W", 25, 100],
      ["lossN90T50W", 90, 50],
      ["lossN50T50W", 50, 50],
      ["lossN50T25W", 50, 25],
      ["lossN25T25W", 25, 25],
    ] as const
  ).map(([key, speed, torque]) =>
    field(key, `Loss at ${speed} % n, ${torque} % T`, q.powerW, new RegExp(`loss.*${speed}.+${torque}\\b`, "i")),
  ),
];

/** Columns of a list, each by its position; absent where a list has none. */
export type Mapping = Readonly<Partial<Record<NumberKey | "name", number>>>;

// The narrow words first, so that a no-load current is not taken for the current.
const narrowFirst: readonly NumberKey[] = [
  "deltaVoltageV",
  "noLoadCurrentA",
  "halfLoadPowerFactor",
  "lockedRotorCurrentPu",
  "lockedRotorTorquePu",
  "maxSpeedRpm",
  "lossN90T100W",
  "lossN50T100W",
  "lossN25T100W",
  "lossN90T50W",
  "lossN50T50W",
  "lossN50T25W",
  "lossN25T25W",
];

/** The likely columns of a list by their names; each column is used once. */
export function guessMapping(heads: readonly string[]): Mapping {
  const mapping: Partial<Record<NumberKey | "name", number>> = {};
  const used = new Set<number>();
  const take = (key: NumberKey | "name", test: RegExp) => {
    const at = heads.findIndex((h, i) => !used.has(i) && test.test(h.trim()));
    if (at >= 0) {
      mapping[key] = at;
      used.add(at);
    }
  };
  take("name", /name|type|motor|model|tag/i);
  const ordered = [...plateFields].sort(
    (a, b) => Number(narrowFirst.includes(b.key)) - Number(narrowFirst.includes(a.key)),
  );
  for (const f of ordered) {
    take(f.key, f.heads);
  }
  return mapping;
}

/** A row of a list: a motor, or why it is none. */
export type ReadRow =
  { readonly ok: true; readonly motor: OwnMotor } | { readonly ok: false; readonly problem: string };

/** Reads rows of a list; keys start after those that are taken. */
export function readMotors(
  rows: readonly (readonly string[])[],
  mapping: Mapping,
  technology: OwnMotor["technology"],
  taken: ReadonlySet<string>,
): ReadRow[] {
  const keys = freeKeys(taken);
  return rows.map((row, i): ReadRow => {
    const cell = (key: keyof Mapping) => row[mapping[key] ?? -1]?.trim() ?? "";
    const values: Partial<Record<NumberKey, number | null>> = {};
    for (const f of plateFields) {
      const text = cell(f.key);
      const value = text === "" ? undefined : readNumber(text);
      if (value === undefined && (text !== "" || f.needed)) {
        return { ok: false, problem: `row ${i + 1}: ${f.label.toLowerCase()} is “${text}”` };
      }
      values[f.key] = value ?? null;
    }
    const motor = emptyMotor(keys(), cell("name") || `motor ${i + 1}`, technology);
    return { ok: true, motor: { ...motor, ...values } as OwnMotor };
  });
}

/** Keys of the project's own motors that are still free, one after the other. */
export function freeKeys(taken: ReadonlySet<string>): () => string {
  let number = 0;
  return () => {
    do {
      number++;
    } while (taken.has(`own-${number}`));
    return `own-${number}`;
  };
}

/** A motor with nothing entered but its kind. */
export function emptyMotor(id: string, name: string, technology: OwnMotor["technology"]): OwnMotor {
  return {
    id,
    name,
    technology,
    efficiencyClass: "–",
    ratedPowerKw: 0,
    ratedVoltageV: 400,
    deltaVoltageV: null,
    ratedFrequencyHz: 50,
    ratedSpeedRpm: 0,
    ratedCurrentA: 0,
    efficiencyPct: 0,
    powerFactor: 0,
    poles: 4,
    breakdownTorquePu: null,
    noLoadCurrentA: null,
    lockedRotorCurrentPu: null,
    lockedRotorTorquePu: null,
    halfLoadPowerFactor: null,
    backEmfVPerKrpm: null,
    inertiaKgM2: null,
    maxSpeedRpm: null,
    shaftHeightMm: null,
    lengthMm: null,
    massKg: null,
    priceIndex: null,
    lossN90T100W: null,
    lossN50T100W: null,
    lossN25T100W: null,
    lossN90T50W: null,
    lossN50T50W: null,
    lossN50T25W: null,
    lossN25T25W: null,
  };
}
