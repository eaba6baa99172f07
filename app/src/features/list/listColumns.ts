import type { Check, DrivePoint, DrivePointFigures, Load, Routes } from "../../api/client";
import { quantityOf, type Field } from "../../fields/field";
import { fields } from "../../fields/table";
import { parseQuantity, showQuantity } from "../../fields/units";
import type { Units } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { verdictWords, worst } from "../../lib/verdict";
import { notStated } from "../interference/interference";
import { converterPower, motorKind, motorPower, type Items } from "../board/cellText";

/** A drive point with what is known of it. */
export interface ListRow {
  readonly point: DrivePoint;
  readonly lineup: string;
  readonly figures: DrivePointFigures | undefined;
  readonly checks: readonly Check[];
}

/** A changed drive point, or why the text can't stand there. */
export type Applied =
  { readonly ok: true; readonly point: DrivePoint } | { readonly ok: false; readonly problem: string };

/** A column of the list. */
export interface ListColumn {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  /** What it belongs to, as the chooser groups it. */
  readonly part: string;
  readonly text: (row: ListRow) => string;
  /** What it is sorted by. */
  readonly order: (row: ListRow) => number | string;
  /** Writes a text; absent where the column is computed or chosen elsewhere. */
  readonly apply?: (point: DrivePoint, text: string) => Applied;
}

type Place = Routes["places"][number];
type Node = Readonly<Record<string, unknown>>;

const at = (point: DrivePoint, path: readonly string[]): unknown =>
  path.reduce<unknown>((node, key) => (node as Node | null | undefined)?.[key], point);

function put<T>(node: T, path: readonly string[], value: unknown): T {
  const [key = "", ...rest] = path;
  const record = node as Node;
  return { ...record, [key]: rest.length === 0 ? value : put(record[key], rest, value) } as T;
}

/** Columns that make sense for these drive points, in the order of the work. */
export function columnsOf(
  points: readonly DrivePoint[],
  items: Items,
  units: Units,
  places: readonly Place[] = [],
): ListColumn[] {
  const kinds = new Set(points.map((p) => p.load.kind));
  return [
    ...entries("drive point", ["tag", "name"], fields.DrivePoint, [], units),
    {
      id: "lineup",
      name: "Lineup",
      unit: "",
      part: "drive point",
      text: (r) => r.lineup,
      order: (r) => r.lineup,
    },
    { id: "load", name: "Load", unit: "", part: "load", text: loadWords, order: loadWords },
    figure("shaftPowerKw", "Shaft power", "kW", "load", units, "hp"),
    figure("shaftSpeedRpm", "Speed", "rpm", "load", units),
    ...loadColumns(kinds, units),
    {
      id: "motor",
      name: "Motor",
      unit: "",
      part: "motor",
      text: (r) => motorText(r.point, items),
      order: (r) => motorOrder(r.point, items),
    },
    figure("motorCurrentA", "Motor current", "A", "motor", units),
    figure("motorEfficiencyPct", "Motor efficiency", "%", "motor", units),
    ...entries(
      "motor",
      ["cooling", "riseUsed", "connection", "insulatedBearing"],
      fields.MotorChoiceFromCatalogue,
      ["motor"],
      units,
    ),
    ...entries(
      "cable",
      ["lengthM", "crossSectionMm2", "parallelRuns", "material", "screened"],
      fields.MotorCable,
      ["cable"],
      units,
      "Motor cable, ",
    ),
    figure("cableM", "Motor cable, length used", "m", "cable", units),
    {
      id: "converter",
      name: "Converter",
      unit: "",
      part: "converter",
      text: (r) => converterText(r.point, items),
      order: (r) => converterText(r.point, items),
    },
    figure("siteCurrentA", "Current at this site", "A", "converter", units),
    ...entries(
      "converter",
      ["duty", "switchingKhz", "control", "filter"],
      fields.ConverterChoiceFromCatalogue,
      ["converter"],
      units,
    ),
    ...entries(
      "feeder",
      ["lengthM", "crossSectionMm2", "parallelRuns"],
      fields.FeederByCable,
      ["feeder"],
      units,
      "Feeder, ",
    ),
    figure("feederM", "Feeder, length used", "m", "feeder", units),
    ...interferenceColumns(units, places),
    figure("linePowerKw", "Line power", "kW", "supply", units),
    figure("lineCurrentA", "Line current", "A", "supply", units),
    figure("thdiPct", "THDi", "%", "supply", units),
    figure("yearKwh", "Energy of a year", "kWh", "energy", units),
    {
      id: "assumed",
      name: "Assumed entries",
      unit: "",
      part: "checks",
      text: (r) => (r.figures?.assumedEntries ? String(r.figures.assumedEntries) : "–"),
      order: (r) => r.figures?.assumedEntries ?? 0,
    },
    {
      id: "verdict",
      name: "Verdict",
      unit: "",
      part: "checks",
      text: (r) => verdictText(r.checks),
      order: (r) => verdictOrder(r.checks),
    },
    {
      id: "tightest",
      name: "Tightest check",
      unit: "",
      part: "checks",
      text: (r) => r.checks.find((c) => c.verdict !== "not-applicable")?.title ?? "–",
      order: (r) => r.checks.find((c) => c.verdict !== "not-applicable")?.title ?? "",
    },
  ];
}

