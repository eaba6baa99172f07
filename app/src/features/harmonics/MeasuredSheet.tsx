import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Measurement } from "../../api/client";
import { blue, plum } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { Sheet } from "../../components/Sheet";
import { Failed, Loading } from "../../components/States";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { readRecording, type ChosenFiles } from "./readRecording";

/** A measured spectrum or recorded waveform beside the study, order by order. */
export function MeasuredSheet({ scenarioId, onClose }: { readonly scenarioId: string; readonly onClose: () => void }) {
  const { project } = useProject();
  const { scenarios, lineups, distribution } = project.specification;
  const [scenario, setScenario] = useState(scenarioId);
  const [target, setTarget] = useState("coupling");
  const [channel, setChannel] = useState(0);
  const [files, setFiles] = useState<ChosenFiles>();
  const [problem, setProblem] = useState<string>();
  const query = useQuery({
    queryKey: ["measured", project.id, project.edit, scenario, target, channel, files],
    enabled: files !== undefined,
    retry: false,
    queryFn: async (): Promise<Measurement> => {
      const { data, error } = await api.POST("/api/projects/{id}/measurements/compare", {
        params: { path: { id: project.id } },
        body: {
          scenarioId: scenario,
          target,
          channel,
          text: files?.text ?? "",
          dataBase64: files?.dataBase64 ?? "",
        },
      });
      if (!data) {
        const said = error as { errors?: readonly { message: string }[]; detail?: string } | undefined;
        throw new Error(said?.errors?.[0]?.message ?? said?.detail ?? "The server does not answer.");
      }
      return data;
    },
  });
  const wave = (part: string, kind: string) =>
    `/api/projects/${project.id}/waveforms/${part}?scenarioId=${scenario}&kind=${kind}`;
  return (
    <Sheet title="Measured against computed" onClose={onClose} size="full">
      <div className="flex flex-wrap items-end gap-3">
        <label className="text-soft">
          CSV, or .cfg with .dat
          <input
            type="file"
            multiple
            accept=".csv,.txt,.cfg,.dat"
            className="block"
            onChange={(e) =>
              void readRecording([...(e.target.files ?? [])]).then((read) => {
                setProblem(typeof read === "string" ? read : undefined);
                setFiles(typeof read === "string" ? undefined : read);
                setChannel(0);
              })
            }
          />
        </label>
        <label className="text-soft">
          Measured at
          <select className="entry block w-60" value={target} onChange={(e) => setTarget(e.target.value)}>
            <option value="coupling">current at the coupling</option>
            {distribution.buses.map((b) => (
              <option key={b.id} value={`bus:${b.id}`}>
                voltage of {b.name}
              </option>
            ))}
            {lineups.flatMap((l) =>
              l.drivePoints.map((p) => (
                <option key={p.id} value={`drive:${p.id}`}>
                  line current of {p.tag}
                </option>
              )),
            )}
          </select>
        </label>
        <label className="text-soft">
          While
          <select className="entry block w-56" value={scenario} onChange={(e) => setScenario(e.target.value)}>
            {scenarios.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </label>
        {query.data && query.data.channels.length > 1 && (
          <label className="text-soft">
            Channel
            <select className="entry block w-48" value={channel} onChange={(e) => setChannel(Number(e.target.value))}>
              {query.data.channels.map((c, i) => (
                <option key={c + String(i)} value={i}>
                  {c}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      {problem !== undefined && (
        <p role="alert" className="mt-2 text-fails">
          {problem}
        </p>
      )}
      {files === undefined ? (
        <p className="mt-3 text-soft">
          A spectrum has a column <em>order</em> and one in A, V or %; a waveform a time in s, ms or µs and its
          channels. Recordings are read in ASCII and binary.
        </p>
      ) : query.isPending ? (
        <Loading what="measurement" />
      ) : query.isError ? (
        <Failed what="The measurement can't be compared." detail={query.error.message} />
      ) : (
        <Compared found={query.data} name={files.name} />
      )}
      <p className="mt-3 text-[12px]">
        The computed cycle as a recording: <a href={wave("cfg", "binary")}>computed.cfg</a>,{" "}
        <a href={wave("dat", "binary")}>computed.dat</a> (binary); <a href={wave("cfg", "ascii")}>cfg</a>,{" "}
        <a href={wave("dat", "ascii")}>dat</a> (ASCII).
      </p>
    </Sheet>
  );
}

function Compared({ found, name }: { readonly found: Measurement; readonly name: string }) {
  const rows = found.orders.filter((o) => o.order <= 25 && (o.measuredPct > 0.05 || o.computedPct > 0.05));
  const worst = found.orders.find((o) => o.order === found.worstOrder);
  return (
    <section aria-label="Comparison">
      <p className="mt-3 text-[13px]">
        {name}: fundamental {n(found.measuredFundamental, 4)} {found.unit}, computed {n(found.computedFundamental, 4)}.
        THD {n(found.measuredThdPct, 3)} % measured, {n(found.computedThdPct, 3)} % computed.
        {worst &&
          ` Order ${worst.order} differs most: ${n(worst.measuredPct, 3)} % measured, ${n(worst.computedPct, 3)} % computed.`}
      </p>
      <Chart
        title="Orders, % of each one’s fundamental"
        rows={rows}
        along={{ key: "order", kind: "names", label: "order", isEvery: true }}
        left={{ label: "% of fundamental", width: 52 }}
        series={[
          { key: "measuredPct", name: "measured", unit: "%", colour: blue, shape: "bar" },
          { key: "computedPct", name: "computed", unit: "%", colour: plum, shape: "bar" },
        ]}
        columns={[{ head: "difference", of: (o) => n(o.differencePct, 3) }]}
        width={1080}
        height={260}
      />
    </section>
  );
}
