import { useState } from "react";
import { api, type CheckKey, type HarmonicStudy, type ScenarioResult } from "../../api/client";
import { plum, red } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { Empty } from "../../components/States";
import { StudyProgress } from "../../components/StudyProgress";
import { n } from "../../lib/format";
import { CheckList } from "../bench/CellChecks";
import { useProject } from "../../project/ProjectContext";
import { useLongStudy } from "../../project/useLongStudy";
import { Explained } from "./Explained";
import { MeasuredSheet } from "./MeasuredSheet";
import { MitigationSheet } from "./MitigationSheet";
import { ScenarioMatrix } from "./ScenarioMatrix";

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
  const [bus, setBus] = useState<string>();
  const [measuring, setMeasuring] = useState(false);
  const [mitigating, setMitigating] = useState(false);
  const long = useLongStudy<HarmonicStudy>(
    ["harmonics", scenario?.scenarioId, bus],
    (id, mine, signal) =>
      api.GET("/api/projects/{id}/harmonics", {
        params: {
          path: { id },
          query: {
            study: mine,
            ...(scenario && { scenarioId: scenario.scenarioId }),
            ...(bus !== undefined && { busId: bus }),
          },
        },
        signal,
      }),
    scenario !== undefined,
  );
  const study = long.query;
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">Harmonics of the plant</h2>
      <p className="text-soft">
        PCC: {nameOf(distribution.buses, project.specification.pcc.busId)}
        {supply?.demandA != null && ` · I_L ${n(supply.demandA, 4)} A (${supply.demandOrigin})`}
        {supply?.shortCircuitRatio != null && ` · Isc/IL ${n(supply.shortCircuitRatio, 3)}`}
      </p>
      <CheckList
        checks={checks.filter((c) => c.id.startsWith("harmonics.") && c.verdict !== "not-applicable")}
        columns={2}
        onReason={onReason}
      />
      <button type="button" className="button mt-2" onClick={() => setMitigating(true)}>
        Mitigation workbench
      </button>
      {scenario && (
        <button type="button" className="button mt-2 ml-2" onClick={() => setMeasuring(true)}>
          Measured against computed
        </button>
      )}
      {study.data && (
        <ScenarioMatrix matrix={study.data.matrix} chosen={scenario?.scenarioId ?? ""} onChoose={setWanted} />
      )}
      {scenario && <StudyProgress study={long} what="explanation" />}
      {scenario ? (
        <>
          <ScenarioPictures scenario={scenario} />
          {study.data && <Explained study={study.data} onBus={setBus} />}
        </>
      ) : (
        <Empty>The fault level of the source is open: enter it on the plant page, or assume it infinite.</Empty>
      )}
      {measuring && scenario && <MeasuredSheet scenarioId={scenario.scenarioId} onClose={() => setMeasuring(false)} />}
      {mitigating && <MitigationSheet onClose={() => setMitigating(false)} />}
    </div>
  );
}

function ScenarioPictures({ scenario }: { readonly scenario: ScenarioResult }) {
  const { distribution } = useProject().project.specification;
  const orders = [...scenario.orders].map((o) => ({ ...o }));
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
          <Chart
            title={`Current by order, ${scenario.name}`}
            rows={orders}
            along={{ key: "order", kind: "names", label: "order", isEvery: true }}
            left={{ label: "% of I_L", width: 52 }}
            series={[
              { key: "currentPct", name: "% of I_L", colour: plum, shape: "bar" },
              { key: "currentLimitPct", name: "limit", unit: "%", colour: red, shape: "stairs" },
            ]}
            columns={[{ head: "A", of: (o) => n(o.currentA) }]}
            width={760}
            height={210}
          />
          <Chart
            title={`Voltage by order, ${scenario.name}`}
            rows={orders}
            along={{ key: "order", kind: "names", label: "order", isEvery: true }}
            left={{ label: "% of U", width: 52 }}
            series={[
              { key: "voltagePct", name: "% of nominal", colour: plum, shape: "bar" },
              { key: "voltageLimitPct", name: "limit", unit: "%", colour: red, shape: "stairs" },
            ]}
            width={760}
            height={190}
          />
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
