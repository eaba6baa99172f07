import type { DrivePoint, FluidMachine, Load } from "../../api/client";
import { CellQuantity, ChoiceField, QuantityField } from "../../components/Fields";
import { n } from "../../lib/format";
import { quantities } from "../../lib/units";
import type { PointEdit } from "./usePointEdit";

const empty: FluidMachine = {
  ratedFlowM3PerS: null,
  ratedEfficiency: null,
  ratedSpeedRpm: null,
  staticFraction: null,
  shutOffPu: null,
  inertiaKgM2: null,
  startTimeS: null,
  duty: [],
  presentControl: "not-stated",
};

/** What the machine is and how it works over the year. */
export function LoadEntry({ point, edit }: { readonly point: DrivePoint; readonly edit: PointEdit }) {
  const { load } = point;
  return (
    <>
      <ChoiceField
        label="Machine"
        value={load.kind}
        choices={{ unspecified: "not entered yet", fan: "fan", pump: "centrifugal pump" }}
        onCommit={(kind) => edit("kind of load", (p) => ({ ...p, load: ofKind(kind, p.load) }))}
      />
      {load.kind !== "unspecified" && <FluidEntry load={load} edit={edit} />}
    </>
  );
}

// What fans and pumps share is kept when one becomes the other.
function ofKind(kind: Load["kind"], was: Load): Load {
  const common = was.kind === "unspecified" ? empty : was.common;
  switch (kind) {
    case "unspecified":
      return { kind };
    case "fan":
      return { kind, common, ratedPressurePa: null };
    case "pump":
      return {
        kind,
        common: common.presentControl === "inlet-vanes" ? { ...common, presentControl: "not-stated" } : common,
        ratedHeadM: null,
        densityKgPerM3: null,
      };
  }
}

type Fluid = Exclude<Load, { kind: "unspecified" }>;

function FluidEntry({ load, edit }: { readonly load: Fluid; readonly edit: PointEdit }) {
  const c = load.common;
  const common =
    (change: Partial<FluidMachine>) =>
    (p: DrivePoint): DrivePoint =>
      p.load.kind === "unspecified" ? p : { ...p, load: { ...p.load, common: { ...p.load.common, ...change } } };
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
      <ChoiceField
        label="Flow control today"
        value={c.presentControl}
        choices={
          {
            "not-stated": "not stated",
            "outlet-throttle": load.kind === "fan" ? "outlet damper" : "throttling valve",
            ...(load.kind === "fan" ? { "inlet-vanes": "inlet vanes" } : {}),
            bypass: "bypass",
          } as Record<FluidMachine["presentControl"], string>
        }
        onCommit={(v) => edit("present control", common({ presentControl: v }))}
      />
      <DutyEntry duty={c.duty} onChange={(duty) => edit("hours at each flow", common({ duty }))} />
    </>
  );
}

function DutyEntry({
  duty,
  onChange,
}: {
  readonly duty: FluidMachine["duty"];
  readonly onChange: (duty: FluidMachine["duty"]) => ReturnType<PointEdit>;
}) {
  const total = duty.reduce((sum, d) => sum + d.hoursPerYear, 0);
  const replace = (index: number, change: Partial<FluidMachine["duty"][number]>) =>
    onChange(duty.map((d, i) => (i === index ? { ...d, ...change } : d)));
  return (
    <section aria-label="Hours at each flow">
      <h3 className="section-title">Hours at each flow</h3>
      <table className="table">
        <thead>
          <tr>
            <th>flow, % of rated</th>
            <th>hours a year</th>
            <th>
              <span className="sr-only">remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {duty.map((d, i) => (
            <tr key={i}>
              <td>
                <CellQuantity
                  label={`Flow of duty point ${i + 1}, %`}
                  quantity={quantities.fractionPercent}
                  value={d.flowPu}
                  onCommit={(flowPu) => replace(i, { flowPu })}
                />
              </td>
              <td>
                <CellQuantity
                  label={`Hours of duty point ${i + 1}`}
                  quantity={quantities.hours}
                  value={d.hoursPerYear}
                  onCommit={(hoursPerYear) => replace(i, { hoursPerYear })}
                />
              </td>
              <td>
                <button
                  type="button"
                  className="button"
                  aria-label={`Remove duty point ${i + 1}`}
                  onClick={() => void onChange(duty.filter((_, k) => k !== i))}
                >
                  ×
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 flex items-center justify-between">
        <button
          type="button"
          className="button"
          onClick={() => void onChange([...duty, { flowPu: duty.length === 0 ? 1 : 0.8, hoursPerYear: 0 }])}
        >
          Add duty point
        </button>
        <span className="text-soft">
          together <span className="font-mono">{n(total, 4)}</span> h of 8760 h
        </span>
      </p>
    </section>
  );
}
