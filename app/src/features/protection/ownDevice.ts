import type { Specification } from "../../api/client";
import { fields } from "../../fields/table";
import { freeKeys, readNumbers, type ColumnField, type Mapping, type ReadRow } from "../../lib/columns";

/** A device of one's own list. */
export type OwnDevice = NonNullable<Specification["devices"]>[number];

type Device = typeof fields.OwnDevice;
type NumberKey = { [K in keyof Device]: Device[K]["kind"] extends "number" ? K : never }[keyof Device];

const field = (key: NumberKey, heads: RegExp, narrow = true): ColumnField<NumberKey> => {
  const { name, unit, ...described } = fields.OwnDevice[key];
  return { key, label: `${name}, ${unit}`, heads, needed: !("optional" in described), narrow };
};

/** What a list says of a device. */
export const deviceFields: readonly ColumnField<NumberKey>[] = [
  field("ac1A", /ac.?1\b/i),
  field("settingFromA", /setting|from|range|\bmin/i),
  field("magneticPu", /magnetic|short.?circuit release|instant/i),
  field("energyA2s", /i²t|i2t|energy|a²s|a2s/i),
  field("lasts10SA", /(carr|last|min).*\b10 ?s/i),
  field("clears5SA", /(clear|melt|max).*\b5 ?s/i),
  field("lasts01SA", /(carr|last|min).*\b0[.,]1 ?s/i),
  field("clears01SA", /(clear|melt|max).*\b0[.,]1 ?s/i),
  field("breakingKa", /break|icu|ka\b/i),
  field("voltageV", /volt|^u\b|^v$/i, false),
  field("ratedA", /rated|current|amp|^in?\b|^a$|ac.?3/i, false),
];

/** Words that name the column of names. */
export const deviceNameHeads = /name|type|model|order/i;

/** What all devices of a list share. */
export interface SharedDevice {
  readonly kind: OwnDevice["kind"];
  /** Trip class of motor breakers. */
  readonly trip: OwnDevice["trip"];
  readonly catalogue: string;
  readonly version: string;
}

/** What a kind can't do without. */
const needed: Readonly<Record<OwnDevice["kind"], readonly NumberKey[]>> = {
  fuse: ["breakingKa"],
  "semiconductor-fuse": ["breakingKa", "energyA2s"],
  "circuit-breaker": ["breakingKa", "magneticPu"],
  "motor-breaker": ["breakingKa", "magneticPu"],
  contactor: [],
};

/** Reads rows of a list; keys start after those that are taken. */
export function readDevices(
  rows: readonly (readonly string[])[],
  mapping: Mapping<NumberKey>,
  shared: SharedDevice,
  taken: ReadonlySet<string>,
): ReadRow<OwnDevice>[] {
  const keys = freeKeys("own-device", taken);
  return rows.map((row, i): ReadRow<OwnDevice> => {
    const read = readNumbers(deviceFields, row, mapping, i + 1);
    if ("problem" in read) {
      return { ok: false, problem: read.problem };
    }
    const open = needed[shared.kind].filter((key) => read.values[key] === null);
    return open.length > 0
      ? { ok: false, problem: `row ${i + 1}: ${open.map((key) => fields.OwnDevice[key].name).join(", ")} is missing` }
      : {
          ok: true,
          value: {
            id: keys(),
            name: read.name || `device ${i + 1}`,
            ...shared,
            ...read.values,
          } as OwnDevice,
        };
  });
}
