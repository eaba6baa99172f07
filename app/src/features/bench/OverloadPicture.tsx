import type { Bench } from "../../api/client";
import { amber, ink, plum, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { n } from "../../lib/format";

/** Motor current in time against the continuous and the peak current, and the heat that overloads leave. */
export function OverloadPicture({ overload }: { readonly overload: NonNullable<Bench["overload"]> }) {
  const data = overload.trace.map((m, i) => ({
    timeS: m.timeS,
    currentA: i === overload.trace.length - 1 ? (overload.trace[i - 1]?.currentA ?? 0) : m.currentA,
    filledPct: m.filledPct,
  }));
  const top = Math.ceil(1.05 * Math.max(overload.peakA, ...data.map((d) => d.currentA)));
  return (
    <>
      <Chart
        title="Current in time"
        rows={data}
        along={{ key: "timeS", kind: "time", steps: 5 }}
        left={{ label: "A", domain: [0, top], width: 48 }}
        right={{
          domain: [0, Math.max(100, Math.ceil(overload.largestPct))],
          format: (v) => `${Math.round(v)} %`,
          width: 44,
        }}
        series={[
          { key: "filledPct", name: "heat of overload", unit: "%", colour: amber, onRight: true },
          { key: "currentA", name: "motor current", unit: "A", colour: plum, width: 2, shape: "step" },
        ]}
        levels={[
          { y: overload.continuousA, colour: ink, dash: "4 3", name: "continuous" },
          { y: overload.peakA, colour: soft, dash: "2 3", name: "peak" },
        ]}
        height={168}
      />
      <p className="text-[12px] text-soft">
        Heat of overloads: {n(overload.largestPct)} % of what it stands
        {overload.recovers ? "." : "; it does not recover from cycle to cycle."}
      </p>
    </>
  );
}
