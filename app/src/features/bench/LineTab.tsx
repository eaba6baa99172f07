import { Bar, BarChart, CartesianGrid, ComposedChart, Line, ReferenceLine, XAxis, YAxis } from "recharts";
import type { Bench } from "../../api/client";
import { bench as size, plum, rule, soft, tick, tickText, xTitle, yTitle } from "../../charts/axes";
import { Frame, NumberTable } from "../../charts/Frame";
import { n } from "../../lib/format";
import { FigureList, Missing } from "./FigureList";
import { PowerTriangle } from "./PowerTriangle";
import type { Reasoned } from "./ReasonSheet";

const isUnbalanced = (phases: readonly { readonly rmsA: number }[]) =>
  Math.max(...phases.map((p) => p.rmsA)) > 1.001 * Math.min(...phases.map((p) => p.rmsA));

/** Line current: one cycle and its spectrum, solved with the other drives of the bus. */
export function LineTab({
  bench,
  onFigure,
}: {
  readonly bench: Bench;
  readonly onFigure: (subject: Reasoned) => void;
}) {
  const line = bench.lineCurrent;
  if (!line) {
    return (
      <Missing
        names={bench.missing.length > 0 ? bench.missing : ["fault level of the source, or a scenario in which it runs"]}
      />
    );
  }
  if (line.unsettled) {
    return (
      <p className="border-l-4 border-fails bg-card p-2">
        <strong>No one-cycle steady state:</strong> {line.unsettled}
      </p>
    );
  }
  const orders = line.orders.filter((o) => o.order > 1);
  return (
    <>
      <p className="text-[12px] text-soft">
        Scenario: {line.scenario}; {line.provenance}.
      </p>
      <Frame
        title="Line current, phase A"
        legend={[
          { name: "current", colour: plum, shape: "line" },
          { name: "its fundamental", colour: soft, shape: "dash" },
        ]}
        table={
          <NumberTable
            heads={["angle °", "current A", "fundamental A"]}
            rows={line.waveform
              .filter((_, i) => i % 6 === 0)
              .map((p) => [n(p.angleDeg), n(p.currentA), n(p.fundamentalA)])}
          />
        }
      >
        <ComposedChart {...size} height={170} data={[...line.waveform]} accessibilityLayer={false}>
          <CartesianGrid stroke={rule} vertical={false} />
          <XAxis
            dataKey="angleDeg"
            type="number"
            domain={[0, 360]}
            ticks={[0, 60, 120, 180, 240, 300, 360]}
            tick={tick}
            label={xTitle("angle of the phase EMF, °")}
            height={34}
          />
          <YAxis tick={tick} width={52} label={yTitle("A")} tickFormatter={tickText} />
          <ReferenceLine y={0} stroke={soft} />
          <Line dataKey="fundamentalA" stroke={soft} strokeDasharray="4 3" dot={false} isAnimationActive={false} />
          <Line dataKey="currentA" stroke={plum} strokeWidth={1.8} dot={false} isAnimationActive={false} />
        </ComposedChart>
      </Frame>
      {isUnbalanced(line.phases) && (
        <table className="table">
          <caption className="text-left text-[12px] text-soft">The phases differ; the worst is judged.</caption>
          <thead>
            <tr>
              <th>phase</th>
              <th className="num">rms A</th>
              <th className="num">THDi %</th>
            </tr>
          </thead>
          <tbody>
            {line.phases.map((ph) => (
              <tr key={ph.phase}>
                <td>{ph.phase}</td>
                <td className="num">{n(ph.rmsA)}</td>
                <td className="num">{n(ph.thdiPct)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Frame
        title="Spectrum, phase A"
        legend={[{ name: "% of the fundamental", colour: plum, shape: "bar" }]}
        table={
          <NumberTable
            heads={["order", "A rms", "% of I1"]}
            rows={line.orders.map((o) => [String(o.order), n(o.rmsA), n(o.pct)])}
          />
        }
      >
        <BarChart {...size} height={160} data={orders} accessibilityLayer={false}>
          <CartesianGrid stroke={rule} vertical={false} />
          <XAxis
            dataKey="order"
            tick={tick}
            interval={0}
            {...(orders.length > 17 ? { ticks: [5, 11, 17, 23, 29, 35, 41, 47] } : {})}
            label={xTitle("order")}
            height={34}
          />
          <YAxis tick={tick} width={52} label={yTitle("% of I₁")} />
          <Bar dataKey="pct" fill={plum} isAnimationActive={false} />
        </BarChart>
      </Frame>
      <PowerTriangle
        power={line.power}
        displacement={line.displacementPowerFactor}
        truePowerFactor={line.truePowerFactor}
      />
      <FigureList
        figures={bench.figures}
        only={["line-current", "thdi", "power-factor", "dc-voltage"]}
        onFigure={onFigure}
      />
      <p className="mt-2 text-[12px] text-soft">
        THDi is this drive’s own ratio. The PCC is judged by TDD, against the plant’s demand current: see Harmonics.
      </p>
    </>
  );
}
