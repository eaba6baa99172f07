import { quantityOf, type Field } from "../fields/field";
import { fields } from "../fields/table";
import { unitsOf, type Units } from "../fields/useUnits";
import { nameOf as named, inUnit } from "../fields/units";

const records: Readonly<Record<string, Readonly<Record<string, Field>>>> = fields;

// Which record stands at a key of the specification; the rest are found by the key of the entry alone.
const recordsAt: Readonly<Record<string, readonly string[]>> = {
  site: ["Site"],
  tariff: ["Tariff"],
  source: ["Source"],
  strength: ["SourceStrengthFaultLevel", "SourceStrengthGenerator"],
  conventions: ["Conventions"],
  pcc: ["CommonCoupling"],
  buses: ["Bus"],
  transformers: ["Transformer"],
  links: ["BusLinkCable", "BusLinkCoupler"],
  loads: ["BusLoadLinear", "BusLoadLineMotor", "BusLoadSinglePhaseGroup"],
  capacitorBanks: ["CapacitorBank"],
  activeFilters: ["ActiveFilter"],
  scenarios: ["Scenario"],
  lineups: ["Lineup"],
  drivePoints: ["DrivePoint"],
  cable: ["MotorCable"],
  feeder: ["FeederByCable"],
  common: ["FluidMachine"],
  train: ["DriveTrain"],
  coil: ["BrakeCoil"],
  control: ["BrakeControl"],
  brake: ["HoldingBrakeSpringApplied"],
  settings: ["SoftStarterSettings"],
};

// Where one stands; words that only hold others are left out.
const places: Readonly<Record<string, string>> = {
  lineups: "",
  drivePoints: "",
  common: "",
  distribution: "",
  arrangements: "",
  dcBuses: "",
  control: "",
  settings: "",
  strength: "",
  buses: "",
  transformers: "",
  links: "",
  loads: "",
  capacitorBanks: "",
  activeFilters: "",
  train: "gear and start",
  pcc: "point of common coupling",
  conventions: "units and codes",
  states: "state of",
  kind: "kind",
  order: "order",
};

const inWords = (key: string) => key.replace(/([a-z])([A-Z])/g, "$1 $2").toLowerCase();

// The entry that a path leads to: in the record that its nearest place names, else in the first that has it.
function fieldAt(path: readonly string[]): Field | undefined {
  const key = path.at(-1) ?? "";
  for (const place of path.slice(0, -1).toReversed()) {
    for (const record of recordsAt[place] ?? []) {
      const field = records[record]?.[key];
      if (field) {
        return field;
      }
    }
  }
  return Object.values(records).find((record) => key in record)?.[key];
}

/** A path to an entry in the words of the screen: "DP-03, load: static share". */
export function placeInWords(path: string): string {
  const parts = path.split(" › ");
  const field = fieldAt(parts);
  const where = parts
    .slice(0, -1)
    .map((part) => places[part] ?? (/^[a-z]+(?:[A-Z][a-z]*)*$/.test(part) ? inWords(part) : part))
    .filter((part) => part !== "");
  const last = parts.at(-1) ?? "";
  const name = field ? field.name.charAt(0).toLowerCase() + field.name.slice(1) : (places[last] ?? inWords(last));
  // A tag says more than the lineup that it hangs in.
  const shown = parts.includes("drivePoints") ? where.slice(1) : where;
  // What stands alone is a name of its own: a drive point that came or went.
  return shown.length === 0
    ? field || last in places
      ? name
      : last
    : `${shown.join(", ")}: ${field || last in places || /^[a-z]/.test(last) ? name : last}`;
}

/** What stands in an entry, as the screen shows it. */
export function valueInWords(path: string, value: unknown, units: Units = unitsOf("si")): string {
  const field = fieldAt(path.split(" › "));
  if (value === null || value === undefined) {
    return field?.whenOpen ?? "not known";
  }
  if (typeof value === "number") {
    if (field?.kind !== "number") {
      return String(value);
    }
    const quantity = quantityOf(field, units);
    const { unit, unnamed = unit } = quantity;
    const said = String(Number(inUnit(value, quantity).toPrecision(6)));
    return named(value, quantity) ?? (unnamed === "" ? said : `${said} ${unnamed}`);
  }
  if (typeof value === "boolean") {
    return value ? "yes" : "no";
  }
  if (typeof value === "string") {
    return value === "" ? "empty" : field?.kind === "choice" ? (field.choices[value] ?? value) : value;
  }
  if (Array.isArray(value)) {
    return value.length === 1 ? "1 entry" : `${value.length} entries`;
  }
  const { kind, itemId } = value as { kind?: unknown; itemId?: unknown };
  return [kind, itemId].filter((part) => typeof part === "string").join(" ") || "several values";
}
