import { ChoiceField } from "../../components/Fields";
import type { Outcome } from "../../components/draft";
import type { SharedShaft } from "../../lib/arrangements";
import { Entries, type ChangePart } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { within } from "../../lib/within";
import { findPoint } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";

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
  const part: ChangePart<SharedShaft> = (p, what) => change(what, p);
  const withUnit = (unit: Unit, part: Partial<Unit>) =>
    change("units", (now) => ({ units: now.units.map((u) => (u.pointId === unit.pointId ? { ...u, ...part } : u)) }));
  return (
    <>
      <Entries of={fields.ArrangementSharedShaft} value={shaft} keys={["name"]} change={part} />
      <ChoiceField
        label="Shares by"
        value={method.kind}
        choices={methodNames}
        onCommit={(way) => run({ kind: "share-by", arrangementId: shaft.id, way }).then(() => undefined)}
      />
      {method.kind === "torque-follower" && (
        <Entries
          of={fields.SharingMethodTorqueFollower}
          value={method}
          keys={["accuracyPct", "speedWindowPct"]}
          change={(p, what) => change(what, (now) => ({ method: within(now.method, method.kind, p) }))}
        />
      )}
      {method.kind === "speed-trim" && (
        <Entries
          of={fields.SharingMethodSpeedTrim}
          value={method}
          keys={["trimPct", "torqueLimitPct"]}
          change={(p, what) => change(what, (now) => ({ method: within(now.method, method.kind, p) }))}
        />
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
        <Entries
          of={fields.ShaftCouplingElastic}
          value={coupling}
          keys={["stiffnessNmPerRad", "dampingNmSPerRad"]}
          change={(p, what) => change(what, (now) => ({ coupling: within(now.coupling, coupling.kind, p) }))}
        />
      )}
      <Entries of={fields.ArrangementSharedShaft} value={shaft} keys={["runOnS", "reason"]} change={part} />
      {shaft.units.map((u, i) => (
        <fieldset key={u.pointId} className="mt-2 border-t border-rule pt-1">
          <legend className="pr-2 font-semibold">
            {findPoint(project.specification, u.pointId)?.tag ?? u.pointId}
            {i === 0 && method.kind !== "droop" ? ", leads" : ""}
          </legend>
          <Entries
            of={fields.ShaftUnit}
            value={u}
            keys={method.kind === "droop" ? ["droopPct", "speedErrorPct"] : ["speedErrorPct"]}
            change={(p) => withUnit(u, p)}
          />
        </fieldset>
      ))}
    </>
  );
}
