import { useState } from "react";
import type { BusLink } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { ChoiceField } from "../../components/Fields";
import { Sheet } from "../../components/Sheet";
import { useProject } from "../../project/ProjectContext";
import { deviceKinds, deviceText, type Device } from "../protection/devices";
import { DeviceFields } from "../protection/DeviceFields";
import { InstallationEntry } from "../protection/InstallationEntry";

type Cable = Extract<BusLink, { kind: "cable" }>;
type Change = (part: Partial<Cable>, what: string) => Promise<Outcome>;

export type Offered = "not-chosen" | "fuse" | "circuit-breaker";

export const begun: Readonly<Record<Offered, Device>> = {
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

/** How a plant cable is laid and what protects it: a button in its row, and a sheet. */
export function LinkProtection({ cable, change }: { readonly cable: Cable; readonly change: Change }) {
  const { project } = useProject();
  const [open, setOpen] = useState(false);
  const device = cable.device ?? begun["not-chosen"];
  const withDevice = (part: Partial<Device>, what: string) =>
    change({ device: { ...device, ...part } as Device }, what);
  return (
    <>
      <button
        type="button"
        className="whitespace-nowrap text-plum underline"
        aria-label={`Laying and device of ${cable.name}`}
        onClick={() => setOpen(true)}
      >
        {deviceText(device) || "no device"}
      </button>
      {open && (
        <Sheet title={`${cable.name}: laying and device`} onClose={() => setOpen(false)}>
          <InstallationEntry
            own={cable.installation}
            plant={project.specification.cables}
            onChange={(installation, what) => change({ installation }, what)}
          />
          <ChoiceField
            label="Protective device"
            help="What protects the cable where it begins."
            value={device.kind as Offered}
            choices={{
              "not-chosen": deviceKinds["not-chosen"],
              fuse: deviceKinds.fuse,
              "circuit-breaker": deviceKinds["circuit-breaker"],
            }}
            onCommit={(kind) => change({ device: begun[kind] }, "device")}
          />
          <DeviceFields device={device} change={withDevice} />
        </Sheet>
      )}
    </>
  );
}
