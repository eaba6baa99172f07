import type { DrivePoint, FluidMachine, Load } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import { Entries, Entry, type ChangePart } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useUnits } from "../../fields/useUnits";
import { PumpCurveEntry } from "./loads/PumpCurveEntry";
import { VaneCurveEntry } from "./loads/VaneCurveEntry";
import { DutyEntry } from "./loads/DutyEntry";
import { kindNames, ofKind } from "./loads/kinds";
import { MechanicalEntry } from "./loads/MechanicalEntry";
import type { PointEdit } from "./usePointEdit";

/** What the machine is and how it works over the year. */
export function LoadEntry({
  point,
  edit,
  editKind,
}: {
  readonly point: DrivePoint;
  /** An edit of the loads of this kind. */
  readonly edit: PointEdit;
  /** An edit of every load that takes another kind. */
  readonly editKind: PointEdit;
}) {
  const { load } = point;
  return (
    <>
      <ChoiceField
        label="Machine"
        value={load.kind}
        choices={kindNames}
        onCommit={(kind) => editKind("kind of load", (p) => ({ ...p, load: ofKind(kind, p.load) }))}
      />
      {(load.kind === "fan" || load.kind === "pump") && <FluidEntry load={load} edit={edit} />}
      {"train" in load && <MechanicalEntry load={load} edit={edit} />}
    </>
  );
}

type Fluid = Extract<Load, { kind: "fan" | "pump" }>;

function FluidEntry({ load, edit }: { readonly load: Fluid; readonly edit: PointEdit }) {
  const c = load.common;
  const units = useUnits();
  const curved = load.kind === "pump" && (load.curve ?? []).length > 0;
  const common =
    (change: Partial<FluidMachine>) =>
    (p: DrivePoint): DrivePoint =>
      "common" in p.load ? { ...p, load: { ...p.load, common: { ...p.load.common, ...change } } } : p;
  const part: ChangePart<FluidMachine> = (change, what) => edit(what, common(change));
  const of =
    (kind: Fluid["kind"]): ChangePart<Fluid> =>
    (change, what) =>
      edit(what, (p) => (p.load.kind === kind ? { ...p, load: { ...p.load, ...change } as Fluid } : p));
  // Inlet vanes are a fan's; machines are staged on a path they share. What is set stays to be seen.
  const controls = Object.fromEntries(
    Object.entries(fields.FluidMachine.presentControl.choices).filter(
      ([key]) =>
        key === c.presentControl ||
        ((key !== "inlet-vanes" || load.kind === "fan") && (key !== "staged" || c.path.kind === "common")),
    ),
  );
  return (
    <>
      {!curved && <Entries of={fields.FluidMachine} value={c} keys={["ratedShaftKw"]} change={part} />}
      <Entry
        field={fields.FluidMachine.ratedFlowM3PerS}
        value={c.ratedFlowM3PerS}
        quantity={units.quantity(load.kind === "fan" ? "m³/s" : "m³/s/liquid")}
        onCommit={(v: number | null) => edit("rated flow", common({ ratedFlowM3PerS: v }))}
      />
      {load.kind === "fan" ? (
        <Entries of={fields.LoadFanLoad} value={load} keys={["ratedPressurePa"]} change={of("fan")} />
      ) : (
        <Entries
          of={fields.LoadPumpLoad}
          value={load}
          keys={["ratedHeadM", "staticHeadM", "densityKgPerM3"]}
          change={of("pump")}
        />
      )}
      <Entries
        of={fields.FluidMachine}
        value={c}
        keys={curved ? ["ratedSpeedRpm"] : ["ratedEfficiency", "ratedSpeedRpm"]}
        change={part}
      />
      {!(load.kind === "pump" && typeof load.staticHeadM === "number") && (
        <Entry
          field={fields.FluidMachine.staticFraction}
          label={load.kind === "fan" ? "Static pressure share" : "Static head share"}
          value={c.staticFraction}
          onCommit={(v: number | null) => edit("static share", common({ staticFraction: v }))}
        />
      )}
      {!curved && (
        <Entry
          field={fields.FluidMachine.shutOffPu}
          label={load.kind === "fan" ? "Pressure at no flow" : "Head at no flow"}
          value={c.shutOffPu}
          onCommit={(v: number | null) => edit("shut-off value", common({ shutOffPu: v }))}
        />
      )}
      {load.kind === "pump" && (
        <PumpCurveEntry
          load={load}
          onChange={(curve) =>
            edit("curve of the pump", (p) =>
              p.load.kind === "pump" ? { ...p, load: { ...p.load, curve: [...curve] } } : p,
            )
          }
        />
      )}
      <Entries of={fields.FluidMachine} value={c} keys={["inertiaKgM2", "startTimeS", "stopTimeS"]} change={part} />
      <Entry
        field={{ ...fields.FluidMachine.presentControl, choices: controls }}
        value={c.presentControl}
        onCommit={(v: FluidMachine["presentControl"]) => edit("existing flow control", common({ presentControl: v }))}
      />
      {c.presentControl === "inlet-vanes" && (
        <VaneCurveEntry
          curve={c.vaneCurve}
          onChange={(vaneCurve) => edit("curve with inlet vanes", common({ vaneCurve: [...vaneCurve] }))}
        />
      )}
      <PathEntry
        path={c.path}
        onChange={(change) =>
          edit("path of the flow", (p) =>
            "common" in p.load
              ? { ...p, load: { ...p.load, common: { ...p.load.common, path: change(p.load.common.path) } } }
              : p,
          )
        }
      />
      <DutyEntry level="flow" duty={c.duty} onChange={(duty) => edit("hours at each flow", common({ duty }))} />
    </>
  );
}

function PathEntry({
  path,
  onChange,
}: {
  readonly path: FluidMachine["path"];
  readonly onChange: (change: (now: FluidMachine["path"]) => FluidMachine["path"]) => ReturnType<PointEdit>;
}) {
  return (
    <>
      <ChoiceField
        label="Header or duct"
        value={path.kind}
        choices={{ own: "of its own", common: "shared with machines of its kind" }}
        note={
          path.kind === "common"
            ? "The head follows the total flow: at half speed neither may deliver anything."
            : undefined
        }
        onCommit={(kind) => onChange(() => (kind === "own" ? { kind } : { kind, running: 2, neededAtRatedFlow: 1 }))}
      />
      {path.kind === "common" && (
        <Entries
          of={fields.ParallelPathCommon}
          value={path}
          keys={["running", "neededAtRatedFlow"]}
          change={(change) => onChange((now) => (now.kind === "common" ? { ...now, ...change } : now))}
        />
      )}
    </>
  );
}
