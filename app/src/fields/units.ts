/** Units that an entry understands, as factor (and offset) to the unit in which the specification keeps the number. */
export interface Quantity {
  /** Unit shown. */
  readonly unit: string;
  /** Number kept for one shown unit. */
  readonly factor: number;
  /** Other spellings and units: factor to the kept number, offset added before the factor. */
  readonly accepts: Readonly<Record<string, { factor: number; offset?: number }>>;
}

const quantity = (
  unit: string,
  factor: number,
  accepts: Record<string, number | { factor: number; offset?: number }> = {},
): Quantity => ({
  unit,
  factor,
  accepts: Object.fromEntries(
    Object.entries(accepts).map(([name, value]) => [
      normalise(name),
      typeof value === "number" ? { factor: value } : value,
    ]),
  ),
});

const foot = 0.3048;

/** Kept in SI or in the unit of the property's name; shown in what an engineer writes. */
export const quantities = {
  plain: quantity("", 1),
  percent: quantity("%", 1, { "%": 1 }),
  fractionPercent: quantity("%", 0.01, { "%": 0.01, pu: 1 }),
  voltageV: quantity("V", 1, { V: 1, kV: 1000 }),
  voltageKv: quantity("kV", 1000, { V: 1, kV: 1000 }),
  currentA: quantity("A", 1, { A: 1, kA: 1000, mA: 0.001 }),
  resistanceOhm: quantity("Ω", 1, { Ω: 1, ohm: 1, kohm: 1000 }),
  currentKa: quantity("kA", 1, { kA: 1, A: 0.001 }),
  powerKvar: quantity("kvar", 1, { kvar: 1, var: 0.001, Mvar: 1000 }),
  lengthMm: quantity("mm", 1, { mm: 1, cm: 10, m: 1000, in: 25.4 }),
  frequencyHz: quantity("Hz", 1, { Hz: 1 }),
  faultMva: quantity("MVA", 1, { MVA: 1, kVA: 0.001, GVA: 1000 }),
  ratingKva: quantity("kVA", 1, { kVA: 1, MVA: 1000, VA: 0.001 }),
  powerW: quantity("W", 1, { W: 1, kW: 1000 }),
  powerKw: quantity("kW", 1, { kW: 1, W: 0.001, MW: 1000, hp: 0.745699872 }),
  lengthM: quantity("m", 1, { m: 1, km: 1000, ft: foot, mm: 0.001 }),
  altitudeM: quantity("m", 1, { m: 1, ft: foot }),
  crossSectionMm2: quantity("mm²", 1, { "mm²": 1, mm2: 1, kcmil: 0.506707479 }),
  temperatureC: quantity("°C", 1, {
    "°C": 1,
    C: 1,
    "°F": { factor: 5 / 9, offset: -32 },
    F: { factor: 5 / 9, offset: -32 },
  }),
  riseK: quantity("K", 1, { K: 1 }),
  flowM3PerS: quantity("m³/s", 1, {
    "m³/s": 1,
    "m3/s": 1,
    "m³/h": 1 / 3600,
    "m3/h": 1 / 3600,
    "l/s": 0.001,
    gpm: 6.30901964e-5,
    cfm: 4.71947443e-4,
  }),
  flowM3PerH: quantity("m³/h", 1 / 3600, {
    "m³/s": 1,
    "m3/s": 1,
    "m³/h": 1 / 3600,
    "m3/h": 1 / 3600,
    "l/s": 0.001,
    gpm: 6.30901964e-5,
  }),
  airM3PerH: quantity("m³/h", 1, { "m³/h": 1, "m3/h": 1, "m³/s": 3600, "m3/s": 3600, cfm: 1.699010796 }),
  pressurePa: quantity("Pa", 1, { Pa: 1, kPa: 1000, mbar: 100, bar: 1e5, inH2O: 249.08891 }),
  headM: quantity("m", 1, { m: 1, ft: foot }),
  densityKgPerM3: quantity("kg/m³", 1, { "kg/m³": 1, "kg/m3": 1, "kg/l": 1000 }),
  speedRpm: quantity("rpm", 1, { rpm: 1, "1/min": 1, "rev/min": 1 }),
  linearSpeedMPerS: quantity("m/s", 1, { "m/s": 1, "m/min": 1 / 60, "ft/min": foot / 60, fpm: foot / 60 }),
  torqueNm: quantity("Nm", 1, { Nm: 1, kNm: 1000, "lb·ft": 1.355817948, "lb ft": 1.355817948, lbft: 1.355817948 }),
  forceN: quantity("N", 1, { N: 1, kN: 1000, lbf: 4.448221615 }),
  massKg: quantity("kg", 1, { kg: 1, t: 1000, g: 0.001, lb: 0.45359237 }),
  massFlowKgPerS: quantity("kg/s", 1, { "kg/s": 1, "t/h": 1 / 3.6, "kg/h": 1 / 3600 }),
  kgPerM: quantity("kg/m", 1, { "kg/m": 1, "lb/ft": 1.488163944 }),
  diameterMm: quantity("mm", 0.001, { mm: 0.001, cm: 0.01, m: 1, in: 0.0254 }),
  volumeCm3: quantity("cm³", 1, { "cm³": 1, cm3: 1, ml: 1, l: 1000 }),
  pressureBar: quantity("bar", 1, { bar: 1, kPa: 0.01, MPa: 10, psi: 0.0689475729 }),
  angleDeg: quantity("°", 1, { "°": 1, deg: 1 }),
  inertiaKgM2: quantity("kg·m²", 1, {
    "kg·m²": 1,
    kgm2: 1,
    "kg m2": 1,
    "lb·ft²": 0.0421401101,
    "lb ft2": 0.0421401101,
  }),
  timeMs: quantity("ms", 1, { ms: 1, s: 1000 }),
  energyJ: quantity("J", 1, { J: 1, kJ: 1000 }),
  capacitanceUf: quantity("µF", 1, { µF: 1, uF: 1, mF: 1000 }),
  stiffnessNmPerRad: quantity("Nm/rad", 1, { "Nm/rad": 1, "kNm/rad": 1000 }),
  dampingNmSPerRad: quantity("Nm·s/rad", 1, { "Nm·s/rad": 1, "Nm s/rad": 1 }),
  timeS: quantity("s", 1, { s: 1, min: 60, ms: 0.001 }),
  hours: quantity("h", 1, { h: 1 }),
  switchingKhz: quantity("kHz", 1, { kHz: 1, Hz: 0.001 }),
} as const;

