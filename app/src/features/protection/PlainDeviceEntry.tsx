import type { Outcome } from "../../components/draft";
import { ChoiceField } from "../../components/Fields";
import { within } from "../../lib/within";
import { DeviceFields } from "./DeviceFields";
import { deviceKinds, type Device } from "./devices";

type Offered = "not-chosen" | "fuse" | "circuit-breaker";

/** What each kind begins with. */
const begun: Readonly<Record<Offered, Device>> = {
  "not-chosen": { kind: "not-chosen" },
  fuse: { kind: "fuse", ratedA: 250, breakingKa: 100, reason: "" },
  "circuit-breaker": {
    kind: "circuit-breaker",
    ratedA: 250,
    overloadA: 250,
    magneticPu: 10,
    breakingKa: 50,
    letThroughA2s: null,
    reason: "",
  },
};

/** Fuses or a breaker where no motor is on the line: the kind, then its entries. */
export function PlainDeviceEntry({
  device,
  help,
  change,
}: {
  readonly device: Device;
  readonly help: string;
  readonly change: (next: (device: Device) => Device, what: string) => Promise<Outcome>;
}) {
  return (
    <>
      <ChoiceField
        label="Protective device"
        help={help}
        value={device.kind as Offered}
        choices={{
          "not-chosen": deviceKinds["not-chosen"],
          fuse: deviceKinds.fuse,
          "circuit-breaker": deviceKinds["circuit-breaker"],
        }}
        onCommit={(kind) => change(() => begun[kind], "device")}
      />
      <DeviceFields device={device} change={(part, what) => change((now) => within(now, device.kind, part), what)} />
    </>
  );
}
