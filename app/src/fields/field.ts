import { inUnit, type Quantity } from "./units";
import { unitsOf, type Units } from "./useUnits";

/** A number of the specification, as Core describes it. */
export interface NumberField {
  readonly kind: "number";
  readonly name: string;
  readonly help: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  /** Unit in which it is typed and shown where that is another one. */
  readonly shown?: string;
  /** Unit in which people of US customary units write it, where that is not the usual one. */
  readonly us?: string;
  /** The least value itself is not permitted. */
  readonly aboveMin?: true;
  readonly whole?: true;
  /** It may stay open. */
  readonly optional?: true;
  /** What it means then; usually: not known. */
  readonly whenOpen?: string;
  /** Its help always stands beside it. */
  readonly helpShown?: true;
}

/** A line of text of the specification. */
export interface TextField {
  readonly kind: "text";
  readonly name: string;
  readonly help: string;
  readonly most: number;
  readonly whenOpen?: string;
  readonly helpShown?: true;
}

/** Yes or no. */
export interface SwitchField {
  readonly kind: "switch";
  readonly name: string;
  readonly help: string;
  readonly whenOpen?: string;
  readonly helpShown?: true;
}

/** One of a few, each with its words. */
export interface ChoiceField {
  readonly kind: "choice";
  readonly name: string;
  readonly help: string;
  readonly choices: Readonly<Record<string, string>>;
  readonly whenOpen?: string;
  readonly helpShown?: true;
}

export type Field = NumberField | TextField | SwitchField | ChoiceField;
export type FieldTable = Readonly<Record<string, Readonly<Record<string, Field>>>>;

/** Key of its quantity: the unit in which it is kept, and what tells it from others of that unit. */
function keyOf({ unit, shown }: NumberField): string {
  if (shown === "%" && unit !== "%") {
    return "%/part";
  }
  if (shown === "mm" && unit === "m") {
    return "m/mm";
  }
  // “% of rated” is a per cent.
  return unit.startsWith("% ") ? "%" : unit;
}

// Units of the plant page's money, classes and counts stand in the names: their numbers are plain.
const inNames: ReadonlySet<string> = new Set(["1/h", "a", "kg/kWh", "points", "pu"]);

/** How an entry is typed and shown. */
export function quantityOf(field: NumberField, units: Units = unitsOf("si")): Quantity {
  const key = keyOf(field);
  return units.quantity(inNames.has(key) || /^(per |× |of )|per | of /.test(key) ? "" : key, field.us);
}

/** The range in words, in the unit shown. */
export function rangeOf(field: NumberField, units: Units = unitsOf("si")): string {
  const quantity = quantityOf(field, units);
  const { unit, unnamed = unit } = quantity;
  const say = (value: number) => String(Number(inUnit(value, quantity).toPrecision(6)));
  return `${field.aboveMin ? "above " : ""}${say(field.min)} to ${say(field.max)}${unnamed === "" ? "" : ` ${unnamed}`}`;
}

/** What an edit of it is called in the history. */
export const editOf = ({ name }: Field): string => name.charAt(0).toLowerCase() + name.slice(1);
