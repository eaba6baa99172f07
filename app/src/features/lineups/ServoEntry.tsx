import type { CommonDcBus } from "../../api/client";
import { ChoiceField, QuantityField, SwitchField, TextField } from "../../components/Fields";
import type { Outcome } from "../../components/draft";
import { findPoint } from "../../lib/specification";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";

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
          <QuantityField
            label="Axes it computes"
            optional
            quantity={quantities.plain}
            value={control.largestAxes}
            onCommit={(largestAxes) => change({ largestAxes })}
          />
          <SwitchField label="In a low-voltage cabinet" value={control.apart} onCommit={(apart) => change({ apart })} />
          <QuantityField
            label="24 V supply"
            optional
            quantity={quantities.currentA}
            value={control.supply24A}
            onCommit={(supply24A) => change({ supply24A })}
          />
          <QuantityField
            label="Control unit takes"
            optional
            quantity={quantities.currentA}
            value={control.controlUnit24A}
            onCommit={(controlUnit24A) => change({ controlUnit24A })}
          />
          <QuantityField
            label="Supply module takes"
            optional
            quantity={quantities.currentA}
            value={control.supplyModule24A}
            onCommit={(supplyModule24A) => change({ supplyModule24A })}
          />
          <QuantityField
            label="Each axis takes"
            optional
            quantity={quantities.currentA}
            value={control.axisModule24A}
            onCommit={(axisModule24A) => change({ axisModule24A })}
          />
          <SwitchField
            label="Brakes on it too"
            value={control.brakesOn24V}
            onCommit={(brakesOn24V) => change({ brakesOn24V })}
          />
          <QuantityField
            label="Link up to"
            optional
            placeholder="supply decides"
            quantity={quantities.capacitanceUf}
            value={control.largestCapacitanceUf}
            onCommit={(largestCapacitanceUf) => change({ largestCapacitanceUf })}
          />
          <QuantityField
            label="Cables up to"
            optional
            quantity={quantities.lengthM}
            value={control.largestCableM}
            onCommit={(largestCableM) => change({ largestCableM })}
          />
          {bus.memberIds.map((id, i) => (
            <QuantityField
              key={id}
              label={`Torque-off group, ${findPoint(project.specification, id)?.tag ?? id}`}
              quantity={quantities.plain}
              value={control.safeGroups[i] ?? 0}
              onCommit={(v) => change({ safeGroups: control.safeGroups.map((g, k) => (k === i ? (v ?? 0) : g)) })}
            />
          ))}
          <TextField
            label="Memory card"
            value={control.firmwareNote}
            onCommit={(firmwareNote) => change({ firmwareNote })}
          />
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
