import { PulseEntry } from "./PulseEntry";
import type { ConverterItem, DrivePoint, ResistorPulse } from "../../api/client";
import { ChoiceField, QuantityField, TextField } from "../../components/Fields";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";
import type { PointEdit } from "./usePointEdit";

type CatalogueConverter = Extract<DrivePoint["converter"], { kind: "catalogue" }>;
type Braking = CatalogueConverter["braking"];
type Change = (change: Partial<CatalogueConverter>) => (p: DrivePoint) => DrivePoint;

const brakings: Readonly<Record<Braking["kind"], string>> = {
  nothing: "by losses, slower",
  coast: "not: it coasts",
  flux: "by raised flux",
  "dc-injection": "by direct current",
  resistor: "chopper and resistor",
  "to-line": "back to the line",
};

/** Settings of a converter: duty, switching, filter, feed, braking. */
export function CatalogueConverterEntry({
  converter,
  item,
  columns,
  edit,
}: {
  readonly converter: CatalogueConverter;
  readonly item: ConverterItem | undefined;
  readonly columns: readonly string[];
  readonly edit: PointEdit;
}) {
  const { run } = useProject();
  const change: Change = (part) => (p) =>
    p.converter.kind === "catalogue" ? { ...p, converter: { ...p.converter, ...part } } : p;
  return (
    <>
      {item && (
        <p className="text-[12px] text-soft">
          {item.name}, {item.ratedKw} kW: {item.widthMm} × {item.heightMm} × {item.depthMm} mm, {item.massKg} kg
          {item.ownCatalogue && `; ${item.ownCatalogue}`}
          {item.estimated.length > 0 && `; from the generic series: ${item.estimated.join(", ")}`}
        </p>
      )}
      <ChoiceField
        label="Overload duty"
        value={converter.duty}
        choices={{ light: "light overload", heavy: "heavy overload" }}
        onCommit={(duty) => edit("overload duty", change({ duty }))}
      />
      <QuantityField
        label="Switching frequency"
        quantity={quantities.switchingKhz}
        value={converter.switchingKhz}
        onCommit={(khz) => edit("switching frequency", change({ switchingKhz: khz ?? 4 }))}
      />
      <ChoiceField
        label="Control"
        value={converter.control ?? "vector"}
        choices={{
          scalar: "scalar, voltage over frequency",
          vector: "vector, no encoder",
          "vector-with-encoder": "vector with encoder",
        }}
        onCommit={(control) => edit("control", change({ control }))}
      />
      <ChoiceField
        label="Flux at light load"
        value={converter.lightLoadFlux ?? "constant"}
        choices={{ constant: "whole: full torque at once", lowered: "lowered with the torque, as fans allow" }}
        onCommit={(lightLoadFlux) => edit("flux at light load", change({ lightLoadFlux }))}
      />
      <QuantityField
        label="Modules in parallel"
        quantity={quantities.plain}
        value={converter.modules}
        onCommit={(modules) => edit("parallel modules", change({ modules: modules ?? 1 }))}
      />
      {converter.modules > 1 && (
        <ChoiceField
          label="Their wiring"
          value={converter.wiring ?? "separate-windings"}
          choices={{
            "separate-windings": "a winding for each",
            "one-winding-with-chokes": "one winding, a choke each",
            "one-winding-bare": "one winding, no chokes",
          }}
          onCommit={(wiring) => edit("wiring of the modules", change({ wiring }))}
        />
      )}
      <ChoiceField
        label="Output filter"
        value={converter.filter ?? "none"}
        choices={{ none: "none", "dv-dt": "dv/dt filter", sine: "sine filter" }}
        onCommit={(filter) => edit("output filter", change({ filter }))}
      />
      {item?.kind !== "single-phase-input" && (
        <ChoiceField
          label="Phases of the feed"
          value={converter.feed ?? "three-phase"}
          choices={{ "three-phase": "three", "two-phases": "two, derated" }}
          onCommit={(feed) => edit("feed", change({ feed }))}
        />
      )}
      <ChoiceField
        label="Brakes"
        value={converter.braking.kind}
        choices={brakings}
        onCommit={(way) => run({ kind: "brake-by", pointIds: [...columns], way }).then(() => undefined)}
      />
      <BrakingEntry braking={converter.braking} item={item} change={change} edit={edit} />
      <TextField
        label="Reason for this converter"
        value={converter.reason}
        onCommit={(reason) => edit("reason for the converter", change({ reason }))}
      />
      <button
        type="button"
        className="button mt-2"
        onClick={() => void edit("converter taken off", (p) => ({ ...p, converter: { kind: "not-chosen" } }))}
      >
        Take the converter off
      </button>
      <p className="mt-3 border-l-4 border-tight bg-card p-2 text-[12px]">
        <strong>Caution:</strong> the link stays charged after switching off. Lock out, wait for discharge, prove the
        absence of voltage; follow the maker’s instructions and local codes.
      </p>
    </>
  );
}

function BrakingEntry({
  braking,
  item,
  change,
  edit,
}: {
  readonly braking: Braking;
  readonly item: ConverterItem | undefined;
  readonly change: Change;
  readonly edit: PointEdit;
}) {
  if (braking.kind === "resistor") {
    return (
      <>
        {item && !item.hasChopper && <p className="text-fails">This converter has no chopper.</p>}
        <QuantityField
          label="Resistance"
          optional
          quantity={quantities.resistanceOhm}
          value={braking.resistanceOhm}
          onCommit={(resistanceOhm) => edit("brake resistor", change({ braking: { ...braking, resistanceOhm } }))}
        />
        <QuantityField
          label="Continuous power"
          optional
          quantity={quantities.powerKw}
          value={braking.continuousKw}
          note="It gets hot enough to burn: place and cover it by its maker’s instructions."
          onCommit={(continuousKw) => edit("brake resistor", change({ braking: { ...braking, continuousKw } }))}
        />
        <QuantityField
          label="Window of its mean power"
          optional
          placeholder="project’s"
          quantity={quantities.timeS}
          value={braking.windowS ?? null}
          onCommit={(windowS) => edit("brake resistor", change({ braking: { ...braking, windowS } }))}
        />
        <PulseEntry
          pulses={(braking.pulses ?? []) as ResistorPulse[]}
          onChange={(pulses) => edit("pulses of the brake resistor", change({ braking: { ...braking, pulses } }))}
        />
      </>
    );
  }
  if (braking.kind === "flux") {
    return (
      <QuantityField
        label="Flux"
        quantity={quantities.percent}
        value={braking.fluxPct}
        note="Of the rated flux; the output voltage bounds it near base speed."
        onCommit={(v) => edit("braking flux", change({ braking: { ...braking, fluxPct: v ?? 120 } }))}
      />
    );
  }
  if (braking.kind === "dc-injection") {
    return (
      <QuantityField
        label="Direct current"
        quantity={quantities.percent}
        value={braking.currentPct}
        note="Of the motor’s rated current; all energy heats the rotor."
        onCommit={(v) => edit("direct current", change({ braking: { ...braking, currentPct: v ?? 100 } }))}
      />
    );
  }
  return braking.kind === "to-line" && item && !item.returnsToLine ? (
    <p className="text-fails">This front end lets power pass one way only.</p>
  ) : null;
}
