import type { CableInstallation, CommonDcBus } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { useUnits, type Units } from "../../fields/useUnits";
import type { PartOf } from "../../lib/within";
import { deviceText, type Device } from "../protection/devices";
import { FeederFields, type Feeder } from "../protection/FeederFields";
import { PlainDeviceEntry } from "../protection/PlainDeviceEntry";

const onBusbar: Feeder = { kind: "on-busbar" };
const none: Device = { kind: "not-chosen" };

/** Feeder and device of a supply module: in a line until opened. */
export function ModuleProtection({
  bus,
  plant,
  change,
  onPropose,
}: {
  readonly bus: CommonDcBus;
  readonly plant: CableInstallation | null | undefined;
  readonly change: (part: PartOf<CommonDcBus>, what: string) => Promise<Outcome>;
  readonly onPropose: () => void;
}) {
  const units = useUnits();
  const feeder = bus.feeder ?? onBusbar;
  const device = bus.device ?? none;
  return (
    <details className="mt-2">
      <summary className="cursor-pointer">
        <strong>Feeder and protection</strong>: {inWords(feeder, units)}, {deviceText(device) || "no device"}
      </summary>
      <FeederFields
        feeder={feeder}
        plant={plant}
        change={(next, what) => change((b) => ({ feeder: next(b.feeder ?? onBusbar) }), what)}
      />
      <PlainDeviceEntry
        device={device}
        help="What protects the feeder of the supply module; its maker lists which and how large."
        change={(next, what) => change((b) => ({ device: next(b.device ?? none) }), what)}
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
