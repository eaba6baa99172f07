import { lazy, Suspense, useState } from "react";
import type { DrivePoint } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import type { PointEdit } from "../bench/usePointEdit";
import { dcBusOf } from "../../lib/dcBus";
import { DeviceFields } from "./DeviceFields";
import { deviceKinds, noDevices, type Device } from "./devices";

const OwnDevicesSheet = lazy(async () => ({ default: (await import("./OwnDevicesSheet")).OwnDevicesSheet }));

/** Protective device and contactor of a drive point. */
export function DeviceEntry({
  point,
  columns,
  edit,
}: {
  readonly point: DrivePoint;
  readonly columns: readonly string[];
  readonly edit: PointEdit;
}) {
  const { project, run } = useProject();
  const [owning, setOwning] = useState(false);
  const own = project.specification.devices ?? [];
  const ownChoices: Readonly<Record<string, string>> = {
    "": "choose …",
    ...Object.fromEntries(own.map((d) => [d.id, `${d.name}, ${d.ratedA} A`])),
  };
  const devices = point.devices ?? noDevices;
  const { device } = devices;
  const size = (part: "devices" | "both" | "isolators", kind: Exclude<Device["kind"], "not-chosen"> | "usual") =>
    run({ kind: "size-protection", pointIds: [...columns], part, device: kind }).then(() => undefined);
  const withDevice = (change: Partial<Device>) => (p: DrivePoint) => ({
    ...p,
    devices: { ...(p.devices ?? noDevices), device: { ...(p.devices ?? noDevices).device, ...change } as Device },
  });
  const isOnLine = !["catalogue", "not-chosen", "of-group"].includes(point.converter.kind);
  const isSoft = point.converter.kind === "soft-starter";
  const switching: ("contactorA" | "bypassA" | "isolatorA" | "coordination")[] = [
    "contactorA",
    ...(isSoft ? ["bypassA" as const] : []),
    "isolatorA",
    ...(isOnLine ? ["coordination" as const] : []),
  ];
  const lineup = project.specification.lineups.find((l) => l.drivePoints.some((p) => p.id === point.id));
  if (lineup && dcBusOf(lineup, point.id)) {
    return (
      <>
        <h3 className="section-title">Protection on the DC bus</h3>
        <Entries
          of={fields.SwitchingDevices}
          value={devices}
          keys={["dcFuseA", "dcFuseV"]}
          change={(part, what) => edit(what, (p) => ({ ...p, devices: { ...(p.devices ?? noDevices), ...part } }))}
        />
        <p className="mt-1 text-[12px] text-soft">
          The feeder of its supply module is protected where the bus itself is described. Fuses for alternating current
          do not break direct current: the maker’s direct voltage counts.
        </p>
      </>
    );
  }
  return (
    <>
      <h3 className="section-title">Protection</h3>
      <ChoiceField
        label="Protective device"
        help="A kind chosen here comes in the smallest size of the generic series that carries load and start and that the converter lists."
        value={device.kind}
        choices={deviceKinds}
        onCommit={(kind) =>
          kind === "not-chosen"
            ? edit("no protective device", (p) => ({
                ...p,
                devices: { ...(p.devices ?? noDevices), device: { kind } },
              }))
            : size("devices", kind)
        }
      />
      {own.length > 0 && (
        <ChoiceField
          label="From own devices"
          help="A device of your own lists, its release set to what the drive point draws; a contactor becomes its line contactor."
          value={Object.keys(ownChoices)[0] ?? ""}
          choices={ownChoices}
          onCommit={(deviceId) =>
            deviceId === ""
              ? Promise.resolve(undefined)
              : run({ kind: "take-device", pointIds: [...columns], deviceId }).then(() => undefined)
          }
        />
      )}
      <DeviceFields device={device} change={(part, what) => edit(what, withDevice(part))} />
      <Entries
        of={fields.SwitchingDevices}
        value={devices}
        keys={switching}
        change={(part, what) => edit(what, (p) => ({ ...p, devices: { ...(p.devices ?? noDevices), ...part } }))}
      />
      <p className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => void size("both", "usual")}>
          Propose device and sections
        </button>
        <button type="button" className="button" onClick={() => void size("isolators", "usual")}>
          Propose an isolator
        </button>
        <button type="button" className="button" onClick={() => setOwning(true)}>
          Own devices …
        </button>
      </p>
      {owning && (
        <Suspense fallback={null}>
          <OwnDevicesSheet onClose={() => setOwning(false)} />
        </Suspense>
      )}
      <p className="mt-1 text-[12px] text-soft">
        Protection is settled by licensed people after local codes and the makers’ instructions.
      </p>
    </>
  );
}
