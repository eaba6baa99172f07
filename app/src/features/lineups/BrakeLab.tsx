import { useState } from "react";
import { api, type Brake } from "../../api/client";
import { amber, blue, ink, plum, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { Failed, Loading } from "../../components/States";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { Missing } from "../bench/FigureList";
import { faultNames, outcome, phaseNames, phaseStarts } from "./brakeWords";
import { useLab } from "./useLab";

type Run = NonNullable<Brake["run"]>;
type Fault = Run["fault"];

const size = { width: 700, margin: { top: 8, right: 8, bottom: 14, left: 8 } } as const;

/** The sequence laboratory: start, movement and stop with the brake, in order or with a fault. */
export function BrakeLab({ point }: { readonly point: string }) {
  const [fault, setFault] = useState<Fault>("none");
  const [down, setDown] = useState(false);
  const query = useLab<Brake>(["brake", point, fault, down], (project) =>
    api.GET("/api/projects/{id}/drive-points/{point}/brake", {
      params: { path: { id: project, point }, query: { fault, down } },
    }),
  );
  return (
    <section aria-label="Laboratory of the brake" className="min-w-0">
      <div className="flex flex-wrap items-center gap-1.5">
        {(Object.keys(faultNames) as Fault[]).map((f) => (
          <button
            key={f}
            type="button"
            className={`button ${f === fault ? "button-main" : ""}`}
            aria-pressed={f === fault}
            onClick={() => setFault(f)}
          >
            {faultNames[f]}
          </button>
        ))}
        <button type="button" className="button" aria-pressed={down} onClick={() => setDown(!down)}>
          {down ? "↓ lowers" : "↑ lifts"}
        </button>
      </div>
      {query.isPending ? (
        <Loading what="sequence" />
      ) : query.isError ? (
        <Failed what="The sequence could not be computed." detail={query.error.message} />
      ) : query.data.run === null ? (
        <Missing names={query.data.missing} />
      ) : (
        <Sequence brake={query.data} run={query.data.run} />
      )}
    </section>
  );
}

function Sequence({ brake, run }: { readonly brake: Brake; readonly run: Run }) {
  const units = useUnits();
  const starts = phaseStarts(run.trace);
  const unit = brake.hangs ? "m" : "turns";
  return (
    <>
      <ul className="mt-1 text-[13px]" aria-label="Outcome">
        {outcome(run, brake.hangs, units).map((w) => (
          <li key={w}>{w}</li>
        ))}
      </ul>
      <Chart
        title="Torque"
        rows={run.trace}
        along={{ key: "timeS", kind: "time", steps: 8 }}
        left={{ label: "Nm", domain: ["auto", (high: number) => 20 * Math.ceil((1.5 * Math.max(high, 1)) / 20)] }}
        series={[{ key: "motorNm", name: "motor", unit: "Nm", colour: plum, width: 1.8 }]}
        columns={[
          { head: "phase", of: (m) => phaseNames[m.phase] },
          { head: "brake", of: (m) => (m.clamped > 0 ? "closed" : "open") },
        ]}
        levels={[
          ...starts.map((s, i) => ({
            x: s.timeS,
            colour: soft,
            dash: "2 3",
            label: s.name,
            labelDy: 12 * (i % 4) - 4,
          })),
          ...(brake.gravityNm === null ? [] : [{ y: brake.gravityNm, colour: ink, dash: "5 3", name: "hanging load" }]),
        ]}
        {...size}
        height={200}
      />
      <Chart
        title="Speed and brake"
        rows={run.trace}
        along={{ key: "timeS", kind: "time", steps: 8 }}
        left={{ label: "rpm" }}
        right={{ domain: [0, 1.2], ticks: [0, 1], format: (v) => (v > 0 ? "closed" : "open"), width: 52 }}
        series={[
          { key: "clamped", name: "brake closed (right)", colour: amber, shape: "step", onRight: true },
          { key: "speedRpm", name: "speed", unit: "rpm", colour: blue, width: 1.8 },
        ]}
        {...size}
        height={150}
      />
      <Chart
        title={brake.hangs ? "Position of the load" : "Position of the shaft"}
        rows={run.trace}
        along={{ key: "timeS", kind: "time", steps: 8 }}
        left={{ label: unit }}
        series={[{ key: "position", name: "position", unit, colour: plum, width: 1.8, digits: 4 }]}
        levels={[{ y: 0, colour: soft }]}
        {...size}
        height={130}
      />
      <p className="text-[12px] text-soft">
        {brake.coilA !== null && `Coil ${n(brake.coilA, 3)} A. `}
        {brake.suppressionMs !== null && `Its suppression delays the closing by ${n(brake.suppressionMs, 3)} ms. `}
        {brake.hangs && brake.fallMPerS2 !== null && `The free load falls with ${units.say(brake.fallMPerS2, "m/s²")}.`}
      </p>
    </>
  );
}
