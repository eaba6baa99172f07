import type { DrivePoint } from "../../../api/client";
import { ChoiceField, QuantityField } from "../../../components/Fields";
import { quantities } from "../../../lib/units";
import type { PointEdit } from "../usePointEdit";
import { DutyEntry } from "./DutyEntry";
import { fieldsOf, levelName, type EntryField, type Mechanical } from "./kinds";
import { ProfileEntry } from "./ProfileEntry";

const train: readonly EntryField[] = [
  { key: "gearRatio", label: "Gear ratio", quantity: quantities.plain, note: "Motor turns for one of the machine." },
  { key: "gearEfficiency", label: "Gear efficiency", quantity: quantities.fractionPercent },
  {
    key: "inertiaKgM2",
    label: "Inertia at the machine",
    quantity: quantities.inertiaKgM2,
    note: "Drum, coupling, rotor; carried masses follow from the other entries.",
  },
  { key: "startTimeS", label: "Start time", quantity: quantities.timeS },
  {
    key: "stopTimeS",
    label: "Stop time",
    quantity: quantities.timeS,
    note: "From its fastest; quicker than it stops by itself drives energy back.",
  },
];

/** Entries of a load whose torque follows from mechanics. */
export function MechanicalEntry({ load, edit }: { readonly load: Mechanical; readonly edit: PointEdit }) {
  const change =
    (to: (load: Mechanical) => Mechanical) =>
    (p: DrivePoint): DrivePoint =>
      "train" in p.load ? { ...p, load: to(p.load) } : p;
  const set = (key: string, value: unknown) => change((l) => ({ ...l, [key]: value }));
  const values = load as unknown as Record<string, number | null>;
  const gear = load.train as Record<string, number | null>;
  return (
    <>
      {load.kind === "winder" && (
        <ChoiceField
          label="Direction"
          value={load.unwinds ? "unwinds" : "winds"}
          choices={{ winds: "winds up", unwinds: "unwinds: brakes all the time" }}
          onCommit={(v) => edit("direction of the roll", set("unwinds", v === "unwinds"))}
        />
      )}
      {load.kind === "servo-axis" && (
        <ChoiceField
          label="Shape of the move"
          value={load.shape}
          choices={{ trapezoid: "trapezoid, three thirds", "smooth-s": "smooth S, no jerk" }}
          onCommit={(v) => edit("shape of the move", set("shape", v))}
        />
      )}
      {fieldsOf[load.kind].map((f) => (
        <QuantityField
          key={f.key}
          label={f.label}
          note={f.note}
          optional
          quantity={f.quantity}
          value={values[f.key] ?? null}
          onCommit={(v) => edit(f.label.toLowerCase(), set(f.key, v))}
        />
      ))}
      {load.kind === "profile" && (
        <ProfileEntry points={load.points} onChange={(points) => edit("profile", set("points", points))} />
      )}
      <h3 className="section-title">Gear, start and stop</h3>
      {train
        .filter((f) => f.key !== "startTimeS" || (load.kind !== "servo-axis" && load.kind !== "profile"))
        .map((f) => (
          <QuantityField
            key={f.key}
            label={f.label}
            note={f.note}
            optional
            quantity={f.quantity}
            value={gear[f.key] ?? null}
            onCommit={(v) =>
              edit(
                f.label.toLowerCase(),
                change((l) => ({ ...l, train: { ...l.train, [f.key]: v } })),
              )
            }
          />
        ))}
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
