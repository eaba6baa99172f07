import { CartesianGrid, ComposedChart, Line, ReferenceLine, XAxis, YAxis } from "recharts";
import type { Bench } from "../../api/client";
import { amber, bench as size, ink, plum, rule, soft, tick, tickText, timeAxis, yTitle } from "../../charts/axes";
import { Frame, NumberTable } from "../../charts/Frame";
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
      <Frame
        title="Current in time"
        legend={[
          { name: "motor current", colour: plum, shape: "line" },
          { name: "continuous", colour: ink, shape: "dash" },
          { name: "peak", colour: soft, shape: "dash" },
          { name: "heat of overload", colour: amber, shape: "line" },
        ]}
        table={
          <NumberTable
            heads={["s", "A", "heat %"]}
            rows={data.map((d) => [n(d.timeS), n(d.currentA), n(d.filledPct)])}
          />
        }
      >
        <ComposedChart {...size} height={168} data={data} accessibilityLayer={false}>
          <CartesianGrid stroke={rule} vertical={false} />
          <XAxis {...timeAxis(data, 5)} />
          <YAxis yAxisId="a" tick={tick} domain={[0, top]} tickFormatter={tickText} width={48} label={yTitle("A")} />
          <YAxis
            yAxisId="heat"
            orientation="right"
            tick={tick}
            domain={[0, Math.max(100, Math.ceil(overload.largestPct))]}
            tickFormatter={(v: number) => `${Math.round(v)} %`}
            width={44}
          />
          <ReferenceLine yAxisId="a" y={overload.continuousA} stroke={ink} strokeDasharray="4 3" />
          <ReferenceLine yAxisId="a" y={overload.peakA} stroke={soft} strokeDasharray="2 3" />
          <Line
            yAxisId="heat"
            dataKey="filledPct"
            stroke={amber}
            strokeWidth={1.6}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            yAxisId="a"
            dataKey="currentA"
            type="stepAfter"
            stroke={plum}
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </Frame>
      <p className="text-[12px] text-soft">
        Heat of overloads: {n(overload.largestPct)} % of what it stands
        {overload.recovers ? "." : "; it does not recover from cycle to cycle."}
      </p>
    </>
  );
}
