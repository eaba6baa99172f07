import { useState } from "react";
import { fields } from "../../fields/table";
import { FormChoice } from "../../fields/FormChoice";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { ListEntry } from "../lists/ListEntry";
import { OwnList, SharedEntry, taken } from "../lists/OwnList";
import { deviceFields, deviceNameHeads, readDevices, type OwnDevice, type SharedDevice } from "./ownDevice";

/** Devices of the engineer's own lists, kept in the project with the list's version. */
export function OwnDevicesSheet({ onClose }: { readonly onClose: () => void }) {
  const { project, edit } = useProject();
  const devices = project.specification.devices ?? [];
  const [shared, setShared] = useState<SharedDevice>({
    kind: "fuse",
    trip: "class10",
    catalogue: "",
    version: "",
  });
  const remove = (device: OwnDevice) =>
    edit(`Remove device ${device.name}`, (s) => ({
      ...s,
      devices: (s.devices ?? []).filter((x) => x.id !== device.id),
    }));
  return (
    <OwnList
      title="Own devices"
      note="Fuses, breakers and contactors of your own lists. The project keeps them as they were imported. Where there are some of a kind for the voltage, proposals take the smallest of them that holds instead of the generic series. What was chosen stays when one is removed."
      isEmpty={devices.length === 0}
      heads={[
        "name",
        "kind",
        "list",
        "A",
        "V",
        "kA",
        "set from, A",
        "release, ×",
        "I²t, A²s",
        "10 s, 5 s, A",
        "0.1 s, A",
        "AC-1, A",
      ]}
      onClose={onClose}
      rows={devices.map((d) => (
        <tr key={d.id}>
          <td>{d.name}</td>
          <td>{fields.OwnDevice.kind.choices[d.kind]}</td>
          <td>
            {d.catalogue}, {d.version}
          </td>
          {[d.ratedA, d.voltageV, d.breakingKa, d.settingFromA, d.magneticPu, d.energyA2s].map((v, i) => (
            <td key={i} className="num">
              {n(v)}
            </td>
          ))}
          <td className="num">{pair(d.lasts10SA, d.clears5SA)}</td>
          <td className="num">{pair(d.lasts01SA, d.clears01SA)}</td>
          <td className="num">{n(d.ac1A)}</td>
          <td>
            <button type="button" className="button" aria-label={`Remove ${d.name}`} onClick={() => void remove(d)}>
              ×
            </button>
          </td>
        </tr>
      ))}
      entry={(done) => (
        <ListEntry
          what="devices"
          fields={deviceFields}
          nameHeads={deviceNameHeads}
          read={(rows, mapping) => readDevices(rows, mapping, shared, new Set(devices.map((d) => d.id)))}
          onTake={(more) =>
            taken(shared, "list", done, () =>
              edit(`${more.length} devices of ${shared.catalogue}`, (s) => ({
                ...s,
                devices: [...(s.devices ?? []), ...more],
              })),
            )
          }
          onCancel={done}
        >
          <SharedEntry field={fields.OwnDevice.kind} list="List" shared={shared} onChange={setShared} />
          {shared.kind === "motor-breaker" && (
            <FormChoice
              field={fields.OwnDevice.trip}
              value={shared.trip}
              onChange={(trip) => setShared({ ...shared, trip })}
            />
          )}
        </ListEntry>
      )}
    />
  );
}

const pair = (a: number | null, b: number | null) => (a === null ? "–" : b === null ? n(a) : `${n(a)} / ${n(b)}`);
