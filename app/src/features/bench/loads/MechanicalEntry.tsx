import type { DrivePoint } from "../../../api/client";
import { Entries } from "../../../fields/Entries";
import { fields } from "../../../fields/table";
import type { PointEdit } from "../usePointEdit";
import { DutyEntry } from "./DutyEntry";
import { fieldsOf, levelName, type Mechanical } from "./kinds";
import { ProfileEntry } from "./ProfileEntry";

/** Entries of a load whose torque follows from mechanics. */
export function MechanicalEntry({ load, edit }: { readonly load: Mechanical; readonly edit: PointEdit }) {
  const change =
    (to: (load: Mechanical) => Mechanical) =>
    (p: DrivePoint): DrivePoint =>
      "train" in p.load ? { ...p, load: to(p.load) } : p;
  const set = (key: string, value: unknown) => change((l) => ({ ...l, [key]: value }));
  const moves = load.kind === "servo-axis" || load.kind === "profile";
  return (
    <>
      <Entries
        of={fieldsOf[load.kind]}
        value={load as unknown as Record<string, number | null>}
        keys={Object.keys(fieldsOf[load.kind])}
        change={(part, what) =>
          edit(
            what,
            change((l) => ({ ...l, ...part })),
          )
        }
      />
      {load.kind === "profile" && (
        <ProfileEntry points={load.points} onChange={(points) => edit("profile", set("points", points))} />
      )}
      <h3 className="section-title">Gear, start and stop</h3>
      <Entries
        of={fields.DriveTrain}
        value={load.train}
        keys={["gearRatio", "gearEfficiency", "inertiaKgM2", ...(moves ? [] : ["startTimeS" as const]), "stopTimeS"]}
        change={(part, what) =>
          edit(
            what,
            change((l) => ({ ...l, train: { ...l.train, ...part } })),
          )
        }
      />
      {load.kind === "hoist" && (
        <p className="mt-3 border-l-4 border-tight bg-card p-2 text-[12px]">
          <strong>Caution:</strong> suspended load. Where people can be under it or on it, the lifting code and its
          licensed people decide; a holding brake holds, it does not stop.
        </p>
      )}
      <DutyEntry
        level={levelName(load.kind)}
        duty={load.duty}
        onChange={(duty) => edit(`hours at each ${levelName(load.kind)}`, set("duty", duty))}
      />
    </>
  );
}
