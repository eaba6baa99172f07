import { useState } from "react";
import type { HarmonicStudy } from "../../api/client";
import { blue, plum, red, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { peakOf, settledWords, spoiledBy } from "./harmonicWords";
import { PhasorPicture } from "./PhasorPicture";

const size = { width: 760, margin: { top: 8, right: 8, bottom: 14, left: 8 } } as const;

/** Why the figures are what they are: who adds and cancels, what resonates, how the curves look. */
export function Explained({
  study,
  onBus,
}: {
  readonly study: HarmonicStudy;
  readonly onBus: (busId: string) => void;
}) {
  const { buses } = useProject().project.specification.distribution;
  const [wanted, setWanted] = useState<number>();
  const orders = study.stories.map((s) => s.order);
  const largest = [...study.stories].sort((a, b) => b.vectorA - a.vectorA)[0]?.order;
  const order = wanted !== undefined && orders.includes(wanted) ? wanted : largest;
  return (
    <section aria-label="Why" className="mt-4">
      <h3 className="section-title">Who adds, who cancels at the coupling</h3>
      {order === undefined ? (
        <p className="text-soft">No front end draws harmonics in this scenario.</p>
      ) : (
        <div className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-8">
          <div>
            <div className="mb-1 flex flex-wrap items-center gap-1">
              <span className="text-soft">order</span>
              {orders.map((h) => (
                <button
                  key={h}
                  type="button"
                  className={`button px-2 ${h === order ? "button-main" : ""}`}
                  aria-pressed={h === order}
                  onClick={() => setWanted(h)}
                >
                  {h}
                </button>
              ))}
            </div>
            <PhasorPicture study={study} order={order} />
          </div>
          <Shares study={study} />
        </div>
      )}
      {study.fronts.length > 0 && (
        <>
          <h3 className="section-title mt-4">What spoils the front ends</h3>
          <ul className="text-[13px]" aria-label="What spoils the front ends">
            {study.fronts.map((f) => (
              <li key={f.tag}>{spoiledBy(f)}</li>
            ))}
          </ul>
        </>
      )}
      <p className={`mt-2 text-[13px] ${study.iteration.settled ? "text-soft" : "text-fails"}`}>
        {settledWords(study.iteration)}
      </p>
      <div className="mt-4 flex items-center gap-2">
        <h3 className="section-title">Impedance and a cycle at</h3>
        <select
          className="entry w-56"
          aria-label="Bus looked at"
          value={study.busId}
          onChange={(e) => onBus(e.target.value)}
        >
          {buses.map((b) => (
            <option key={b.id} value={b.id}>
              {b.name}
            </option>
          ))}
        </select>
      </div>
      <ul className="text-[13px]" aria-label="Resonances">
        {study.peaks.length === 0 ? (
          <li className="text-soft">No capacitor bank lifts the impedance of this bus.</li>
        ) : (
          study.peaks.map((p) => <li key={p.order}>{peakOf(p, study.presentOrders)}</li>)
        )}
      </ul>
      <Scan study={study} />
      <Waves study={study} />
    </section>
  );
}

function Shares({ study }: { readonly study: HarmonicStudy }) {
  const most = Math.max(1, ...study.contributions.map((c) => Math.abs(c.sharePct)));
  return (
    <table className="table self-start" aria-label="Share of the harmonic current">
      <thead>
        <tr>
          <th>front end</th>
          <th className="num">share of TDD</th>
          <th />
          <th
            className="num"
            title="Change of the harmonic current at the coupling when it is taken out and all others settle anew"
          >
            taken out, A
          </th>
        </tr>
      </thead>
      <tbody>
        {study.contributions.map((c) => (
          <tr key={c.id}>
            <td>{c.tag}</td>
            <td className="num">{n(c.sharePct, 3)} %</td>
            <td className="w-40">
              <span
                className={`block h-2 ${c.sharePct < 0 ? "bg-holds" : "bg-plum"}`}
                style={{ width: `${(100 * Math.abs(c.sharePct)) / most}%` }}
                title={c.sharePct < 0 ? "cancels others" : undefined}
              />
            </td>
            <td className="num">{c.takenOutChangeA === null ? "–" : signed(c.takenOutChangeA)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A change with its sign. */
function signed(change: number): string {
  return `${change < 0 ? "−" : "+"}${n(Math.abs(change), 3)}`;
}

function Scan({ study }: { readonly study: HarmonicStudy }) {
  const rows = study.scan.filter((p) => p.order <= 30);
  return (
    <Chart
      title="Impedance over the frequency"
      rows={rows}
      along={{
        key: "order",
        kind: "number",
        label: "times the line frequency",
        domain: [0, 30],
        ticks: [1, 5, 7, 11, 13, 17, 19, 23, 25, 29],
      }}
      left={{ label: "mΩ" }}
      series={[
        { key: "withoutBanksMohm", name: "without capacitor banks", unit: "mΩ", colour: soft, dash: "5 3" },
        { key: "mohm", name: "as connected", unit: "mΩ", colour: plum, width: 1.8 },
      ]}
      levels={study.presentOrders
        .filter((h) => h <= 30)
        .map((h) => ({ x: h, colour: red, opacity: 0.35, name: "orders drawn" }))}
      {...size}
      height={230}
    />
  );
}

function Waves({ study }: { readonly study: HarmonicStudy }) {
  const rows = study.waves.filter((_, i) => i % 2 === 0);
  return (
    <Chart
      title="A cycle at the bus, phase A"
      rows={rows}
      along={{
        key: "angleDeg",
        kind: "number",
        label: "angle, degrees",
        domain: [0, 360],
        ticks: [0, 60, 120, 180, 240, 300, 360],
      }}
      left={{ label: "A" }}
      right={{ label: "% of crest", domain: [-120, 120], width: 56 }}
      series={[
        {
          key: "voltagePct",
          name: "voltage of the bus (right)",
          unit: "% of crest",
          colour: blue,
          width: 1.2,
          onRight: true,
        },
        { key: "currentA", name: "current into the bus (left)", unit: "A", colour: plum, width: 1.8 },
      ]}
      levels={[{ y: 0, colour: soft }]}
      {...size}
      height={210}
    />
  );
}