/** What a new list shows. */
export const usualColumns: readonly string[] = [
  "tag",
  "name",
  "load",
  "shaftPowerKw",
  "shaftSpeedRpm",
  "motor",
  "motorCurrentA",
  "cable.lengthM",
  "cable.crossSectionMm2",
  "converter",
  "siteCurrentA",
  "lineCurrentA",
  "assumed",
  "verdict",
];

const recordOf: Readonly<Partial<Record<Load["kind"], Readonly<Record<string, Field>>>>> = {
  fan: fields.LoadFanLoad,
  pump: fields.LoadPumpLoad,
  "constant-torque": fields.LoadConstantTorqueLoad,
  "high-inertia": fields.LoadHighInertiaLoad,
  conveyor: fields.LoadConveyorLoad,
  "roller-group": fields.LoadRollerGroupLoad,
  "dosing-pump": fields.LoadDosingPumpLoad,
  winder: fields.LoadWinderLoad,
  hoist: fields.LoadHoistLoad,
  "servo-axis": fields.LoadServoAxisLoad,
};

// Where it stands, what filters and what leaks: filled down or pasted for a whole lineup.
function interferenceColumns(units: Units, places: readonly Place[]): ListColumn[] {
  const stated = (columns: readonly ListColumn[]) =>
    columns.map((c): ListColumn => {
      const { apply } = c;
      return apply ? { ...c, apply: (p, text) => apply({ ...p, interference: p.interference ?? notStated }, text) } : c;
    });
  return [
    placeColumn("placeId", "Converter stands at", places),
    placeColumn("motorPlaceId", "Motor stands at", places),
    ...stated(entries("interference", ["filter", "linksOpen"], fields.PointInterference, ["interference"], units)),
    ...stated(
      entries("interference", ["kind", "ratedMa"], fields.ResidualDevice, ["interference", "residual"], units, ""),
    ),
    ...stated(
      entries(
        "interference",
        ["earthDouble", "earthMonitored", "frameBonded", "shaftRing", "commonModeCores"],
        fields.PointInterference,
        ["interference"],
        units,
      ),
    ),
  ];
}

// A place is written by its name.
function placeColumn(key: "placeId" | "motorPlaceId", name: string, places: readonly Place[]): ListColumn {
  const text = (point: DrivePoint) => places.find((p) => p.id === point.interference?.[key])?.name ?? "";
  return {
    id: `interference.${key}`,
    name,
    unit: "",
    part: "interference",
    text: (row) => text(row.point),
    order: (row) => text(row.point),
    apply: (point, typed) => {
      const wanted = typed.trim().toLowerCase();
      const found = places.find((p) => p.name.toLowerCase() === wanted);
      return wanted !== "" && !found
        ? {
            ok: false,
            problem: `${point.tag}, ${name.toLowerCase()}: there is no place “${typed.trim()}”; places are added on Interference.`,
          }
        : {
            ok: true,
            point: { ...point, interference: { ...(point.interference ?? notStated), [key]: found?.id ?? "" } },
          };
    },
  };
}

// Loads of several kinds share a column where key and name are the same.
function loadColumns(kinds: ReadonlySet<Load["kind"]>, units: Units): ListColumn[] {
  const found = new Map<string, ListColumn>();
  const add = (columns: readonly ListColumn[]) => columns.forEach((c) => found.has(c.id) || found.set(c.id, c));
  if (kinds.has("fan") || kinds.has("pump")) {
    add(entries("load", Object.keys(fields.FluidMachine), fields.FluidMachine, ["load", "common"], units));
  }
  for (const kind of kinds) {
    const record = recordOf[kind];
    if (record) {
      add(entries("load", Object.keys(record), record, ["load"], units));
      if (kind !== "fan" && kind !== "pump") {
        add(entries("load", Object.keys(fields.DriveTrain), fields.DriveTrain, ["load", "train"], units));
      }
    }
  }
  return [...found.values()];
}

function entries(
  part: string,
  keys: readonly string[],
  record: Readonly<Record<string, Field>>,
  into: readonly string[],
  units: Units,
  before = "",
): ListColumn[] {
  return keys.flatMap((key) => {
    const field = record[key];
    return field ? [entry(part, [...into, key], field, units, before)] : [];
  });
}

