import { useQuery } from "@tanstack/react-query";
import { api, type Stopping, type StopWay } from "../../api/client";
import { amber, blue, ink, plum, red, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { Failed, Loading } from "../../components/States";
import { n } from "../../lib/format";
import { Missing } from "../bench/FigureList";
import { useProject } from "../../project/ProjectContext";
import { stopRows, stopWords, type StopDrawn } from "./stops";

const strokes: Readonly<Record<string, { readonly colour: string; readonly dash?: string }>> = {
  coast: { colour: soft, dash: "2 3" },
  losses: { colour: ink },
  flux: { colour: amber },
  "direct-current": { colour: amber, dash: "6 3" },
  resistor: { colour: plum },
  line: { colour: blue },
};

const strokeOf = (id: string) => strokes[id] ?? { colour: ink };

/** Every way of stopping this machine on one time axis, with the voltage of the link. */
export function StoppingSection({ point }: { readonly point: string }) {
  const { project } = useProject();
  const stopping = useQuery({
    queryKey: ["bench", project.id, point, "stopping", project.edit],
    queryFn: async (): Promise<Stopping> => {
      const { data } = await api.GET("/api/projects/{id}/drive-points/{point}/stopping", {
        params: { path: { id: project.id, point } },
      });
      if (!data) {
        throw new Error("The stops could not be computed.");
      }
      return data;
    },
  });
  return (
    <section aria-label="Stopping">
      <h3 className="section-title">Stopping</h3>
      {stopping.isPending ? (
        <Loading what="stops" />
      ) : stopping.isError ? (
        <Failed what="The stops could not be computed." detail={stopping.error.message} />
      ) : stopping.data.missing.length > 0 ? (
        <Missing names={stopping.data.missing} />
      ) : (
        <Stops stopping={stopping.data} />
      )}
    </section>
  );
}

function Stops({ stopping }: { readonly stopping: Stopping }) {
  const { ways, wantedS, tripV, softStop } = stopping;
  const shown = ways.filter((w) => w.trace.length > 0 && w.end !== "never-stops");
  const hasLink = tripV !== null && shown.some((w) => w.trace.some((m) => m.linkV > 0));
  return (
    <>
      <p className="text-[12px] text-soft">
        From rated speed to a hundredth of it
        {wantedS === null ? ", as hard as each may" : `; wanted in ${n(wantedS)} s`}.
      </p>
      <table className="table mt-1 text-[11px]">
        <caption className="text-left text-[12px] text-soft">
          Time, energy that comes back, highest link voltage, heat of the rotor.
        </caption>
        <thead>
          <tr>
            <th>way</th>
            <th className="num">time</th>
            <th className="num">kJ</th>
            <th className="num">V</th>
            <th className="num">rotor %</th>
          </tr>
        </thead>
        <tbody>
          {ways.map((w) => (
            <tr key={w.id} className={w.isChosen ? "font-bold" : undefined}>
              <td className="whitespace-normal!">
                {w.isChosen && <span aria-label="chosen">▸ </span>}
                {w.name}
              </td>
              {w.impossible ? (
                <td colSpan={4} className="text-soft whitespace-normal!">
                  {w.impossible}
                </td>
              ) : (
                <>
                  <td className={`num ${w.end === "stopped" ? "" : "text-fails"}`}>{stopWords(w)}</td>
                  <td className="num">{w.returnedKj > 0 ? n(w.returnedKj) : "–"}</td>
                  <td className={`num ${tripV !== null && w.highestLinkV > tripV ? "text-fails" : ""}`}>
                    {w.highestLinkV > 0 ? n(w.highestLinkV, 3) : "–"}
                  </td>
                  <td className={`num ${(w.rotorHeatPct ?? 0) > 100 ? "text-fails" : ""}`}>
                    {w.rotorHeatPct === null
                      ? "stall time not stated"
                      : w.rotorHeatPct > 0
                        ? n(w.rotorHeatPct, 3)
                        : "–"}
                  </td>
                </>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length > 0 && <Picture ways={shown} what="speedRpm" title="Speed" unit="rpm" withLegend />}
      {hasLink && <Picture ways={shown} what="linkV" title="DC-link voltage" unit="V" limit={tripV} />}
      {softStop && <SoftStopPicture stop={softStop} />}
    </>
  );
}

function Picture({
  ways,
  what,
  title,
  unit,
  withLegend = false,
  limit,
}: {
  readonly ways: readonly StopWay[];
  readonly what: StopDrawn;
  readonly title: string;
  readonly unit: string;
  readonly withLegend?: boolean;
  readonly limit?: number | null;
}) {
  const drawn = what === "linkV" ? ways.filter((w) => w.trace.some((m) => m.linkV > 0)) : ways;
  const rows = stopRows(drawn, what);
  return (
    <Chart
      title={title}
      rows={rows}
      along={{ key: "timeS", kind: "time", steps: 5 }}
      left={{ label: unit, domain: what === "linkV" ? linkRange(limit) : [0, "auto"], width: 52 }}
      series={drawn.map((w) => ({
        key: w.id,
        name: w.id.replaceAll("-", " "),
        unit,
        ...strokeOf(w.id),
        width: w.isChosen ? 2.2 : 1.4,
        inLegend: withLegend,
      }))}
      levels={limit == null ? [] : [{ y: limit, colour: red, dash: "4 3", name: "trips" }]}
      height={140}
    />
  );
}

// Whole steps of 50 V, with the trip level in sight.
function linkRange(limit: number | null | undefined): [(low: number) => number, (high: number) => number] {
  return [(low) => 50 * Math.floor(low / 50), (high) => 50 * Math.ceil(Math.max(high, limit ?? 0) / 50)];
}

function SoftStopPicture({ stop }: { readonly stop: NonNullable<Stopping["softStop"]> }) {
  return (
    <>
      <p className="mt-2 text-[12px] text-soft">
        Voltage falls over {n(stop.rampS)} s: at rest after {n(stop.timeS)} s, at most {n(stop.peakLineA)} A.
      </p>
      <Chart
        title="Stop by voltage ramp"
        rows={stop.trace}
        along={{ key: "timeS", kind: "time", steps: 5 }}
        left={{ label: "rpm", width: 52 }}
        right={{ format: (v) => `${Math.round(v)} A`, width: 44 }}
        series={[
          { key: "speedRpm", name: "speed", unit: "rpm", colour: plum, width: 2, digits: 4 },
          { key: "currentA", name: "line current", unit: "A", colour: blue, dash: "6 3", onRight: true },
        ]}
        height={140}
      />
    </>
  );
}
