import type { Outcome } from "../../components/draft";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import type { Device } from "./devices";

/** A figure typed over makes it another device than that of the list; a reason does not. */
const changed = (part: Partial<Device>): Partial<Device> =>
  Object.keys(part).some((key) => key !== "reason" && key !== "overloadA") ? { ...part, item: "" } : part;

/** The entries of a protective device, whatever its kind. */
export function DeviceFields({
  device,
  change,
}: {
  readonly device: Device;
  readonly change: (part: Partial<Device>, what: string) => Promise<Outcome>;
}) {
  return (
    <>
      {"item" in device && device.item && <p className="text-[12px] text-soft">{device.item}</p>}
      <Figures device={device} change={(part, what) => change(changed(part), what)} />
    </>
  );
}

function Figures({
  device,
  change,
}: {
  readonly device: Device;
  readonly change: (part: Partial<Device>, what: string) => Promise<Outcome>;
}) {
  switch (device.kind) {
    case "not-chosen":
      return null;
    case "fuse":
      return (
        <Entries
          of={fields.ProtectiveDeviceFuse}
          value={device}
          keys={["ratedA", "breakingKa", "lasts10SA", "clears5SA", "lasts01SA", "clears01SA", "reason"]}
          change={change}
        />
      );
    case "semiconductor-fuse":
      return (
        <Entries
          of={fields.ProtectiveDeviceSemiconductorFuse}
          value={device}
          keys={["ratedA", "totalA2s", "breakingKa", "lasts10SA", "lasts01SA", "reason"]}
          change={change}
        />
      );
    case "circuit-breaker":
      return (
        <Entries
          of={fields.ProtectiveDeviceCircuitBreaker}
          value={device}
          keys={["ratedA", "overloadA", "magneticPu", "breakingKa", "letThroughA2s", "reason"]}
          change={change}
        />
      );
    case "motor-breaker":
      return (
        <Entries
          of={fields.ProtectiveDeviceMotorBreaker}
          value={device}
          keys={["ratedA", "overloadA", "trip", "magneticPu", "breakingKa", "letThroughA2s", "reason"]}
          change={change}
        />
      );
  }
}
