import type { ConverterItem, DrivePoint, DrivePointFigures, MotorItem } from "../../api/client";
import { n, withUnit } from "../../lib/format";
import type { Units } from "../../fields/useUnits";
import { deviceText } from "../protection/devices";
import type { Row } from "./selection";

/** Two short lines for a cell. */
export interface CellText {
  readonly choice: string;
  readonly detail: string;

  /** What the cell has no room for. */
  readonly more?: string;
}

/** Catalogue items by key. */
export interface Items {
  readonly motors: ReadonlyMap<string, MotorItem>;
  readonly converters: ReadonlyMap<string, ConverterItem>;
}

/** What a cell says. */
export function cellText(
  row: Row,
  point: DrivePoint,
  figures: DrivePointFigures | undefined,
  items: Items,
  units: Units,
): CellText {
  switch (row) {
    case "supply":
      return supply(point, figures, items, units);
    case "converter":
      return converter(point, items, figures);
    case "cable":
      return cable(point, figures, units);
    case "motor":
      return motor(point, items);
    case "load":
      return load(point, units);
  }
}

function supply(
  point: DrivePoint,
  figures: DrivePointFigures | undefined,
  { converters }: Items,
  units: Units,
): CellText {
  const { feeder, converter: choice, sun } = point;
  if (sun) {
    const { inSeries, inParallel } = sun.strings ?? {};
    const isChosen = typeof inSeries === "number" && typeof inParallel === "number";
    const kw =
      isChosen && typeof sun.module?.peakW === "number" ? (inSeries * inParallel * sun.module.peakW) / 1000 : null;
    return {
      choice: isChosen ? `sun, ${inParallel} × ${inSeries}` : "sun, strings open",
      detail: kw === null ? "array open" : `array ${withUnit(kw, "kW")}`,
    };
  }
  if (choice.kind === "catalogue" && converters.get(choice.itemId)?.family === "inverter-module") {
    return { choice: "on the DC bus", detail: withUnit(figures?.linePowerKw, "kW") };
  }
  if (choice.kind === "of-group") {
    return { choice: "through its group", detail: `${withUnit(figures?.linePowerKw, "kW")} each` };
  }
  const line =
    figures?.lineCurrentA == null
      ? (figures?.shaftPowerKw ?? 0) < 0
        ? "draws none, it brakes"
        : "line current open"
      : `${n(figures.lineCurrentA)} A${figures.thdiPct === null ? " · on the line" : ` · THDi ${n(figures.thdiPct, 2)} %`}`;
  const item = choice.kind === "catalogue" ? converters.get(choice.itemId) : undefined;
  const isTwo = item?.family === "single-phase" || (choice.kind === "catalogue" && choice.feed === "two-phases");
  const how =
    feeder.kind === "on-busbar"
      ? "on the busbar"
      : run(feeder.parallelRuns, feeder.crossSectionMm2, feeder.lengthM ?? figures?.feederM, units);
  const laid = isTwo ? `${how}, two conductors` : how;
  const device = deviceText(point.devices?.device);
  if (device && figures?.lineCurrentA != null) {
    const thdi = figures.thdiPct === null ? "on the line" : `THDi ${n(figures.thdiPct, 2)} %`;
    return {
      choice: laid,
      detail: `${n(figures.lineCurrentA)} A · ${device}`,
      more: `${thdi}${figures.linePhase ? `, phase ${figures.linePhase}, the most loaded` : ""}`,
    };
  }
  return figures?.linePhase
    ? { choice: laid, detail: line, more: `both of phase ${figures.linePhase}, the most loaded` }
    : { choice: laid, detail: line };
}

function converter(
  { converter: choice }: DrivePoint,
  { converters }: Items,
  figures: DrivePointFigures | undefined,
): CellText {
  if (choice.kind === "not-chosen") {
    return { choice: "choose …", detail: "type kW or amperes" };
  }
  if (choice.kind === "of-group") {
    return { choice: "of its group", detail: `its part: ${withUnit(figures?.siteCurrentA, "A")}` };
  }
  if (choice.kind !== "catalogue") {
    const words = { "across-the-line": "across the line", "star-delta": "star-delta", "soft-starter": "soft starter" };
    return {
      choice: words[choice.kind],
      detail:
        choice.kind === "soft-starter"
          ? `${choice.itemId.replace("soft-", "")} A · limit ${n(choice.settings.currentLimitPct)} %`
          : choice.kind === "star-delta"
            ? `${n(choice.changeOverS)} s in star`
            : "contactor",
    };
  }
  const item = converters.get(choice.itemId);
  return {
    choice: item ? item.ownName || familyName(item) : choice.itemId,
    detail: item
      ? `${choice.modules > 1 ? `${choice.modules} × ` : ""}${converterPower(item)} ${choice.duty} · ${withUnit(figures?.siteCurrentA, "A")}`
      : "not in the catalogue",
  };
}

const families: Readonly<Record<string, string>> = {
  "six-pulse-plain": "6-pulse, no choke",
  "six-pulse-reactor": "6-pulse, reactor",
  "six-pulse-filter": "6-pulse, filter",
  "twelve-pulse": "12-pulse",
  "eighteen-pulse": "18-pulse",
  active: "active front end",
  direct: "direct",
  "direct-bypass": "direct + bypass",
  "thyristor-1q": "thyristor, 1 quadr.",
  "thyristor-4q": "thyristor, 4 quadr.",
  servo: "servo drive",
  "single-phase": "1-phase input",
  "inverter-module": "inverter module",
};