function entry(part: string, path: readonly string[], field: Field, units: Units, before: string): ListColumn {
  const liquid = path.join(".") === "load.common.ratedFlowM3PerS";
  // Flow is of air or of liquid, by the machine.
  const quantity = (point: DrivePoint) =>
    field.kind !== "number"
      ? undefined
      : liquid
        ? units.quantity(point.load.kind === "fan" ? "m³/s" : "m³/s/liquid")
        : quantityOf(field, units);
  const text = (point: DrivePoint): string => {
    const value = at(point, path);
    if (typeof value === "number") {
      const q = quantity(point);
      return q ? showQuantity(value, q) + (liquid ? ` ${q.unit}` : "") : String(value);
    }
    if (typeof value === "boolean") {
      return value ? "yes" : "no";
    }
    return field.kind === "choice" && typeof value === "string"
      ? (field.choices[value] ?? value)
      : typeof value === "string"
        ? value
        : "";
  };
  return {
    id: path.join("."),
    name: before === "" ? field.name : before + field.name.toLowerCase(),
    unit: field.kind === "number" && !liquid ? quantityOf(field, units).unit : "",
    part,
    text: (row) => text(row.point),
    order: (row) => {
      const value = at(row.point, path);
      return typeof value === "number" ? value : text(row.point);
    },
    apply: (point, typed) => {
      const holder = at(point, path.slice(0, -1));
      const key = path.at(-1) ?? "";
      if (path.length > 1 && (typeof holder !== "object" || holder === null || !(key in holder))) {
        return typed.trim() === ""
          ? { ok: true, point }
          : { ok: false, problem: `${point.tag} has no entry “${field.name}” as it is now.` };
      }
      const read = readField(field, typed, quantity(point));
      return read.ok
        ? { ok: true, point: put(point, path, read.value) }
        : { ok: false, problem: `${point.tag}, ${field.name}: ${read.problem}` };
    },
  };
}

type Read = { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly problem: string };

function readField(field: Field, typed: string, quantity: ReturnType<typeof quantityOf> | undefined): Read {
  const text = typed.trim();
  if (field.kind === "text") {
    return { ok: true, value: text };
  }
  if (field.kind === "switch") {
    const words = text.toLowerCase();
    return ["yes", "on", "true", "1", "x"].includes(words)
      ? { ok: true, value: true }
      : ["no", "off", "false", "0", ""].includes(words)
        ? { ok: true, value: false }
        : { ok: false, problem: `“${text}” is neither yes nor no.` };
  }
  if (field.kind === "choice") {
    const key = Object.entries(field.choices).find(([k, words]) =>
      [k, words.toLowerCase()].includes(text.toLowerCase()),
    );
    return key
      ? { ok: true, value: key[0] }
      : { ok: false, problem: `“${text}” can’t stand there; allowed: ${Object.values(field.choices).join(", ")}.` };
  }
  if (text === "" || text === "–") {
    return field.optional ? { ok: true, value: null } : { ok: false, problem: "a value is needed." };
  }
  if (!quantity) {
    return { ok: false, problem: "no quantity." };
  }
  const parsed = parseQuantity(text, quantity);
  return parsed.ok
    ? { ok: true, value: field.whole ? Math.round(parsed.value) : parsed.value }
    : { ok: false, problem: parsed.message };
}

function figure(
  key: keyof DrivePointFigures,
  name: string,
  kept: string,
  part: string,
  units: Units,
  us?: string,
): ListColumn {
  const value = (row: ListRow) => {
    const found = row.figures?.[key];
    return typeof found === "number" ? found : undefined;
  };
  return {
    id: key,
    name,
    unit: units.unit(kept, us),
    part,
    text: (row) => {
      const found = value(row);
      return found === undefined ? "–" : n(units.value(found, kept, us), 4);
    },
    order: (row) => value(row) ?? Number.NEGATIVE_INFINITY,
  };
}

const loadWords = ({ point }: ListRow): string => point.load.kind.replaceAll("-", " ");

function motorText({ motor }: DrivePoint, { motors }: Items): string {
  if (motor.kind === "not-chosen") {
    return "not chosen";
  }
  const item = motors.get(motor.itemId);
  return item ? item.ownName || `${motorKind(item)} ${motorPower(item)}, ${item.poles}-pole` : motor.itemId;
}

const motorOrder = ({ motor }: DrivePoint, { motors }: Items): number =>
  motor.kind === "not-chosen" ? -1 : (motors.get(motor.itemId)?.plate.ratedPowerW ?? 0);

function converterText({ converter: choice }: DrivePoint, { converters }: Items): string {
  if (choice.kind !== "catalogue") {
    return choice.kind.replaceAll("-", " ");
  }
  const item = converters.get(choice.itemId);
  return item ? item.ownName || `${item.family.replaceAll("-", " ")} ${converterPower(item)}` : choice.itemId;
}

function verdictText(checks: readonly Check[]): string {
  const verdict = worst(checks.map((c) => c.verdict));
  if (verdict === undefined) {
    return "–";
  }
  const alike = checks.filter((c) => c.verdict === verdict).length;
  return verdict === "holds" ? verdictWords[verdict] : `${verdictWords[verdict]} ${alike}`;
}

const ranks = ["fails", "tight", "needs-data", "holds", "not-applicable"];
const verdictOrder = (checks: readonly Check[]): number =>
  ranks.indexOf(worst(checks.map((c) => c.verdict)) ?? "not-applicable");
