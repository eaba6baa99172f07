import type { DrivePoint, Specification } from "../../api/client";
import { fields } from "../../fields/table";

/** A step-up transformer with its long cable. */
export type StepUp = NonNullable<DrivePoint["stepUp"]>;
export type StepUpPart = "transformer" | "well" | "start" | "filter" | "readings";

/** Drive points behind a step-up transformer, in the order of the board. */
export const stepUpPoints = (s: Specification): readonly DrivePoint[] =>
  s.lineups.flatMap((l) => l.drivePoints).filter((p) => p.stepUp);

/** A part of it changed; what it does not state stays. */
export function withStepUp(part: StepUpPart, change: object) {
  return (p: DrivePoint): DrivePoint =>
    p.stepUp ? { ...p, stepUp: { ...p.stepUp, [part]: { ...p.stepUp[part], ...change } } } : p;
}

/** Voltages of taps as they are typed: numbers with commas, semicolons or blanks between them; or what is wrong. */
export function readTaps(text: string): readonly number[] | string {
  const words = text.split(/[\s,;]+/).filter((w) => w !== "");
  const taps = words.map(Number);
  const wrong = words.find((_, i) => !((taps[i] ?? NaN) >= 100 && (taps[i] ?? NaN) <= 10000));
  return wrong !== undefined
    ? `“${wrong}” is no voltage of a tap; allowed: 100 to 10000 V.`
    : taps.length > 40
      ? `${taps.length} taps; allowed: up to 40.`
      : [...new Set(taps)].sort((a, b) => a - b);
}

/** Entries of each part in the order of the form. */
export const stepUpEntries = [
  {
    part: "transformer",
    title: "Transformer",
    of: fields.StepUpTransformer,
    keys: [
      "ratedKva",
      "primaryV",
      "tapV",
      "ukPct",
      "loadLossKw",
      "noLoadLossKw",
      "magnetisingPct",
      "designHz",
      "forConverters",
      "insulationMonitored",
    ],
  },
  {
    part: "well",
    title: "Cable in the well",
    of: fields.WellCable,
    keys: [
      "resistanceOhmPerKm",
      "reactanceOhmPerKm",
      "capacitanceUfPerKm",
      "surfaceC",
      "gradientKPerKm",
      "capacityA",
      "heatingK",
      "ratedV",
    ],
  },
  {
    part: "filter",
    title: "Sine filter",
    of: fields.StepUpFilter,
    keys: ["inductanceMh", "capacitanceUf", "currentPct", "permitsTransformer"],
  },
  {
    part: "start",
    title: "Start and stop",
    of: fields.StepUpStart,
    keys: ["startHz", "startCurrentPct", "fluxLimitPu", "rampS", "backSpin", "backSpinMin", "identification"],
  },
  {
    part: "readings",
    title: "Read at the surface, at rest",
    of: fields.SurfaceReadings,
    keys: ["uvOhm", "vwOhm", "wuOhm", "windingC", "tightPct", "failsPct"],
  },
] as const;
