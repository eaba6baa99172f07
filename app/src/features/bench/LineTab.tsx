import type { Bench } from "../../api/client";
import { plum, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { n } from "../../lib/format";
import { FigureList } from "./FigureList";
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
    return null;
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
      <Chart
        title="Line current, phase A"
        rows={line.waveform}
        along={{
          key: "angleDeg",
          kind: "number",
          label: "angle of the phase EMF, °",
          domain: [0, 360],
          ticks: [0, 60, 120, 180, 240, 300, 360],
        }}
        left={{ label: "A", width: 52 }}
        series={[
          { key: "fundamentalA", name: "its fundamental", unit: "A", colour: soft, dash: "4 3" },
          { key: "currentA", name: "current", unit: "A", colour: plum, width: 1.8 },
        ]}
        levels={[{ y: 0, colour: soft }]}
        height={170}
      />
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
      <Chart
        title="Spectrum, phase A"
        rows={orders}
        along={{
          key: "order",
          kind: "names",
          label: "order",
          isEvery: true,
          ...(orders.length > 17 ? { ticks: [5, 11, 17, 23, 29, 35, 41, 47] } : {}),
        }}
        left={{ label: "% of I₁", width: 52 }}
        series={[{ key: "pct", name: "% of the fundamental", colour: plum, shape: "bar" }]}
        columns={[{ head: "A rms", of: (o) => n(o.rmsA) }]}
        height={160}
      />
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
