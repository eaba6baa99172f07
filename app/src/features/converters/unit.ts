import type { Specification } from "../../api/client";
import { freeKeys, type ColumnField, type Mapping, type ReadRow } from "../../lib/columns";
import { readNumber } from "../../lib/csv";

/** A converter of the engineer's own catalogue. */
export type OwnConverter = Specification["converters"][number];

/** Kinds of converter with their names. */
export const kindNames: Readonly<Record<OwnConverter["kind"], string>> = {
  "six-pulse": "six-pulse",
  "twelve-pulse": "twelve-pulse",
  "eighteen-pulse": "eighteen-pulse",
  "active-front-end": "active front end",
  direct: "direct converter",
  "direct-with-bypass": "direct converter with line bypass",
  "thyristor-one-quadrant": "thyristor, one quadrant",
  "thyristor-four-quadrant": "thyristor, four quadrants",
  servo: "servo drive",
  "single-phase-input": "single-phase input",
  "inverter-module": "inverter module",
};

type NumberKey = {
  [K in keyof OwnConverter]-?: Exclude<OwnConverter[K], undefined> extends number | null ? K : never;
}[keyof OwnConverter];

type Field = ColumnField<NumberKey>;

const field = (key: NumberKey, label: string, heads: RegExp, part: Partial<Field> = {}): Field => ({
  key,
  label,
  heads,
  needed: false,
  ...part,
});

const narrow = { narrow: true };
const needed = { needed: true };

/** What a catalogue sheet says of a unit. */
export const unitFields: readonly Field[] = [
  field("ratedKw", "Size, kW", /power|kw|^p\b|size/i, needed),
  field("ratedVoltageV", "Voltage, V", /volt|^u\b|^v$/i, needed),
  field("lightCurrentA", "Current, light overload, A", /light|low|normal|^i\b|current|amp/i, needed),
  field("heavyCurrentA", "Current, heavy overload, A", /heavy|high/i, narrow),
  field("chokePct", "DC choke, %", /choke/i, narrow),
  field("lightOverloadPct", "Light overload, %", /(light|low).*(overload|%)/i, narrow),
  field("heavyOverloadPct", "Heavy overload, %", /(heavy|high).*(overload|%)/i, narrow),
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
  ).map(([key, frequency, current]) =>
    field(
      key,
      `Loss at ${frequency} % f, ${current} % I, W`,
      new RegExp(`loss\\D*\\b${frequency}\\D+${current}\\b`, "i"),
      narrow,
    ),
  ),
  field("standbyW", "Stand-by loss, W", /stand.?by/i, narrow),
  field("capacitanceUf", "Link capacitance, µF", /capacit|[µu]f/i, narrow),
  field("leastBrakeOhm", "Least brake resistance, Ω", /brak|ohm|Ω/i, narrow),
  field("shortCircuitKa", "Rated short-circuit current, kA", /short|sccr|ka\b/i, narrow),
  field("singlePhaseFeedPu", "Factor fed by two phases", /single.?phase|two.?phase/i, narrow),
  field("widthMm", "Width, mm", /width/i),
  field("heightMm", "Height, mm", /height/i),
  field("depthMm", "Depth, mm", /depth/i),
  field("massKg", "Mass, kg", /mass|weight|kg$/i),
  field("airflowM3PerH", "Cooling air, m³/h", /air|m³\/h|m3\/h/i),
  field("priceIndex", "Price, points", /price/i),
];

/** Words that name the column of names. */
export const unitNameHeads = /name|type|model|order|unit/i;

/** What all units of a list share. */
export interface Shared {
  readonly kind: OwnConverter["kind"];
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
    const cell = (key: NumberKey | "name") => row[mapping[key] ?? -1]?.trim() ?? "";
    const values = {} as Record<NumberKey, number | null>;
    for (const f of unitFields) {
      const text = cell(f.key);
      const value = text === "" ? undefined : readNumber(text);
      if (value === undefined && (text !== "" || f.needed)) {
        return { ok: false, problem: `row ${i + 1}: ${f.label} is “${text}”` };
      }
      values[f.key] = value ?? null;
    }
    return {
      ok: true,
      value: { id: keys(), name: cell("name") || `unit ${i + 1}`, ...shared, ...values } as OwnConverter,
    };
  });
}
