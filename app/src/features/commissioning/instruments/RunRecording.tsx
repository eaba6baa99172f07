import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type SiteRun, type SiteStep } from "../../../api/client";
import { Chart } from "../../../charts/Chart";
import { useProject } from "../../../project/ProjectContext";
import { who } from "../../../project/useProjectAccess";

/** A run recorded from an instrument: its points are kept as they come, whatever happens to the instrument. */
export function RunRecording({
  pointId,
  step,
  lastAgeS,
  onUse,
}: {
  readonly pointId: string;
  readonly step: SiteStep;
  readonly lastAgeS: number | undefined;
  readonly onUse: (run: number | undefined) => void;
}) {
  const { project } = useProject();
  const client = useQueryClient();
  const [problem, setProblem] = useState<string>();
  const [used, setUsed] = useState<number>();
  const key = ["run", project.id, pointId, step.id];
  const found = useQuery({
    queryKey: key,
    refetchInterval: 1500,
    queryFn: async (): Promise<{ newest: SiteRun | null }> => {
      const { data } = await api.GET("/api/projects/{id}/instruments/runs/{point}/{step}", {
        params: { path: { id: project.id, point: pointId, step: step.id } },
      });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return { newest: data.newest ?? null };
    },
  });
  const run = found.data?.newest;
  const tell = async (path: "/api/projects/{id}/instruments/runs" | "/api/projects/{id}/instruments/runs/end") => {
    try {
      const { data, error } = await api.POST(path, {
        params: { path: { id: project.id } },
        body: { who: who(), pointId, stepId: step.id },
      });
      setProblem(data ? undefined : error.errors.map((e) => e.message).join(" ") || error.detail);
      if (data) {
        client.setQueryData(key, { newest: data });
        const use = path.endsWith("/end") ? data.number : undefined;
        setUsed(use);
        onUse(use);
      }
    } catch {
      setProblem("The server does not answer. What was recorded is kept.");
    }
  };
  const rows = run?.points.map((p) => ({ timeS: p.timeS ?? 0, value: p.value ?? 0 })) ?? [];
  return (
    <div className="mt-2" role="group" aria-label="Recorded run">
      <div className="flex flex-wrap items-center gap-2">
        {run?.recording ? (
          <button type="button" className="button" onClick={() => void tell("/api/projects/{id}/instruments/runs/end")}>
            End the run
          </button>
        ) : (
          <button type="button" className="button" onClick={() => void tell("/api/projects/{id}/instruments/runs")}>
            Record a run
          </button>
        )}
        {run && (
          <span role="status">
            {run.points.length} points{run.recording ? " so far" : ` (${run.ended})`}
            {run.simulated && ", simulated"}
            {run.recording && (lastAgeS === undefined || lastAgeS > 15) && (
              <b className="text-fails"> The instrument is silent; what was recorded is kept.</b>
            )}
          </span>
        )}
        {run && !run.recording && used !== run.number && run.points.length > 0 && (
          <button
            type="button"
            className="button"
            onClick={() => {
              setUsed(run.number);
              onUse(run.number);
            }}
          >
            Use it for this entry
          </button>
        )}
        {used !== undefined && <span className="text-soft">run {used} goes into the entry</span>}
      </div>
      {rows.length > 1 && (
        <Chart
          title={`Run ${run?.number ?? ""}`}
          rows={rows}
          along={{ key: "timeS", kind: "time", steps: 6 }}
          left={{ label: step.runUnit, domain: ["auto", "auto"] }}
          series={[{ key: "value", name: "recorded", unit: step.runUnit, colour: "var(--color-plum)" }]}
        />
      )}
      {problem && (
        <p role="alert" className="mt-1 text-fails">
          {problem}
        </p>
      )}
    </div>
  );
}