function familyName(item: ConverterItem): string {
  return families[item.family] ?? `6-pulse, ${item.chokePct} % choke`;
}

function cable({ cable: c, stepUp }: DrivePoint, figures: DrivePointFigures | undefined, units: Units): CellText {
  const tap = stepUp?.transformer?.tapV;
  return {
    ...(stepUp ? { more: `step-up transformer, tap ${typeof tap === "number" ? `${n(tap)} V` : "open"}` } : {}),
    choice: run(c.parallelRuns, c.crossSectionMm2, c.lengthM ?? figures?.cableM, units),
    detail:
      figures?.cableLossW == null ? (c.screened ? "screened" : "not screened") : `loses ${n(figures.cableLossW)} W`,
  };
}

function motor({ motor: choice }: DrivePoint, { motors }: Items): CellText {
  if (choice.kind === "not-chosen") {
    return { choice: "choose …", detail: "type kW or IE class" };
  }
  const item = motors.get(choice.itemId);
  return item
    ? {
        choice: item.ownName || `${motorKind(item)} ${motorPower(item)}`,
        detail: `${item.poles}-pole · ${n(item.plate.ratedCurrentA)} A · cl. ${choice.riseUsed.toUpperCase()}`,
      }
    : { choice: choice.itemId, detail: "not in the catalogue" };
}

/** Rated power of a motor as it is rated. */
export const motorPower = (item: MotorItem): string =>
  item.ratedHp ? `${String(item.ratedHp)} hp` : `${item.plate.ratedPowerW / 1000} kW`;

/** Size of a converter as it is rated. */
export const converterPower = (item: ConverterItem): string =>
  item.ratedHp > 0 ? `${String(item.ratedHp)} hp` : `${item.ratedKw} kW`;

/** Class and kind of a motor in a few words. */
export function motorKind(item: MotorItem): string {
  switch (item.plate.technology) {
    case "synchronous-reluctance":
      return `${item.efficiencyClass} reluct.`;
    case "permanent-magnet":
      return `${item.efficiencyClass} magnet`;
    case "servo":
      return "servo";
    case "dc-separately-excited":
      return "DC";
    default:
      return item.efficiencyClass === "–" ? "cage" : `${item.efficiencyClass.replace("Premium", "prem.")} cage`;
  }
}

function load({ load: l }: DrivePoint, units: Units): CellText {
  if (l.kind === "unspecified") {
    return { choice: "enter …", detail: "what turns, and how" };
  }
  const hours = ("common" in l ? l.common.duty : l.duty).reduce((sum, d) => sum + d.hoursPerYear, 0);
  const year = `${n(hours, 4)} h`;
  if ("common" in l) {
    const { ratedFlowM3PerS: flow } = l.common;
    const lift = l.kind === "pump" ? (l.staticHeadM ?? null) : null;
    const staticFraction = l.common.staticFraction;
    const { ratedShaftKw: stated } = l.common;
    const shown =
      typeof stated === "number"
        ? units.say(stated, "kW", 3, "hp")
        : flow === null
          ? "flow open"
          : units.say(flow, l.kind === "fan" ? "m³/s" : "m³/s/liquid");
    return {
      choice: `${l.kind}, ${shown}`,
      detail: `static ${lift !== null ? units.say(lift, "m") : staticFraction === null ? "open" : `${n(100 * staticFraction, 2)} %`} · ${year}`,
    };
  }
  const { choice, detail } = mechanical(l, units);
  return { choice, detail: `${detail} · ${year}` };
}

type Mechanical = Exclude<DrivePoint["load"], { kind: "unspecified" | "fan" | "pump" }>;

function mechanical(l: Mechanical, units: Units): CellText {
  const known = (value: number | null, unit: string) =>
    value === null ? `${units.unit(unit)} open` : units.say(value, unit);
  switch (l.kind) {
    case "constant-torque":
      return { choice: `torque, ${known(l.torqueNm, "Nm")}`, detail: known(l.ratedSpeedRpm, "rpm") };
    case "high-inertia":
      return { choice: `inertia, ${known(l.train.inertiaKgM2, "kg·m²")}`, detail: known(l.ratedSpeedRpm, "rpm") };
    case "conveyor":
      return { choice: `belt, ${known(l.massFlowKgPerS, "kg/s")}`, detail: known(l.beltSpeedMPerS, "m/s") };
    case "roller-group":
      return {
        choice: l.rollers === null ? "rollers open" : `${l.rollers} rollers`,
        detail: `${known(l.torqueEachNm, "Nm")} each`,
      };
    case "dosing-pump":
      return { choice: `dosing, ${known(l.displacementCm3PerRev, "cm³")}`, detail: known(l.pressureBar, "bar") };
    case "winder":
      return {
        choice: `${l.unwinds ? "unwinds" : "winds"}, ${known(l.tensionN, "N")}`,
        detail: known(l.lineSpeedMPerS, "m/s"),
      };
    case "hoist":
      return { choice: `hoist, ${known(l.massKg, "kg")}`, detail: known(l.speedMPerS, "m/s") };
    case "servo-axis":
      return { choice: `axis, ${known(l.massKg, "kg")}`, detail: known(l.moveTimeS, "s") };
    case "profile":
      return { choice: "profile", detail: `${l.points.length} points` };
  }
}

function run(parallel: number, area: number | null, length: number | null | undefined, units: Units): string {
  const size = area === null ? "size open" : `${parallel > 1 ? `${parallel} × ` : ""}${units.entered(area, "mm²")}`;
  return `${size} · ${length == null ? "length open" : units.entered(length, "m")}`;
}
