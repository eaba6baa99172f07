import { quantities, type Quantity } from "./units";

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

const q = quantities;
const byUnit: Readonly<Record<string, Quantity>> = {
  "%": q.percent,
  V: q.voltageV,
  A: q.currentA,
  Ω: q.resistanceOhm,
  kA: q.currentKa,
  kvar: q.powerKvar,
  mm: q.lengthMm,
  Hz: q.frequencyHz,
  MVA: q.faultMva,
  kVA: q.ratingKva,
  W: q.powerW,
  kW: q.powerKw,
  m: q.lengthM,
  "mm²": q.crossSectionMm2,
  "°C": q.temperatureC,
  K: q.riseK,
  "m³/s": q.flowM3PerS,
  "m³/h": q.airM3PerH,
  Pa: q.pressurePa,
  "kg/m³": q.densityKgPerM3,
  rpm: q.speedRpm,
  "m/s": q.linearSpeedMPerS,
  Nm: q.torqueNm,
  N: q.forceN,
  kg: q.massKg,
  "kg/s": q.massFlowKgPerS,
  "kg/m": q.kgPerM,
  "cm³": q.volumeCm3,
  bar: q.pressureBar,
  "°": q.angleDeg,
  "kg·m²": q.inertiaKgM2,
  ms: q.timeMs,
  J: q.energyJ,
  µF: q.capacitanceUf,
  "Nm/rad": q.stiffnessNmPerRad,
  "Nm·s/rad": q.dampingNmSPerRad,
  s: q.timeS,
  h: q.hours,
  kHz: q.switchingKhz,
};

/** How an entry is typed and shown. */
export function quantityOf({ unit, shown }: NumberField): Quantity {
  if (shown === "%" && unit !== "%") {
    return q.fractionPercent;
  }
  if (shown === "mm" && unit === "m") {
    return q.diameterMm;
  }
  // “% of rated” is a per cent; “× rated”, “per kWh” and “points” are plain numbers whose name says what they are.
  return byUnit[unit] ?? (unit.startsWith("% ") ? q.percent : q.plain);
}

/** The range in words, in the unit shown. */
export function rangeOf(field: NumberField): string {
  const quantity = quantityOf(field);
  const say = (value: number) => String(Number((value / quantity.factor).toPrecision(6)));
  return `${field.aboveMin ? "above " : ""}${say(field.min)} to ${say(field.max)}${quantity.unit === "" ? "" : ` ${quantity.unit}`}`;
}

/** What an edit of it is called in the history. */
export const editOf = ({ name }: Field): string => name.charAt(0).toLowerCase() + name.slice(1);
