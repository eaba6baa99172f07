import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type DcBus } from "../../api/client";
import { amber, blue, ink, plum, red, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { Failed, Loading } from "../../components/States";
import { n } from "../../lib/format";
import { Missing } from "../bench/FigureList";
import { useProject } from "../../project/ProjectContext";

type BusEvent = DcBus["events"][number]["event"];

const names: Readonly<Record<BusEvent, string>> = {
  process: "Process",
  "emergency-stop": "Emergency stop",
  "mains-loss": "Line lost",
  "mains-loss-stop": "Line lost, all stop",
};

const memberColours = [plum, blue, amber, soft, "#7d8f69", "#8c7a5a"];
const size = { width: 700, height: 210, margin: { top: 8, right: 8, bottom: 14, left: 8 } } as const;

/** The laboratory of a common DC bus: each member and the sum over time, the voltage, and what an event does to it. */
export function DcBusLab({ id }: { readonly id: string }) {
  const { project } = useProject();
  const { scenarios } = project.specification;
  const [scenario, setScenario] = useState(scenarios[0]?.id ?? "");
  const [chosen, setChosen] = useState<BusEvent>("process");
  const query = useQuery({
    queryKey: ["dc-bus", project.id, id, scenario, project.edit],
    placeholderData: keepPreviousData,
    queryFn: async (): Promise<DcBus> => {
      const { data } = await api.GET("/api/projects/{id}/dc-buses/{bus}", {
        params: { path: { id: project.id, bus: id }, query: { scenarioId: scenario } },
      });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  if (query.isPending) {
    return <Loading what="bus" />;
  }
  if (query.isError) {
    return <Failed what="The bus could not be computed." detail={query.error.message} />;
  }
  const { missing, members, tripV, events } = query.data;
  const event = events.find((e) => e.event === chosen) ?? events[0];
  return (
    <section aria-label="Laboratory of the bus" className="min-w-0">
      <div className="flex flex-wrap items-center gap-1.5">
        <select
          className="entry w-56"
          aria-label="Scenario"
          value={scenario}
          onChange={(e) => setScenario(e.target.value)}
        >
          {scenarios.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </select>
        {events.map((e) => (
          <button
            key={e.event}
            type="button"
            className={`button ${e === event ? "button-main" : ""}`}
            aria-pressed={e === event}
            onClick={() => setChosen(e.event)}
          >
            {names[e.event]}
          </button>
        ))}
      </div>
      {missing.length > 0 ? (
        <Missing names={missing} />
      ) : !event ? (
        <p className="mt-2 text-soft">No member runs in this scenario.</p>
      ) : (
        <>
          <Powers event={event} members={members} />
          <Voltage event={event} tripV={tripV} />
          <Sections sections={event.sections} />
          <p className="text-[12px] text-soft">
            Largest {n(event.peakKw)} kW, rms {n(event.rmsKw)} kW; should all peaks meet {n(event.sumOfPeaksKw)} kW.
            Exchanged on the bus {n(event.exchangedKwhPerHour)} kWh an hour. Highest voltage {n(event.highestV)} V
            {event.offAtS === null ? "" : `; the members switch off after ${n(event.offAtS)} s`}.
            {event.burntKj > 0 && ` Burnt ${n(event.burntKj)} kJ.`}
            {event.returnedKj > 0 && ` Returned ${n(event.returnedKj)} kJ.`}
          </p>
        </>
      )}
    </section>
  );
}

function Sections({ sections }: { readonly sections: DcBus["events"][number]["sections"] }) {
  return (
    <table className="table mt-1" aria-label="Busbar by section">
      <thead>
        <tr>
          <th>From the supply module on</th>
          <th className="num">largest, kW</th>
          <th className="num">fuse carries, A</th>
          <th className="num">busbar ahead of it, A</th>
        </tr>
      </thead>
      <tbody>
        {sections.map((s) => (
          <tr key={s.tag}>
            <td>{s.tag}</td>
            <td className="num">{n(s.largestKw)}</td>
            <td className="num">{n(s.currentA)}</td>
            <td className="num">{n(s.sectionA)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface EventProps {
  readonly event: DcBus["events"][number];
}

function Powers({ event, members }: EventProps & { readonly members: readonly string[] }) {
  const rows = event.trace.map((m) => ({
    timeS: m.timeS,
    net: m.netKw,
    supply: m.supplyKw,
    chopper: m.chopperKw,
    busV: m.busV,
    ...Object.fromEntries(members.map((tag, i) => [tag, m.membersKw[i]])),
  }));
  return (
    <Chart
      title="Power on the bus"
      rows={rows}
      along={{ key: "timeS", kind: "time", steps: 8 }}
      left={{ label: "kW, below 0: given" }}
      series={[
        ...members.map((tag, i) => ({
          key: tag,
          name: tag,
          unit: "kW",
          colour: memberColours[i % memberColours.length] ?? soft,
          width: 1.4,
          shape: "step" as const,
        })),
        { key: "chopper", name: "resistor", unit: "kW", colour: red, dash: "4 3", shape: "step" },
        { key: "net", name: "together", unit: "kW", colour: ink, width: 2.2, shape: "step" },
      ]}
      columns={[
        { head: "module, kW", of: (r) => n(r.supply) },
        { head: "V", of: (r) => n(r.busV, 4) },
      ]}
      levels={[{ y: 0, colour: soft }]}
      {...size}
    />
  );
}

function Voltage({ event, tripV }: EventProps & { readonly tripV: number }) {
  return (
    <Chart
      title="Bus voltage"
      rows={event.trace}
      along={{ key: "timeS", kind: "time", steps: 8 }}
      left={{
        label: "V",
        domain: [
          (low: number) => 50 * Math.floor(low / 50),
          (high: number) => 50 * Math.ceil(Math.max(high, tripV) / 50),
        ],
      }}
      series={[{ key: "busV", name: "voltage", unit: "V", colour: plum, width: 2, digits: 4 }]}
      levels={[{ y: tripV, colour: red, dash: "4 3", name: "trips" }]}
      {...size}
      height={160}
    />
  );
}
