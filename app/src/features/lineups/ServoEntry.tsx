import type { CommonDcBus } from "../../api/client";
import { ChoiceField, QuantityField } from "../../components/Fields";
import type { Outcome } from "../../components/draft";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { findPoint } from "../../lib/specification";
import { quantityIn } from "../../fields/units";
import { useProject } from "../../project/ProjectContext";

type Control = CommonDcBus["control"];
type Modular = Extract<Control, { kind: "modular" }>;

/** A modular lineup: one control unit for all axis modules on the link, its 24 V supply, cables, groups of safe torque off. */
export function ServoEntry({
  bus,
  onChange,
}: {
  readonly bus: CommonDcBus;
  readonly onChange: (next: (now: Control) => Control) => Promise<Outcome>;
}) {
  const { project } = useProject();
  const { control } = bus;
  const change = (part: Partial<Modular>) => onChange((now) => (now.kind === "modular" ? { ...now, ...part } : now));
  return (
    <fieldset className="mt-2 border-t border-rule pt-1">
      <legend className="pr-2 font-semibold">Control</legend>
      <ChoiceField
        label="Members are"
        value={control.kind}
        choices={{ none: "drives of their own", modular: "axis modules of one control unit" }}
        onCommit={(kind) => onChange(() => (kind === "none" ? { kind } : newControl(bus)))}
      />
      {control.kind === "modular" && (
        <>
          <Entries of={fields.ServoControlModular} value={control} keys={["largestAxes", "apart"]} change={change} />
          <Entries
            of={fields.ServoControlModular}
            value={control}
            keys={["supply24A", "controlUnit24A", "supplyModule24A", "axisModule24A"]}
            change={change}
          />
          <Entries
            of={fields.ServoControlModular}
            value={control}
            keys={["brakesOn24V", "largestCapacitanceUf", "largestCableM"]}
            change={change}
          />
          {bus.memberIds.map((id, i) => (
            <QuantityField
              key={id}
              label={`Torque-off group, ${findPoint(project.specification, id)?.tag ?? id}`}
              quantity={quantityIn("si", "")}
              value={control.safeGroups[i] ?? 0}
              onCommit={(v) => change({ safeGroups: control.safeGroups.map((g, k) => (k === i ? (v ?? 0) : g)) })}
            />
          ))}
          <Entries of={fields.ServoControlModular} value={control} keys={["firmwareNote"]} change={change} />
        </>
      )}
    </fieldset>
  );
}

function newControl(bus: CommonDcBus): Modular {
  return {
    kind: "modular",
    largestAxes: null,
    apart: true,
    supply24A: null,
    controlUnit24A: null,
    supplyModule24A: null,
    axisModule24A: null,
    brakesOn24V: false,
    largestCapacitanceUf: null,
    largestCableM: null,
    safeGroups: bus.memberIds.map(() => 0),
    firmwareNote: "",
  };
}
