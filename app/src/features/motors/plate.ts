import type { Specification } from "../../api/client";
import { freeKeys, type ColumnField, type Mapping, type ReadRow } from "../../lib/columns";
import { readNumber } from "../../lib/csv";
import { quantityOf, type Field } from "../../fields/field";
import { fields } from "../../fields/table";
import type { Quantity } from "../../fields/units";

/** A real motor of the project. */
export type OwnMotor = Specification["motors"][number];

type Plate = typeof fields.OwnMotor;
type NumberKey = { [K in keyof Plate]: Plate[K]["kind"] extends "number" ? K : never }[keyof Plate];

/** An entry of a plate. */
export interface PlateField extends ColumnField<NumberKey> {
  readonly quantity: Quantity;
}

// The narrow words first, so that a no-load current is not taken for the current.
const narrowWords: ReadonlySet<NumberKey> = new Set<NumberKey>([
  "deltaVoltageV",
  "noLoadCurrentA",
  "halfLoadPowerFactor",
  "lockedRotorCurrentPu",
  "lockedRotorTorquePu",
  "maxSpeedRpm",
  "stallTimeS",
  "withstandV",
  "lossN90T100W",
  "lossN50T100W",
  "lossN25T100W",
  "lossN90T50W",
  "lossN50T50W",
  "lossN50T25W",
  "lossN25T25W",
]);

const field = (key: NumberKey, heads: RegExp): PlateField => {
  const described = fields.OwnMotor[key];
  return {
    key,
    label: described.name,
    quantity: quantityOf(described),
    needed: !("optional" in described),
    heads,
    narrow: narrowWords.has(key),
  };
};

/** What a data plate says, then what only a catalogue sheet does. */
export const plateFields: readonly PlateField[] = [
  field("ratedPowerKw", /power(?! f)|kw|^p\b/i),
  field("ratedVoltageV", /^(rated )?volt|^u\b|^v$/i),
  field("deltaVoltageV", /delta/i),
  field("ratedCurrentA", /current|amp|^i\b|^a$/i),
  field("ratedFrequencyHz", /freq|hz/i),
  field("ratedSpeedRpm", /^(rated )?speed|rpm|1\/min/i),
  field("efficiencyPct", /eff|η/i),
  field("powerFactor", /factor|cos|pf/i),
  field("poles", /pole/i),
  field("breakdownTorquePu", /breakdown|pull/i),
  field("noLoadCurrentA", /no.?load/i),
  field("lockedRotorCurrentPu", /locked.*curr|starting curr|i[as]\/i/i),
  field("lockedRotorTorquePu", /locked.*torq|starting torq/i),
  field("halfLoadPowerFactor", /half.?load|pf.?50/i),
  field("backEmfVPerKrpm", /emf|ke\b/i),
  field("inertiaKgM2", /inertia|^j\b/i),
  field("maxSpeedRpm", /max.*speed|limit/i),
  field("ratedRiseK", /rise/i),
  field("stallTimeS", /stall|locked.*time/i),
  field("startsPerHour", /starts/i),
  field("withstandV", /withstand|peak.*v/i),
  field("shaftHeightMm", /height|frame/i),
  field("lengthMm", /length/i),
  field("massKg", /mass|weight|kg$/i),
  field("priceIndex", /price/i),
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
  ).map(([key, speed, torque]) => field(key, new RegExp(`loss.*${speed}.+${torque}\\b`, "i"))),
];

/** What a maker states in words rather than numbers. */
export type StatedKey = "forConverter" | "explosion" | "certifiedForConverter";

/** Columns of a list that hold words. */
export const statedFields: readonly ColumnField<StatedKey>[] = [
  {
    key: "forConverter",
    label: "Made for converters (yes, no)",
    needed: false,
    heads: /made for|converter duty/i,
    narrow: true,
  },
  { key: "explosion", label: "Explosion protection", needed: false, heads: /explosion|\bex\b|atex/i, narrow: true },
  {
    key: "certifiedForConverter",
    label: "Certificate states converters (yes, no)",
    needed: false,
    heads: /certif/i,
    narrow: true,
  },
];

/** Columns that a list of motors may have. */
export const listFields: readonly ColumnField<NumberKey | StatedKey>[] = [...plateFields, ...statedFields];

const explosionWords: readonly (readonly [OwnMotor["explosion"] & string, RegExp])[] = [
  ["none", /^(none|no|–|-|safe area.*)$/i],
  ["flameproof", /flameproof|\bdb\b|\bex ?d\b/i],
  ["increased-safety", /increased|\beb\b|\bex ?e\b/i],
  ["pressurised", /press|\bpxb\b|\bex ?p\b/i],
  ["dust-by-enclosure", /dust|\bt[bc]\b|\bex ?t\b/i],
];

// Undefined: a word that says nothing known.
function readStated(key: StatedKey, text: string): Partial<OwnMotor> | undefined {
  if (key === "explosion") {
    const found = explosionWords.find(([, word]) => word.test(text));
    return found && { explosion: found[0] };
  }
  const yes = /^(yes|y|true|1|x)$/i.test(text);
  return yes || /^(no|n|false|0|–|-)$/i.test(text) ? { [key]: yes } : undefined;
}

/** Words that name the column of names. */
export const motorNameHeads = /name|type|motor|model|tag/i;

/** Reads rows of a list; keys start after those that are taken. */
export function readMotors(
  rows: readonly (readonly string[])[],
  mapping: Mapping<NumberKey | StatedKey>,
  technology: OwnMotor["technology"],
  taken: ReadonlySet<string>,
): ReadRow<OwnMotor>[] {
  const keys = freeKeys("own", taken);
  return rows.map((row, i): ReadRow<OwnMotor> => {
    const cell = (key: NumberKey | StatedKey | "name") => row[mapping[key] ?? -1]?.trim() ?? "";
    const values: Partial<Record<NumberKey, number | null>> = {};
    for (const f of plateFields) {
      const text = cell(f.key);
      const value = text === "" ? undefined : readNumber(text);
      if (value === undefined && (text !== "" || f.needed)) {
        return { ok: false, problem: `row ${i + 1}: ${f.label} is “${text}”` };
      }
      values[f.key] = value ?? null;
    }
    let stated: Partial<OwnMotor> = {};
    for (const f of statedFields) {
      const text = cell(f.key);
      const value = text === "" ? {} : readStated(f.key, text);
      if (value === undefined) {
        return { ok: false, problem: `row ${i + 1}: ${f.label} is “${text}”` };
      }
      stated = { ...stated, ...value };
    }
    const motor = emptyMotor(keys(), cell("name") || `motor ${i + 1}`, technology);
    return { ok: true, value: { ...motor, ...values, ...stated } as OwnMotor };
  });
}

/** A motor with nothing entered but its kind. */
export function emptyMotor(id: string, name: string, technology: OwnMotor["technology"]): OwnMotor {
  const numbers = Object.entries(fields.OwnMotor as Readonly<Record<string, Field>>).filter(
    ([, f]) => f.kind === "number",
  );
  return {
    ...Object.fromEntries(numbers.map(([key, f]) => [key, "optional" in f ? null : 0])),
    id,
    name,
    technology,
    efficiencyClass: "–",
    forConverter: false,
    explosion: "none",
    certifiedForConverter: false,
  } as unknown as OwnMotor;
}
