import { useState } from "react";
import type { BusLink } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { Sheet } from "../../components/Sheet";
import { useProject } from "../../project/ProjectContext";
import { deviceText, type Device } from "../protection/devices";
import { InstallationEntry } from "../protection/InstallationEntry";
import { PlainDeviceEntry } from "../protection/PlainDeviceEntry";

type Cable = Extract<BusLink, { kind: "cable" }>;
type Change = (part: (now: BusLink) => BusLink, what: string) => Promise<Outcome>;

const none: Device = { kind: "not-chosen" };

// What is no cable any more stays.
const ofCable = (link: BusLink, part: (cable: Cable) => Partial<Cable>): BusLink =>
  link.kind === "cable" ? { ...link, ...part(link) } : link;

/** How a plant cable is laid and what protects it: a button in its row, and a sheet. */
export function LinkProtection({ cable, change }: { readonly cable: Cable; readonly change: Change }) {
  const { project } = useProject();
  const [open, setOpen] = useState(false);
  const device = cable.device ?? none;
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
            onChange={(next, what) => change((c) => ofCable(c, (x) => ({ installation: next(x.installation) })), what)}
          />
          <PlainDeviceEntry
            device={device}
            help="What protects the cable where it begins."
            change={(next, what) => change((c) => ofCable(c, (x) => ({ device: next(x.device ?? none) })), what)}
          />
        </Sheet>
      )}
    </>
  );
}
