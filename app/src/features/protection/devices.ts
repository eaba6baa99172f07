import type { DrivePoint } from "../../api/client";

/** Protective and switching devices of a drive point. */
export type Devices = NonNullable<DrivePoint["devices"]>;

/** A protective device. */
export type Device = Devices["device"];

/** Nothing chosen yet. */
export const noDevices: Devices = { device: { kind: "not-chosen" }, contactorA: null, coordination: "one" };

/** Kinds of protective device in words. */
export const deviceKinds: Readonly<Record<Device["kind"], string>> = {
  "not-chosen": "none chosen yet",
  fuse: "fuses gG",
  "circuit-breaker": "circuit breaker",
  "motor-breaker": "motor-protective breaker",
  "semiconductor-fuse": "fuses aR, for semiconductors",
};

/** A device in two words, for a cell. */
export function deviceText(device: Device | undefined): string {
  switch (device?.kind) {
    case "fuse":
      return `gG ${device.ratedA} A`;
    case "semiconductor-fuse":
      return `aR ${device.ratedA} A`;
    case "circuit-breaker":
      return `breaker ${device.ratedA} A`;
    case "motor-breaker":
      return `motor br. ${device.ratedA} A`;
    default:
      return "";
  }
}
