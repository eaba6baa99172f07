import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { CartesianGrid, ComposedChart, Line, ReferenceLine, XAxis, YAxis } from "recharts";
import { api, type DcBus } from "../../api/client";
import { amber, blue, ink, plum, red, rule, soft, tick, tickText, timeAxis, yTitle } from "../../charts/axes";
import { Frame, NumberTable } from "../../charts/Frame";
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
    ...Object.fromEntries(members.map((tag, i) => [tag, m.membersKw[i]])),
  }));
  return (
    <Frame
      title="Power on the bus"
      legend={[
        ...members.map((tag, i) => ({
          name: tag,
          colour: memberColours[i % memberColours.length] ?? soft,
          shape: "line" as const,
        })),
        { name: "together", colour: ink, shape: "line" },
        { name: "resistor", colour: red, shape: "dash" },
      ]}
      table={
        <NumberTable
          heads={["s", ...members.map((m) => `${m} kW`), "together kW", "module kW", "resistor kW", "V"]}
          rows={event.trace
            .filter((_, i) => i % 8 === 0)
            .map((m) => [
              n(m.timeS),
              ...m.membersKw.map((k) => n(k)),
              n(m.netKw),
              n(m.supplyKw),
              n(m.chopperKw),
              n(m.busV, 4),
            ])}
        />
      }
    >
      <ComposedChart {...size} data={rows} accessibilityLayer={false}>
        <CartesianGrid stroke={rule} vertical={false} />
        <XAxis {...timeAxis(rows, 8)} />
        <YAxis tick={tick} width={56} label={yTitle("kW, below 0: given")} tickFormatter={tickText} />
        <ReferenceLine y={0} stroke={soft} />
        {members.map((tag, i) => (
          <Line
            key={tag}
            dataKey={tag}
            type="stepAfter"
            stroke={memberColours[i % memberColours.length] ?? soft}
            strokeWidth={1.4}
            dot={false}
            activeDot={false}
            isAnimationActive={false}
          />
        ))}
        <Line
          dataKey="chopper"
          type="stepAfter"
          stroke={red}
          strokeDasharray="4 3"
          dot={false}
          activeDot={false}
          isAnimationActive={false}
        />
        <Line
          dataKey="net"
          type="stepAfter"
          stroke={ink}
          strokeWidth={2.2}
          dot={false}
          activeDot={false}
          isAnimationActive={false}
        />
      </ComposedChart>
    </Frame>
  );
}

function Voltage({ event, tripV }: EventProps & { readonly tripV: number }) {
  return (
    <Frame
      title="Bus voltage"
      legend={[
        { name: "voltage", colour: plum, shape: "line" },
        { name: "trips", colour: red, shape: "dash" },
      ]}
      table={
        <NumberTable
          heads={["s", "V"]}
          rows={event.trace.filter((_, i) => i % 8 === 0).map((m) => [n(m.timeS), n(m.busV, 4)])}
        />
      }
    >
      <ComposedChart {...size} height={160} data={[...event.trace]} accessibilityLayer={false}>
        <CartesianGrid stroke={rule} vertical={false} />
        <XAxis {...timeAxis(event.trace, 8)} />
        <YAxis
          tick={tick}
          width={56}
          domain={[
            (low: number) => 50 * Math.floor(low / 50),
            (high: number) => 50 * Math.ceil(Math.max(high, tripV) / 50),
          ]}
          label={yTitle("V")}
        />
        <ReferenceLine y={tripV} stroke={red} strokeDasharray="4 3" />
        <Line dataKey="busV" stroke={plum} strokeWidth={2} dot={false} activeDot={false} isAnimationActive={false} />
      </ComposedChart>
    </Frame>
  );
}
