import type { DrivePoint, Specification } from "../../api/client";
import { fields } from "../../fields/table";

/** What feeds one pump from the sun. */
export type Sun = NonNullable<DrivePoint["sun"]>;
export type SunPart = "module" | "place" | "strings" | "pumping";

/** Names of the months, short. */
export const months = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"] as const;

/** Drive points that are fed from the sun, in the order of the board. */
export const sunPoints = (s: Specification): readonly DrivePoint[] =>
  s.lineups.flatMap((l) => l.drivePoints).filter((p) => p.sun);

/** True where a converter of its own feeds the motor, or nothing is chosen yet. */
export const hasConverter = (p: DrivePoint): boolean =>
  p.converter.kind === "catalogue" || p.converter.kind === "not-chosen";

/** Drive points that could be: pumps, and those whose load is not known yet. */
export const couldBeSunny = (s: Specification): readonly DrivePoint[] =>
  s.lineups
    .flatMap((l) => l.drivePoints)
    .filter((p) => !p.sun && !p.stepUp && hasConverter(p) && (p.load.kind === "pump" || p.load.kind === "unspecified"));

/** A part of an array changed; what it does not state stays. */
export function withSun(part: SunPart, change: object) {
  return (p: DrivePoint): DrivePoint =>
    p.sun ? { ...p, sun: { ...p.sun, [part]: { ...p.sun[part], ...change } } } : p;
}

/** Entries of each part in the order of the form. */
export const sunEntries = [
  {
    part: "module",
    title: "Module",
    of: fields.SunModule,
    keys: [
      "name",
      "peakW",
      "uocV",
      "umpV",
      "iscA",
      "uocPctPerK",
      "umpPctPerK",
      "powerPctPerK",
      "fuseA",
      "maximumV",
      "noctC",
      "bifacial",
    ],
  },
  {
    part: "place",
    title: "Place",
    of: fields.SunPlace,
    keys: ["latitudeDeg", "tiltDeg", "azimuthDeg", "coldestC", "hottestC", "swingK", "albedo"],
  },
  {
    part: "strings",
    title: "Strings and switchgear",
    of: fields.SunStrings,
    keys: [
      "inSeries",
      "inParallel",
      "fuseA",
      "switchgearV",
      "isolatorV",
      "isolatorA",
      "isolatorPv2",
      "isolatorNear",
      "surgeV",
      "cableM",
      "cableMm2",
      "insulationKohm",
    ],
  },
  {
    part: "pumping",
    title: "Pumping",
    of: fields.SunPumping,
    keys: ["leastRpm", "startsPerDay", "restartMin", "stopDelayS", "tankM3", "dryRunGuard", "tankLevel"],
  },
] as const;
