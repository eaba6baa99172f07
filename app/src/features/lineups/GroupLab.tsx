import { useState } from "react";
import { api, type Group } from "../../api/client";
import { amber, blue, plum, red } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { Failed, Loading } from "../../components/States";
import { n } from "../../lib/format";
import { Missing } from "../bench/FigureList";
import { useProject } from "../../project/ProjectContext";
import { ScenarioChoice } from "./ScenarioChoice";
import { useLab } from "./useLab";

/** Currents of a group against its converter, and every motor's speed, jam and late start. */
export function GroupLab({ id }: { readonly id: string }) {
  const { scenarios } = useProject().project.specification;
  const [scenario, setScenario] = useState(scenarios[0]?.id ?? "");
  const query = useLab<Group>(["group", id, scenario], (project) =>
    api.GET("/api/projects/{id}/groups/{group}", {
      params: { path: { id: project, group: id }, query: { scenarioId: scenario } },
    }),
  );
  return (
    <section aria-label="Laboratory of the group" className="min-w-0">
      <ScenarioChoice value={scenario} onChange={setScenario} />
      {query.isPending ? (
        <Loading what="group" />
      ) : query.isError ? (
        <Failed what="The group could not be computed." detail={query.error.message} />
      ) : query.data.missing.length > 0 ? (
        <Missing names={query.data.missing} />
      ) : query.data.atWork === null ? (
        <p className="mt-2 text-soft">No cage motor of the group runs in this scenario.</p>
      ) : (
        <AtWork work={query.data.atWork} siteA={query.data.siteCurrentA} cableM={query.data.cableM} />
      )}
    </section>
  );
}

type Work = NonNullable<Group["atWork"]>;

function AtWork({
  work,
  siteA,
  cableM,
}: {
  readonly work: Work;
  readonly siteA: number | null;
  readonly cableM: number | null;
}) {
  const bars = [
    { name: "now", a: work.nowA },
    { name: "all rated", a: work.sumA },
    { name: "with reserve", a: work.wantedA },
    ...(work.lateTag === "" ? [] : [{ name: `${work.lateTag} starts late`, a: work.lateStartA }]),
  ];
  return (
    <>
      <Chart
        title="Converter current"
        rows={bars}
        along={{ key: "name", kind: "names", head: "case" }}
        left={{ label: "A", domain: [0, (high: number) => Math.ceil(1.1 * Math.max(high, siteA ?? 0))] }}
        series={[{ key: "a", name: "current", unit: "A", colour: plum, shape: "bar", barSize: 46 }]}
        levels={siteA === null ? [] : [{ y: siteA, colour: red, dash: "4 3", name: "continuous at this site" }]}
        width={700}
        height={210}
      />
      <p className="text-[12px] text-soft">
        Common frequency {n(work.frequencyPct, 3)} %. Speeds differ by up to {n(work.spreadPct, 2)} % through slip.
        {cableM !== null && ` ${n(cableM)} m of motor cable in all branches together.`}
      </p>
      <h3 className="section-title mt-2">Every motor</h3>
      <table className="table" aria-label="Motors of the group">
        <thead>
          <tr>
            <th>Motor</th>
            <th className="num">Alike</th>
            <th className="num">Relay at, A</th>
            <th className="num">Now, A</th>
            <th className="num">Speed, rpm</th>
            <th className="num">Jammed, A</th>
            <th className="num">Trips in, s</th>
            <th className="num">Late start, s</th>
          </tr>
        </thead>
        <tbody>
          {work.motors.map((m) => (
            <tr key={m.tag}>
              <td>
                {m.tag} {m.name}
              </td>
              <td className="num">{m.count}</td>
              <td className="num">{n(m.ratedA, 3)}</td>
              <td className="num">{n(m.currentA, 3)}</td>
              <td className="num">{n(m.speedRpm, 4)}</td>
              <td className="num">{m.jamA === null ? "not known" : n(m.jamA, 3)}</td>
              <td className="num">{m.jamTripS === null ? "no relay" : n(m.jamTripS, 2)}</td>
              <td className="num">{m.lateStartS === null ? "does not start" : n(m.lateStartS, 2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Speeds motors={work.motors} />
    </>
  );
}

function Speeds({ motors }: { readonly motors: Work["motors"] }) {
  const rows = motors.map((m) => ({ name: m.tag, load: (100 * m.currentA) / m.ratedA, rpm: m.speedRpm }));
  return (
    <Chart
      title="Load of each motor"
      rows={rows}
      along={{ key: "name", kind: "names", head: "motor" }}
      left={{ label: "% of rated", domain: [0, (h: number) => Math.max(120, h)] }}
      series={[{ key: "load", name: "current of its rated", unit: "%", colour: blue, shape: "bar", barSize: 46 }]}
      columns={[{ head: "rpm", of: (r) => n(r.rpm) }]}
      levels={[{ y: 100, colour: amber, dash: "4 3", name: "rated" }]}
      width={700}
      height={160}
    />
  );
}
