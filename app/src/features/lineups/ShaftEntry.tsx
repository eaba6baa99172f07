import { ChoiceField, QuantityField, TextField } from "../../components/Fields";
import type { Outcome } from "../../components/draft";
import type { SharedShaft } from "../../lib/arrangements";
import { findPoint } from "../../lib/specification";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";

type Method = SharedShaft["method"];
type Unit = SharedShaft["units"][number];

/** Ways of sharing a shaft, in words. */
export const methodNames: Readonly<Record<Method["kind"], string>> = {
  droop: "speed droop",
  "torque-follower": "torque followers",
  "speed-follower": "speed followers",
  "speed-trim": "speed trim with torque limit",
};

/** Entries of a shared shaft: way of sharing, coupling, each unit's droop and error. */
export function ShaftEntry({
  shaft,
  change,
}: {
  readonly shaft: SharedShaft;
  readonly change: (
    what: string,
    part: Partial<SharedShaft> | ((now: SharedShaft) => Partial<SharedShaft>),
  ) => Promise<Outcome>;
}) {
  const { project, run } = useProject();
  const { method, coupling } = shaft;
  const withUnit = (unit: Unit, part: Partial<Unit>) =>
    change("units", (now) => ({ units: now.units.map((u) => (u.pointId === unit.pointId ? { ...u, ...part } : u)) }));
  return (
    <>
      <TextField label="Name" value={shaft.name} onCommit={(name) => change("name", { name })} />
      <ChoiceField
        label="Shares by"
        value={method.kind}
        choices={methodNames}
        onCommit={(way) => run({ kind: "share-by", arrangementId: shaft.id, way }).then(() => undefined)}
      />
      {method.kind === "torque-follower" && (
        <>
          <QuantityField
            label="Torque accuracy"
            optional
            quantity={quantities.percent}
            value={method.accuracyPct}
            onCommit={(accuracyPct) => change("torque accuracy", { method: { ...method, accuracyPct } })}
          />
          <QuantityField
            label="Speed window"
            optional
            quantity={quantities.percent}
            value={method.speedWindowPct}
            onCommit={(speedWindowPct) => change("speed window", { method: { ...method, speedWindowPct } })}
          />
        </>
      )}
      {method.kind === "speed-trim" && (
        <>
          <QuantityField
            label="Largest trim"
            optional
            quantity={quantities.percent}
            value={method.trimPct}
            onCommit={(trimPct) => change("trim", { method: { ...method, trimPct } })}
          />
          <QuantityField
            label="Torque limit"
            optional
            quantity={quantities.percent}
            value={method.torqueLimitPct}
            onCommit={(torqueLimitPct) => change("torque limit", { method: { ...method, torqueLimitPct } })}
          />
        </>
      )}
      <ChoiceField
        label="Coupling"
        value={coupling.kind}
        choices={{ rigid: "rigid: shaft or gear", elastic: "elastic: belt, chain, long shaft" }}
        onCommit={(kind) =>
          change("coupling", {
            coupling: kind === "rigid" ? { kind } : { kind, stiffnessNmPerRad: null, dampingNmSPerRad: null },
          })
        }
      />
      {coupling.kind === "elastic" && (
        <>
          <QuantityField
            label="Stiffness, each"
            optional
            quantity={quantities.stiffnessNmPerRad}
            value={coupling.stiffnessNmPerRad}
            onCommit={(stiffnessNmPerRad) => change("stiffness", { coupling: { ...coupling, stiffnessNmPerRad } })}
          />
          <QuantityField
            label="Damping, each"
            optional
            quantity={quantities.dampingNmSPerRad}
            value={coupling.dampingNmSPerRad}
            onCommit={(dampingNmSPerRad) => change("damping", { coupling: { ...coupling, dampingNmSPerRad } })}
          />
        </>
      )}
      <QuantityField
        label="Runs on, one lost"
        optional
        placeholder="for ever"
        quantity={quantities.timeS}
        value={shaft.runOnS}
        onCommit={(runOnS) => change("run on", { runOnS })}
      />
      <TextField label="Reason" value={shaft.reason} onCommit={(reason) => change("reason", { reason })} />
      {shaft.units.map((u, i) => (
        <fieldset key={u.pointId} className="mt-2 border-t border-rule pt-1">
          <legend className="pr-2 font-semibold">
            {findPoint(project.specification, u.pointId)?.tag ?? u.pointId}
            {i === 0 && method.kind !== "droop" ? ", leads" : ""}
          </legend>
          {method.kind === "droop" && (
            <QuantityField
              label="Droop"
              optional
              quantity={quantities.percent}
              value={u.droopPct}
              onCommit={(droopPct) => withUnit(u, { droopPct })}
            />
          )}
          <QuantityField
            label="Error of speed reference"
            optional
            quantity={quantities.percent}
            value={u.speedErrorPct}
            onCommit={(speedErrorPct) => withUnit(u, { speedErrorPct })}
          />
        </fieldset>
      ))}
    </>
  );
}
