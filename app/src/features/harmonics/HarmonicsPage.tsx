import { useState } from "react";
import { Bar, CartesianGrid, ComposedChart, Line, XAxis, YAxis } from "recharts";
import type { ScenarioResult, CheckKey } from "../../api/client";
import { plum, red, rule, tick, xTitle, yTitle } from "../../components/charts/axes";
import { Frame, NumberTable } from "../../components/charts/Frame";
import { Empty } from "../../components/States";
import { n } from "../../lib/format";
import { CheckList } from "../bench/CellChecks";
import { useProject } from "../project/ProjectContext";

/** Currents and voltages at the point of common coupling, order by order, against their limits. */
export function HarmonicsPage({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { project } = useProject();
  const { scenarios, supply, checks } = project.assessment;
  const { distribution } = project.specification;
  const [wanted, setWanted] = useState<string>();
  // Opens where it is worst.
  const worst = scenarios.reduce<ScenarioResult | undefined>(
    (found, s) => (found && found.harmonicA >= s.harmonicA ? found : s),
    undefined,
  );
  const scenario = scenarios.find((s) => s.scenarioId === wanted) ?? worst;
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">Harmonics at the point of common coupling</h2>
      <p className="text-soft">
        PCC: {nameOf(distribution.buses, project.specification.pcc.busId)}
        {supply?.demandA != null && ` · I_L ${n(supply.demandA, 4)} A (${supply.demandOrigin})`}
        {supply?.shortCircuitRatio != null && ` · Isc/IL ${n(supply.shortCircuitRatio, 3)}`}
      </p>
      <CheckList checks={checks.filter((c) => c.id.startsWith("harmonics."))} onReason={onReason} />
      {scenarios.length > 1 && (
        <label className="mt-3 flex items-center gap-2">
          Scenario
          <select className="entry w-56" value={scenario?.scenarioId} onChange={(e) => setWanted(e.target.value)}>
            {scenarios.map((s) => (
              <option key={s.scenarioId} value={s.scenarioId}>
                {s.name}
              </option>
            ))}
          </select>
        </label>
      )}
      {scenario ? (
        <ScenarioPictures scenario={scenario} />
      ) : (
        <Empty>The fault level of the source is open: enter it on the plant page, or assume it infinite.</Empty>
      )}
    </div>
  );
}

function ScenarioPictures({ scenario }: { readonly scenario: ScenarioResult }) {
  const { distribution } = useProject().project.specification;
  const orders = [...scenario.orders].map((o) => ({ ...o }));
  const table = (
    <NumberTable
      heads={["order", "current A", "% of I_L", "limit %", "voltage %", "limit %"]}
      rows={orders.map((o) => [
        String(o.order),
        n(o.currentA),
        n(o.currentPct),
        n(o.currentLimitPct),
        n(o.voltagePct),
        n(o.voltageLimitPct),
      ])}
    />
  );
  return (
    <>
      {scenario.unsettled.length > 0 && (
        <div className="my-2 border-l-4 border-fails bg-card p-2">
          <strong>Without a one-cycle steady state, not in the sums:</strong>
          <ul className="list-disc pl-5">
            {scenario.unsettled.map((u) => (
              <li key={u}>{u}</li>
            ))}
          </ul>
        </div>
      )}
      <dl className="my-3 grid w-fit grid-cols-4 gap-x-8 gap-y-1">
        {(
          [
            ["TDD (of demand current)", `${n(scenario.tddPct)} % of ${n(scenario.tddLimitPct)} %`],
            ["THDi (of present current)", `${n(scenario.thdiPct)} %`],
            ["THDv at the PCC", `${n(scenario.thdvPct)} % of ${n(scenario.thdvLimitPct)} %`],
            ["Current, rms", `${n(scenario.rmsA, 4)} A`],
            ["Rectifiers, DC load", `${n(scenario.rectifierKw, 4)} kW`],
            ["Harmonic current", `${n(scenario.harmonicA, 4)} A`],
            ...scenario.transformers.map(
              (t) =>
                [
                  `${nameOf(distribution.transformers, t.transformerId)}, loading`,
                  `${n(t.loadingPct, 3)} %, F_HL ${n(t.harmonicLossFactor, 3)}`,
                ] as const,
            ),
            ...scenario.buses.map(
              (b) => [`THDv at ${nameOf(distribution.buses, b.busId)}`, `${n(b.thdvPct)} %`] as const,
            ),
          ] as readonly (readonly [string, string])[]
        ).map(([name, value]) => (
          <div key={name}>
            <dt className="text-[12px] text-soft">{name}</dt>
            <dd className="font-mono">{value}</dd>
          </div>
        ))}
      </dl>
      {orders.length === 0 ? (
        <Empty>No rectifier runs in this scenario.</Empty>
      ) : (
        <>
          <Frame
            title={`Current by order, ${scenario.name}`}
            legend={[
              { name: "% of I_L", colour: plum, shape: "bar" },
              { name: "limit", colour: red, shape: "line" },
            ]}
            table={table}
          >
            <ComposedChart
              width={760}
              height={210}
              data={orders}
              margin={{ top: 8, right: 8, bottom: 14, left: 8 }}
              accessibilityLayer={false}
            >
              <CartesianGrid stroke={rule} vertical={false} />
              <XAxis dataKey="order" tick={tick} interval={0} height={34} label={xTitle("order")} />
              <YAxis tick={tick} width={52} label={yTitle("% of I_L")} />
              <Bar dataKey="currentPct" fill={plum} isAnimationActive={false} />
              <Line
                dataKey="currentLimitPct"
                stroke={red}
                type="step"
                strokeWidth={1.6}
                dot={false}
                isAnimationActive={false}
              />
            </ComposedChart>
          </Frame>
          <Frame
            title={`Voltage by order, ${scenario.name}`}
            legend={[
              { name: "% of nominal", colour: plum, shape: "bar" },
              { name: "limit", colour: red, shape: "line" },
            ]}
            table={table}
          >
            <ComposedChart
              width={760}
              height={190}
              data={orders}
              margin={{ top: 8, right: 8, bottom: 14, left: 8 }}
              accessibilityLayer={false}
            >
              <CartesianGrid stroke={rule} vertical={false} />
              <XAxis dataKey="order" tick={tick} interval={0} height={34} label={xTitle("order")} />
              <YAxis tick={tick} width={52} label={yTitle("% of U")} />
              <Bar dataKey="voltagePct" fill={plum} isAnimationActive={false} />
              <Line
                dataKey="voltageLimitPct"
                stroke={red}
                type="step"
                strokeWidth={1.6}
                dot={false}
                isAnimationActive={false}
              />
            </ComposedChart>
          </Frame>
        </>
      )}
      <p className="text-[12px] text-soft">
        Interharmonics and the band from 2 to 150 kHz are not computed. Linear load is taken to draw no harmonic
        current.
      </p>
    </>
  );
}

const nameOf = (elements: readonly { readonly id: string; readonly name: string }[], id: string): string =>
  elements.find((e) => e.id === id)?.name ?? id;
