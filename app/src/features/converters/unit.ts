import type { Specification } from "../../api/client";
import { fields } from "../../fields/table";
import { freeKeys, readNumbers, type ColumnField, type Mapping, type ReadRow } from "../../lib/columns";

/** A converter of the engineer's own catalogue. */
export type OwnConverter = Specification["converters"][number];

type Unit = typeof fields.OwnConverter;
type NumberKey = { [K in keyof Unit]: Unit[K]["kind"] extends "number" ? K : never }[keyof Unit];

type Field = ColumnField<NumberKey>;

const field = (key: NumberKey, heads: RegExp, part: Partial<Field> = {}): Field => {
  const { name, unit, ...described } = fields.OwnConverter[key];
  return { key, label: unit === "" ? name : `${name}, ${unit}`, heads, needed: !("optional" in described), ...part };
};

const narrow = { narrow: true };

/** What a catalogue sheet says of a unit. */
export const unitFields: readonly Field[] = [
  field("ratedKw", /power|kw|^p\b|size/i),
  field("ratedVoltageV", /volt|^u\b|^v$/i),
  field("lightCurrentA", /light|low|normal|^i\b|current|amp/i),
  field("heavyCurrentA", /heavy|high/i, narrow),
  field("chokePct", /choke/i, narrow),
  field("lightOverloadPct", /(light|low).*(overload|%)/i, narrow),
  field("heavyOverloadPct", /(heavy|high).*(overload|%)/i, narrow),
  ...(
    [
      ["lossF0I25W", 0, 25],
      ["lossF0I50W", 0, 50],
      ["lossF0I100W", 0, 100],
      ["lossF50I25W", 50, 25],
      ["lossF50I50W", 50, 50],
      ["lossF50I100W", 50, 100],
      ["lossF90I50W", 90, 50],
      ["lossF90I100W", 90, 100],
    ] as const
  ).map(([key, frequency, current]) => field(key, new RegExp(`loss\\D*\\b${frequency}\\D+${current}\\b`, "i"), narrow)),
  field("standbyW", /stand.?by/i, narrow),
  field("capacitanceUf", /capacit|[µu]f/i, narrow),
  field("leastBrakeOhm", /brak|ohm|Ω/i, narrow),
  field("shortCircuitKa", /short|sccr|ka\b/i, narrow),
  field("largestFuseA", /fuse/i, narrow),
  field("ratedInputA", /input.*(current|amp|\ba\b)/i, narrow),
  field("filterToM", /filter.*(length|\bm\b)/i, narrow),
  field("filterToKhz", /filter.*khz/i, narrow),
  field("filterUf", /filter.*[µu]f/i, narrow),
  field("plainUf", /(plain|no filter).*[µu]f/i, narrow),
  field("mostUnscreenedM", /unscreened/i, narrow),
  field("mostScreenedM", /screened/i, narrow),
  field("singlePhaseFeedPu", /single.?phase|two.?phase/i, narrow),
  field("widthMm", /width/i),
  field("heightMm", /height/i),
  field("depthMm", /depth/i),
  field("massKg", /mass|weight|kg$/i),
  field("airflowM3PerH", /air|m³\/h|m3\/h/i),
  field("priceIndex", /price/i),
];

/** Words that name the column of names. */
export const unitNameHeads = /name|type|model|order|unit/i;

/** What all units of a list share. */
export interface Shared {
  readonly kind: OwnConverter["kind"];
  /** EMC filter with which all of them are delivered. */
  readonly emcFilter: NonNullable<OwnConverter["emcFilter"]>;
  readonly catalogue: string;
  readonly version: string;
}

/** Reads rows of a list; keys start after those that are taken. */
export function readConverters(
  rows: readonly (readonly string[])[],
  mapping: Mapping<NumberKey>,
  shared: Shared,
  taken: ReadonlySet<string>,
): ReadRow<OwnConverter>[] {
  const keys = freeKeys("own-converter", taken);
  return rows.map((row, i): ReadRow<OwnConverter> => {
    const read = readNumbers(unitFields, row, mapping, i + 1);
    return "problem" in read
      ? { ok: false, problem: read.problem }
      : {
          ok: true,
          value: { id: keys(), name: read.name || `unit ${i + 1}`, ...shared, ...read.values } as OwnConverter,
        };
  });
}
