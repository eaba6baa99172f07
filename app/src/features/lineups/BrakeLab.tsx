import { useState } from "react";
import { CartesianGrid, ComposedChart, Line, ReferenceLine, XAxis, YAxis } from "recharts";
import { api, type Brake } from "../../api/client";
import { amber, blue, ink, plum, rule, soft, tick, tickText, timeAxis, yTitle } from "../../charts/axes";
import { Frame, NumberTable } from "../../charts/Frame";
import { Failed, Loading } from "../../components/States";
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
  const starts = phaseStarts(run.trace);
  const few = run.trace.filter((_, i) => i % 20 === 0);
  const unit = brake.hangs ? "m" : "turns";
  return (
    <>
      <ul className="mt-1 text-[13px]" aria-label="Outcome">
        {outcome(run, brake.hangs).map((w) => (
          <li key={w}>{w}</li>
        ))}
      </ul>
      <Frame
        title="Torque"
        legend={[
          { name: "motor", colour: plum, shape: "line" },
          { name: "hanging load", colour: ink, shape: "dash" },
        ]}
        table={
          <NumberTable
            heads={["s", "phase", "motor Nm", "rpm", unit, "brake"]}
            rows={few.map((m) => [
              n(m.timeS, 3),
              phaseNames[m.phase],
              n(m.motorNm, 3),
              n(m.speedRpm, 3),
              n(m.position, 3),
              m.clamped > 0 ? "closed" : "open",
            ])}
          />
        }
      >
        <ComposedChart {...size} height={200} data={[...run.trace]} accessibilityLayer={false}>
          <CartesianGrid stroke={rule} vertical={false} />
          <XAxis {...timeAxis(run.trace, 8)} />
          <YAxis
            tick={tick}
            width={56}
            label={yTitle("Nm")}
            domain={["auto", (high: number) => 20 * Math.ceil((1.5 * Math.max(high, 1)) / 20)]}
          />
          {starts.map((s, i) => (
            <ReferenceLine
              key={s.timeS}
              x={s.timeS}
              stroke={soft}
              strokeDasharray="2 3"
              label={{ value: s.name, position: "insideTopLeft", dy: 12 * (i % 4) - 4, fontSize: 11, fill: soft }}
            />
          ))}
          {brake.gravityNm !== null && <ReferenceLine y={brake.gravityNm} stroke={ink} strokeDasharray="5 3" />}
          <Line
            dataKey="motorNm"
            stroke={plum}
            strokeWidth={1.8}
            dot={false}
            activeDot={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </Frame>
      <Frame
        title="Speed and brake"
        legend={[
          { name: "speed", colour: blue, shape: "line" },
          { name: "brake closed (right)", colour: amber, shape: "line" },
        ]}
        table={<NumberTable heads={["s", "rpm"]} rows={few.map((m) => [n(m.timeS, 3), n(m.speedRpm, 3)])} />}
      >
        <ComposedChart {...size} height={150} data={[...run.trace]} accessibilityLayer={false}>
          <CartesianGrid stroke={rule} vertical={false} />
          <XAxis {...timeAxis(run.trace, 8)} />
          <YAxis yAxisId="rpm" tick={tick} width={56} label={yTitle("rpm")} />
          <YAxis
            yAxisId="brake"
            orientation="right"
            tick={tick}
            width={52}
            domain={[0, 1.2]}
            ticks={[0, 1]}
            tickFormatter={(v: number) => (v > 0 ? "closed" : "open")}
          />
          <Line
            yAxisId="brake"
            dataKey="clamped"
            type="stepAfter"
            stroke={amber}
            strokeWidth={1.6}
            dot={false}
            activeDot={false}
            isAnimationActive={false}
          />
          <Line
            yAxisId="rpm"
            dataKey="speedRpm"
            stroke={blue}
            strokeWidth={1.8}
            dot={false}
            activeDot={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </Frame>
      <Frame
        title={brake.hangs ? "Position of the load" : "Position of the shaft"}
        legend={[{ name: "position", colour: plum, shape: "line" }]}
        table={<NumberTable heads={["s", unit]} rows={few.map((m) => [n(m.timeS, 3), n(m.position, 4)])} />}
      >
        <ComposedChart {...size} height={130} data={[...run.trace]} accessibilityLayer={false}>
          <CartesianGrid stroke={rule} vertical={false} />
          <XAxis {...timeAxis(run.trace, 8)} />
          <YAxis tick={tick} width={56} label={yTitle(unit)} tickFormatter={tickText} />
          <ReferenceLine y={0} stroke={soft} />
          <Line
            dataKey="position"
            stroke={plum}
            strokeWidth={1.8}
            dot={false}
            activeDot={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </Frame>
      <p className="text-[12px] text-soft">
        {brake.coilA !== null && `Coil ${n(brake.coilA, 3)} A. `}
        {brake.suppressionMs !== null && `Its suppression delays the closing by ${n(brake.suppressionMs, 3)} ms. `}
        {brake.hangs && brake.fallMPerS2 !== null && `The free load falls with ${n(brake.fallMPerS2, 3)} m/s².`}
      </p>
    </>
  );
}
