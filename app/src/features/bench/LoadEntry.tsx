import type { DrivePoint, FluidMachine, Load } from "../../api/client";
import { ChoiceField, QuantityField } from "../../components/Fields";
import { quantities } from "../../lib/units";
import { VaneCurveEntry } from "./loads/VaneCurveEntry";
import { DutyEntry } from "./loads/DutyEntry";
import { kindNames, ofKind } from "./loads/kinds";
import { MechanicalEntry } from "./loads/MechanicalEntry";
import type { PointEdit } from "./usePointEdit";

/** What the machine is and how it works over the year. */
export function LoadEntry({ point, edit }: { readonly point: DrivePoint; readonly edit: PointEdit }) {
  const { load } = point;
  return (
    <>
      <ChoiceField
        label="Machine"
        value={load.kind}
        choices={kindNames}
        onCommit={(kind) => edit("kind of load", (p) => ({ ...p, load: ofKind(kind, p.load) }))}
      />
      {(load.kind === "fan" || load.kind === "pump") && <FluidEntry load={load} edit={edit} />}
      {"train" in load && <MechanicalEntry load={load} edit={edit} />}
    </>
  );
}

type Fluid = Extract<Load, { kind: "fan" | "pump" }>;

function FluidEntry({ load, edit }: { readonly load: Fluid; readonly edit: PointEdit }) {
  const c = load.common;
  const common =
    (change: Partial<FluidMachine>) =>
    (p: DrivePoint): DrivePoint =>
      "common" in p.load ? { ...p, load: { ...p.load, common: { ...p.load.common, ...change } } } : p;
  const fan =
    (ratedPressurePa: number | null) =>
    (p: DrivePoint): DrivePoint =>
      p.load.kind === "fan" ? { ...p, load: { ...p.load, ratedPressurePa } } : p;
  const pump =
    (change: { ratedHeadM?: number | null; densityKgPerM3?: number | null }) =>
    (p: DrivePoint): DrivePoint =>
      p.load.kind === "pump" ? { ...p, load: { ...p.load, ...change } } : p;
  return (
    <>
      <QuantityField
        label="Rated flow"
        optional
        quantity={load.kind === "fan" ? quantities.flowM3PerS : quantities.flowM3PerH}
        value={c.ratedFlowM3PerS}
        onCommit={(v) => edit("rated flow", common({ ratedFlowM3PerS: v }))}
      />
      {load.kind === "fan" ? (
        <QuantityField
          label="Rated pressure rise"
          optional
          quantity={quantities.pressurePa}
          value={load.ratedPressurePa}
          onCommit={(v) => edit("rated pressure", fan(v))}
        />
      ) : (
        <>
          <QuantityField
            label="Rated head"
            optional
            quantity={quantities.headM}
            value={load.ratedHeadM}
            onCommit={(v) => edit("rated head", pump({ ratedHeadM: v }))}
          />
          <QuantityField
            label="Density"
            optional
            quantity={quantities.densityKgPerM3}
            value={load.densityKgPerM3}
            onCommit={(v) => edit("density", pump({ densityKgPerM3: v }))}
          />
        </>
      )}
      <QuantityField
        label="Machine efficiency"
        optional
        quantity={quantities.fractionPercent}
        value={c.ratedEfficiency}
        onCommit={(v) => edit("machine efficiency", common({ ratedEfficiency: v }))}
      />
      <QuantityField
        label="Rated speed"
        optional
        quantity={quantities.speedRpm}
        value={c.ratedSpeedRpm}
        onCommit={(v) => edit("rated speed", common({ ratedSpeedRpm: v }))}
      />
      <QuantityField
        label={load.kind === "fan" ? "Static pressure share" : "Static head share"}
        note="With a static share the cube law does not hold."
        optional
        quantity={quantities.fractionPercent}
        value={c.staticFraction}
        onCommit={(v) => edit("static share", common({ staticFraction: v }))}
      />
      <QuantityField
        label={load.kind === "fan" ? "Pressure at no flow" : "Head at no flow"}
        note="Per cent of the rated; 125 % is common."
        optional
        quantity={quantities.fractionPercent}
        value={c.shutOffPu}
        onCommit={(v) => edit("shut-off value", common({ shutOffPu: v }))}
      />
      <QuantityField
        label="Inertia"
        optional
        quantity={quantities.inertiaKgM2}
        value={c.inertiaKgM2}
        onCommit={(v) => edit("inertia", common({ inertiaKgM2: v }))}
      />
      <QuantityField
        label="Start time"
        optional
        quantity={quantities.timeS}
        value={c.startTimeS}
        onCommit={(v) => edit("start time", common({ startTimeS: v }))}
      />
      <QuantityField
        label="Stop time"
        optional
        placeholder="coasts"
        quantity={quantities.timeS}
        value={c.stopTimeS ?? null}
        onCommit={(v) => edit("stop time", common({ stopTimeS: v }))}
      />
      <ChoiceField
        label="Flow control today"
        value={c.presentControl}
        choices={
          {
            "not-stated": "not stated",
            "outlet-throttle": load.kind === "fan" ? "outlet damper" : "throttling valve",
            ...(load.kind === "fan" ? { "inlet-vanes": "inlet vanes" } : {}),
            bypass: "bypass",
            "on-off": "on and off",
            "two-speed-half": "two speeds 1 : 2",
            "two-speed-two-thirds": "two speeds 2 : 3",
            ...(c.path.kind === "common" ? { staged: "machines staged" } : {}),
          } as Record<FluidMachine["presentControl"], string>
        }
        onCommit={(v) => edit("present control", common({ presentControl: v }))}
      />
      {c.presentControl === "inlet-vanes" && (
        <VaneCurveEntry
          curve={c.vaneCurve}
          onChange={(vaneCurve) => edit("curve with inlet vanes", common({ vaneCurve: [...vaneCurve] }))}
        />
      )}
      <PathEntry path={c.path} onChange={(path) => edit("path of the flow", common({ path }))} />
      <DutyEntry level="flow" duty={c.duty} onChange={(duty) => edit("hours at each flow", common({ duty }))} />
    </>
  );
}

function PathEntry({
  path,
  onChange,
}: {
  readonly path: FluidMachine["path"];
  readonly onChange: (path: FluidMachine["path"]) => ReturnType<PointEdit>;
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
        onCommit={(kind) => onChange(kind === "own" ? { kind } : { kind, running: 2, neededAtRatedFlow: 1 })}
      />
      {path.kind === "common" && (
        <>
          <QuantityField
            label="Machines running together"
            quantity={quantities.plain}
            value={path.running}
            onCommit={(v) => onChange({ ...path, running: Math.round(v ?? 0) })}
          />
          <QuantityField
            label="Needed for rated flow"
            quantity={quantities.plain}
            value={path.neededAtRatedFlow}
            onCommit={(v) => onChange({ ...path, neededAtRatedFlow: Math.round(v ?? 0) })}
          />
        </>
      )}
    </>
  );
}