/** A number typed by a person, or the reason why it is none. */
export type Parsed = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

/** Reads "75", "75 kW", "100 hp", "1,5 mm2"; the result is the kept number. */
export function parseQuantity(text: string, quantity: Quantity): Parsed {
  const match = /^\s*([-+]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:[eE][-+]?\d+)?)\s*(.*?)\s*$/.exec(text);
  if (!match) {
    return { ok: false, message: `“${text.trim()}” is no number.` };
  }
  const number = Number(match[1]?.replace(",", "."));
  const unit = match[2] ?? "";
  if (unit === "") {
    return { ok: true, value: number * quantity.factor };
  }
  const known = quantity.accepts[normalise(unit)];
  if (!known) {
    const names = quantity.unit === "" ? "a plain number" : `${quantity.unit} or a unit like it`;
    return { ok: false, message: `The unit “${unit}” is not known here; allowed: ${names}.` };
  }
  return { ok: true, value: (number + (known.offset ?? 0)) * known.factor };
}

/** The kept number in the shown unit, without needless digits. */
export function showQuantity(value: number | null | undefined, quantity: Quantity): string {
  return value === null || value === undefined ? "" : String(Number((value / quantity.factor).toPrecision(7)));
}

function normalise(unit: string): string {
  return unit.replace(/\s+/g, " ").trim().toLowerCase();
}
