import { unitTable } from "./unitTable";

/** Unit systems of projects. */
export type UnitSystem = "si" | "us-customary";

/** A kind of quantity: the unit in which it is shown, and all that an entry understands. */
export interface Quantity {
  /** Unit shown; empty where the value brings its own name, or is a plain number. */
  readonly unit: string;
  /** Kept = (shown + offset)·factor. */
  readonly factor: number;
  readonly offset: number;
  /** Other spellings and units, likewise; by their name in lower case. */
  readonly accepts: Readonly<Record<string, { readonly factor: number; readonly offset: number }>>;
  /** Unit of what has no name of its own among sizes that have. */
  readonly unnamed?: string;
  /** Sizes that have names of their own, kept value each. */
  readonly names?: Readonly<Record<string, number>>;
}

interface Row {
  readonly kept: string;
  readonly shown?: string;
  readonly us?: string;
  readonly accepts: Readonly<Record<string, number | readonly [number, number]>>;
  readonly names?: Readonly<Record<string, number>>;
}

const rows: ReadonlyMap<string, Row> = new Map((unitTable as unknown as readonly Row[]).map((row) => [row.kept, row]));

// A named size stands for what lies so near it.
const nameWithin = 0.015;

const plain: Quantity = { unit: "", factor: 1, offset: 0, accepts: {} };

const made = new Map<string, Quantity>();

/**
 * The quantity that is kept in a unit, as a project shows it: "kg·m²", "m³/s/liquid"; a unit that nobody converts stays as it is.
 * @param us another unit than the table's for US customary units, for example hp for the power of shafts.
 */
export function quantityIn(system: UnitSystem, kept: string, us?: string): Quantity {
  const key = `${system}|${kept}|${us ?? ""}`;
  let found = made.get(key);
  if (!found) {
    found = make(system, kept, us);
    made.set(key, found);
  }
  return found;
}

function make(system: UnitSystem, kept: string, us?: string): Quantity {
  const row = rows.get(kept);
  if (!row) {
    return { ...plain, unit: kept };
  }
  const accepts = Object.fromEntries(
    Object.entries(row.accepts).map(([name, by]) => [
      normalise(name),
      typeof by === "number" ? { factor: by, offset: 0 } : { factor: by[0], offset: by[1] },
    ]),
  );
  const si = row.shown ?? row.kept;
  const named = system === "us-customary" && row.names !== undefined;
  const unit = system === "us-customary" && !named ? (us ?? row.us ?? si) : si;
  const by = accepts[normalise(unit)] ?? { factor: 1, offset: 0 };
  return named
    ? { unit: "", unnamed: unit, ...by, accepts, names: row.names ?? {} }
    : { unit, ...by, accepts, ...(row.names ? { names: {} } : {}) };
}

/** A number typed by a person, or the reason why it is none. */
export type Parsed = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

/** Reads "75", "75 kW", "100 hp", "1,5 mm2", "4/0 AWG"; the result is the kept number. */
export function parseQuantity(text: string, quantity: Quantity): Parsed {
  const size = sizeNamed(text);
  if (quantity.names && size !== undefined) {
    return { ok: true, value: size };
  }
  const match = /^\s*([-+]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:[eE][-+]?\d+)?)\s*(.*?)\s*$/.exec(text);
  if (!match) {
    return { ok: false, message: `“${text.trim()}” is no number.` };
  }
  const number = Number(match[1]?.replace(",", "."));
  const unit = match[2] ?? "";
  if (unit === "" && quantity.unnamed !== undefined) {
    return {
      ok: false,
      message: `${match[1] ?? ""} of what? Say 12 AWG, 4/0 AWG, 250 kcmil or 2.5 ${quantity.unnamed}.`,
    };
  }
  if (unit === "") {
    return { ok: true, value: kept(number, quantity) };
  }
  const known = quantity.accepts[normalise(unit)];
  // "3 x 95" is three cables to one and three cores to another.
  if (!known && quantity.names && /^[x×*]\s*[(\d]/.test(unit)) {
    return {
      ok: false,
      message: `“${text.trim()}” may mean cables or cores: say the section of one conductor; cables in parallel are an entry of their own.`,
    };
  }
  if (!known) {
    const names = quantity.unit === "" ? "a plain number" : `${quantity.unit} or a unit like it`;
    return { ok: false, message: `The unit “${unit}” is not known here; allowed: ${names}.` };
  }
  return { ok: true, value: kept(number, known) };
}

const kept = (number: number, by: { readonly factor: number; readonly offset: number }) =>
  (number + by.offset) * by.factor;

// Conductors by name, whatever the units of the project: "12 AWG", "#12", "4/0", "250 kcmil".
const wires = rows.get("mm²")?.names ?? {};
function sizeNamed(text: string): number | undefined {
  const typed = normalise(text).replace(/^(#|no\. ?)/, "");
  const byName = Object.entries(wires).find(([name]) => normalise(name) === typed.replace(/\s*awg$/, " awg"));
  if (byName) {
    return byName[1];
  }
  return /^\s*#/.test(text) || /^\d\/0$/.test(typed) ? wires[`${typed} AWG`] : undefined;
}

/** The number in the unit shown. */
export const inUnit = (value: number, quantity: Quantity): number => value / quantity.factor - quantity.offset;

/** What stands in an entry: the kept number in the shown unit, without needless digits; a named size by its name. */
export function showQuantity(value: number | null | undefined, quantity: Quantity): string {
  if (value === null || value === undefined) {
    return "";
  }
  const number = String(Number(inUnit(value, quantity).toPrecision(7)));
  return nameOf(value, quantity) ?? (quantity.unnamed === undefined ? number : `${number} ${quantity.unnamed}`);
}

/** Name of a size that has one. */
export const nameOf = (value: number, quantity: Quantity): string | undefined =>
  Object.entries(quantity.names ?? {}).find(([, size]) => Math.abs(size - value) <= nameWithin * size)?.[0];

function normalise(unit: string): string {
  return unit.replace(/\s+/g, " ").trim().toLowerCase();
}

/** What an open entry is taken as, in the unit shown; words stay words. */
export const openIn = (open: string | undefined, quantity: Quantity): string | undefined =>
  open !== undefined && /^\d+(\.\d+)?$/.test(open)
    ? String(Number(inUnit(Number(open), quantity).toPrecision(4)))
    : open;
