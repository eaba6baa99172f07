import type { CableInstallation, CommonDcBus } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { ChoiceField } from "../../components/Fields";
import { useUnits, type Units } from "../../fields/useUnits";
import { begun, type Offered } from "../plant/LinkProtection";
import { DeviceFields } from "../protection/DeviceFields";
import { deviceKinds, deviceText, type Device } from "../protection/devices";
import { FeederFields, type Feeder } from "../protection/FeederFields";

const onBusbar: Feeder = { kind: "on-busbar" };

/** Feeder and device of a supply module: in a line until opened. */
export function ModuleProtection({
  bus,
  plant,
  change,
  onPropose,
}: {
  readonly bus: CommonDcBus;
  readonly plant: CableInstallation | null | undefined;
  readonly change: (part: Partial<CommonDcBus>, what: string) => Promise<Outcome>;
  readonly onPropose: () => void;
}) {
  const units = useUnits();
  const feeder = bus.feeder ?? onBusbar;
  const device: Device = bus.device ?? begun["not-chosen"];
  return (
    <details className="mt-2">
      <summary className="cursor-pointer">
        <strong>Feeder and protection</strong>: {inWords(feeder, units)}, {deviceText(device) || "no device"}
      </summary>
      <FeederFields
        feeder={feeder}
        plant={plant}
        change={(next, what) => change({ feeder: next(bus.feeder ?? onBusbar) }, what)}
      />
      <ChoiceField
        label="Protective device"
        help="What protects the feeder of the supply module; its maker lists which and how large."
        value={device.kind as Offered}
        choices={{
          "not-chosen": deviceKinds["not-chosen"],
          fuse: deviceKinds.fuse,
          "circuit-breaker": deviceKinds["circuit-breaker"],
        }}
        onCommit={(kind) => change({ device: begun[kind] }, "device")}
      />
      <DeviceFields
        device={device}
        change={(part, what) => change({ device: { ...device, ...part } as Device }, what)}
      />
      <button type="button" className="button mt-1" onClick={onPropose}>
        Propose device, feeder and DC fuses
      </button>
      <p className="mt-1 text-[12px] text-soft">
        Protection is settled by licensed people after local codes and the makers’ instructions.
      </p>
    </details>
  );
}

function inWords(feeder: Feeder, units: Units): string {
  if (feeder.kind === "on-busbar") {
    return "on the busbar";
  }
  const { lengthM, crossSectionMm2 } = feeder;
  return lengthM == null || crossSectionMm2 == null
    ? "cable still open"
    : `${units.entered(lengthM, "m")} of ${units.entered(crossSectionMm2, "mm²")}`;
}
