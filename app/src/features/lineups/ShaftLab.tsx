import { useState } from "react";
import { api, type Shaft } from "../../api/client";
import { amber, blue, ink, plum, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { Failed, Loading } from "../../components/States";
import type { SharedShaft } from "../../lib/arrangements";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { Missing } from "../bench/FigureList";
import { useProject } from "../../project/ProjectContext";
import { ScenarioChoice } from "./ScenarioChoice";
import { methodNames } from "./ShaftEntry";
import { useLab } from "./useLab";

type Kind = Shaft["kind"];
type Run = NonNullable<Shaft["run"]>;

const colours = [plum, blue, amber, soft, "#7d8f69", "#8c7a5a", "#5b7a8c", "#8c5b5b"];
const size = { width: 700, margin: { top: 8, right: 8, bottom: 14, left: 8 } } as const;

/** The laboratory of a shared shaft: load step, loss of a unit and its return, under this and every other way of sharing. */
export function ShaftLab({ shaft }: { readonly shaft: SharedShaft }) {
  const { scenarios } = useProject().project.specification;
  const [scenario, setScenario] = useState(scenarios[0]?.id ?? "");
  const [tried, setTried] = useState<Kind>();
  const [lost, setLost] = useState(1);
  const kind = tried ?? shaft.method.kind;
  const query = useLab<Shaft>(["shaft", shaft.id, scenario, kind, lost], (project) =>
    api.GET("/api/projects/{id}/shafts/{shaft}", {
      params: { path: { id: project, shaft: shaft.id }, query: { scenarioId: scenario, kind, lost } },
    }),
  );
  const units = query.data?.units ?? [];
  return (
    <section aria-label="Laboratory of the shaft" className="min-w-0">
      <div className="flex flex-wrap items-center gap-1.5">
        <ScenarioChoice value={scenario} onChange={setScenario} />
        {(Object.keys(methodNames) as Kind[]).map((k) => (
          <button
            key={k}
            type="button"
            className={`button ${k === kind ? "button-main" : ""}`}
            aria-pressed={k === kind}
            onClick={() => setTried(k)}
          >
            {methodNames[k]}
          </button>
        ))}
      </div>
      <div className="mt-1 flex items-center gap-1.5">
        <span className="text-soft">lost:</span>
        {units.map((tag, i) => (
          <button
            key={tag}
            type="button"
            className={`button ${i === lost ? "button-main" : ""}`}
            aria-pressed={i === lost}
            onClick={() => setLost(i)}
          >
            {tag}
          </button>
        ))}
        <button
          type="button"
          className={`button ${lost < 0 ? "button-main" : ""}`}
          aria-pressed={lost < 0}
          onClick={() => setLost(-1)}
        >
          none
        </button>
      </div>
      {query.isPending ? (
        <Loading what="shaft" />
      ) : query.isError ? (
        <Failed what="The shaft could not be computed." detail={query.error.message} />
      ) : query.data.missing.length > 0 ? (
        <Missing names={query.data.missing} />
      ) : query.data.run === null ? (
        <p className="mt-2 text-soft">Fewer than two of its units run in this scenario.</p>
      ) : (
        <Events run={query.data.run} units={units} lost={lost} />
      )}
      {tried !== undefined && tried !== shaft.method.kind && (
        <p className="text-[12px] text-tight">
          Shown as it would be with {methodNames[tried]}; {methodNames[shaft.method.kind]} is in force.
        </p>
      )}
    </section>
  );
}

function Events({ run, units, lost }: { readonly run: Run; readonly units: readonly string[]; readonly lost: number }) {
  const rows = run.trace.map((m) => ({
    timeS: m.timeS,
    load: m.loadNm,
    speed: m.speedRpm,
    accelerating: m.acceleratingNm,
    ...Object.fromEntries(units.map((tag, i) => [tag, m.sharesNm[i]])),
  }));
  const us = useUnits();
  const marks = [run.stepAtS, ...(lost < 0 ? [] : [run.lostAtS, run.backAtS])];
  return (
    <>
      <Chart
        title="Torque of each unit"
        rows={rows}
        along={{ key: "timeS", kind: "time", steps: 10 }}
        left={{ label: "Nm" }}
        series={[
          { key: "load", name: "load", unit: "Nm", colour: ink, dash: "5 3" },
          ...units.map((tag, i) => ({
            key: tag,
            name: tag,
            unit: "Nm",
            colour: colours[i % colours.length] ?? soft,
            width: 1.8,
          })),
        ]}
        columns={[{ head: `accelerating, ${us.unit("Nm")}`, of: (r) => n(us.value(r.accelerating, "Nm"), 3) }]}
        levels={[
          { y: 0, colour: soft },
          ...marks.map((at, i) => ({ x: at, colour: soft, dash: "2 3", label: ["load", "lost", "back"][i] ?? "" })),
        ]}
        {...size}
        height={240}
      />
      <Chart
        title="Speed of the shaft"
        rows={rows}
        along={{ key: "timeS", kind: "time", steps: 10 }}
        left={{ label: "rpm", domain: ["auto", "auto"] }}
        series={[{ key: "speed", name: "speed", unit: "rpm", colour: plum, width: 1.8, digits: 5 }]}
        levels={marks.map((at) => ({ x: at, colour: soft, dash: "2 3" }))}
        {...size}
        height={150}
      />
      <p className="text-[12px]">
        Loaded: {units.map((u, i) => `${u} ${n(run.loadedPct[i] ?? 0, 3)} %`).join(", ")} of rated torque at{" "}
        {n(run.speedPct, 4)} % speed; balance off by {n(run.imbalancePct, 3)} %
        {run.circulatingNm > 1 && `, ${us.say(run.circulatingNm, "Nm")} circulate`}.
        {lost >= 0 &&
          ` Without ${units[lost] ?? ""}: ${units
            .flatMap((u, i) => (i === lost ? [] : [`${u} ${n(run.afterLossPct[i] ?? 0, 3)} %`]))
            .join(", ")} at ${n(run.speedAfterLossPct, 4)} % speed.`}
      </p>
    </>
  );
}
