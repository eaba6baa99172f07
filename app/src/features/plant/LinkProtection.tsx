import { useState } from "react";
import type { BusLink } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { Sheet } from "../../components/Sheet";
import { useProject } from "../../project/ProjectContext";
import { deviceText, type Device } from "../protection/devices";
import { InstallationEntry } from "../protection/InstallationEntry";
import { PlainDeviceEntry } from "../protection/PlainDeviceEntry";

type Cable = Extract<BusLink, { kind: "cable" }>;
type Change = (part: Partial<Cable>, what: string) => Promise<Outcome>;

/** How a plant cable is laid and what protects it: a button in its row, and a sheet. */
export function LinkProtection({ cable, change }: { readonly cable: Cable; readonly change: Change }) {
  const { project } = useProject();
  const [open, setOpen] = useState(false);
  const device: Device = cable.device ?? { kind: "not-chosen" };
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
          <PlainDeviceEntry
            device={device}
            help="What protects the cable where it begins."
            change={(next, what) => change({ device: next }, what)}
          />
        </Sheet>
      )}
    </>
  );
}
