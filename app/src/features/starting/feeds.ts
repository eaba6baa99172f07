import type { Catalogue, DrivePoint, MotorItem } from "../../api/client";

type Choice = DrivePoint["converter"];

/** Ways of feeding a motor, in words. */
export const feedNames: Readonly<Record<Choice["kind"], string>> = {
  "not-chosen": "not chosen",
  catalogue: "converter",
  "across-the-line": "contactor, across the line",
  "star-delta": "star-delta",
  "soft-starter": "soft starter",
  "of-group": "converter of its group",
};

/** A choice of a kind with values to start from; the smallest soft starter that carries the motor. */
export function feedOf(
  kind: Choice["kind"],
  motor: MotorItem | undefined,
  catalogue: Catalogue | undefined,
): Choice | undefined {
  switch (kind) {
    case "across-the-line":
      return { kind, trip: "class10", startsPerHour: 2, reason: "" };
    case "star-delta":
      return { kind, changeOverS: 5, trip: "class10", startsPerHour: 2, reason: "" };
    case "soft-starter": {
      const preset = catalogue?.startPresets[0];
      const item =
        catalogue?.softStarters.find((s) => s.ratedCurrentA >= (motor?.plate.ratedCurrentA ?? 0)) ??
        catalogue?.softStarters.at(-1);
      return preset && item
        ? { kind, itemId: item.id, settings: preset.settings, trip: preset.trip, startsPerHour: 2, reason: "" }
        : undefined;
    }
    default:
      return { kind: "not-chosen" };
  }
}
