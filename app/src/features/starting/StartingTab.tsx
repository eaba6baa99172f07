import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Starting, type StartWay } from "../../api/client";
import { blue, ink, plum, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { Failed, Loading } from "../../components/States";
import { n } from "../../lib/format";
import { Missing } from "../bench/FigureList";
import { useProject } from "../../project/ProjectContext";
import { StoppingSection } from "./StoppingSection";
import { endOf, endWords, rowsOf, type Drawn } from "./traces";

const strokes: Readonly<Record<string, { readonly colour: string; readonly dash?: string }>> = {
  "across-the-line": { colour: ink },
  "star-delta": { colour: soft, dash: "2 3" },
  "soft-starter": { colour: plum },
  converter: { colour: blue, dash: "6 3" },
};

const strokeOf = (id: string) => strokes[id] ?? { colour: ink };

const pictures: readonly [Drawn, string, string][] = [
  ["speedRpm", "Speed", "rpm"],
  ["currentA", "Line current", "A"],
  ["torqueNm", "Motor torque", "Nm"],
  ["busVoltageV", "Voltage at the bus", "V"],
];

/** The starting laboratory: every way of starting this motor with this load, on the plant's bus, and of stopping it. */
export function StartingTab({ point }: { readonly point: string }) {
  return (
    <>
      <Starts point={point} />
      <StoppingSection point={point} />
      <p className="mt-2 border-l-4 border-tight bg-card p-2 text-[12px]">
        <strong>Caution:</strong> with a soft starter or contactor off the motor may still be live; inside the delta a
        winding is. Lock out, prove the absence of voltage. A controlled stop is not a safety function; makers’
        instructions and local codes go first.
      </p>
    </>
  );
}

function Starts({ point }: { readonly point: string }) {
  const { project } = useProject();
  const [upTo, setUpTo] = useState<string>();
  const starting = useQuery({
    queryKey: ["bench", project.id, point, "starting", project.edit],
    queryFn: async (): Promise<Starting> => {
      const { data } = await api.GET("/api/projects/{id}/drive-points/{point}/starting", {
        params: { path: { id: project.id, point } },
      });
      if (!data) {
        throw new Error("The starts could not be computed.");
      }
      return data;
    },
  });
  if (starting.isPending) {
    return <Loading what="starts" />;
  }
  if (starting.isError) {
    return <Failed what="The starts could not be computed." detail={starting.error.message} />;
  }
  const { missing, ways, scenario, busVoltageV } = starting.data;
  if (missing.length > 0) {
    return <Missing names={missing} />;
  }
  const shown = ways.filter((w) => w.trace.length > 0).sort((a, b) => endOf(a) - endOf(b));
  // A start of two seconds is not squeezed beside one of forty: the picture ends where the way looked at does.
  const looked = shown.find((w) => w.id === upTo) ?? shown.find((w) => w.isChosen) ?? shown.at(-1);
  return (
    <>
      <p className="text-[12px] text-soft">
        Scenario: {scenario}, the weakest in which it runs; {n(busVoltageV, 4)} V before the start.
      </p>
      <Ways ways={ways} />
      {looked && (
        <label className="mt-2 flex items-baseline gap-2 text-[12px] text-soft">
          Time shown
          <select className="entry w-auto" value={looked.id} onChange={(e) => setUpTo(e.target.value)}>
            {shown.map((w) => (
              <option key={w.id} value={w.id}>
                to the end of {w.id.replaceAll("-", " ")}, {n(endOf(w))} s
              </option>
            ))}
          </select>
        </label>
      )}
      {looked &&
        pictures.map(([what, title, unit], i) => (
          <Picture
            key={what}
            ways={shown}
            untilS={Math.max(0.1, endOf(looked))}
            what={what}
            title={title}
            unit={unit}
            isFirst={i === 0}
          />
        ))}
    </>
  );
}

function Ways({ ways }: { readonly ways: readonly StartWay[] }) {
  return (
    <table className="table mt-1 text-[11px]">
      <caption className="text-left text-[12px] text-soft">
        Time to speed, peak line current, dip at the bus, heat of the rotor, starts per hour.
      </caption>
      <thead>
        <tr>
          <th>way</th>
          <th className="num">time</th>
          <th className="num">A</th>
          <th className="num">dip %</th>
          <th className="num">kJ</th>
          <th className="num">per h</th>
        </tr>
      </thead>
      <tbody>
        {ways.map((w) => (
          <tr key={w.id} className={w.isChosen ? "font-bold" : undefined}>
            <td>
              <span title={w.name} className="whitespace-nowrap">
                {w.isChosen && <span aria-label="chosen">▸ </span>}
                {w.id.replaceAll("-", " ")}
              </span>
            </td>
            {w.impossible ? (
              <td colSpan={5} className="text-soft">
                {w.impossible}
              </td>
            ) : (
              <>
                <td className={`num ${w.end === "reached" ? "" : "text-fails"}`}>{endWords(w)}</td>
                <td className="num">{n(w.peakLineA)}</td>
                <td className="num">{n(w.dipPct)}</td>
                <td className="num">{n(w.energy.rotorKj)}</td>
                <td className="num">
                  {w.end !== "reached" ? "–" : w.startsPerHour === null ? "any" : n(Math.min(60, w.startsPerHour), 2)}
                </td>
              </>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Picture({
  ways,
  untilS,
  what,
  title,
  unit,
  isFirst,
}: {
  readonly ways: readonly StartWay[];
  readonly untilS: number;
  readonly what: Drawn;
  readonly title: string;
  readonly unit: string;
  readonly isFirst: boolean;
}) {
  const rows = rowsOf(ways, what, untilS);
  return (
    <Chart
      title={title}
      rows={rows}
      along={{ key: "timeS", kind: "time", steps: 6 }}
      left={{ label: unit, domain: what === "busVoltageV" ? ["dataMin - 5", "dataMax + 2"] : [0, "auto"], width: 52 }}
      series={ways.map((w) => ({
        key: w.id,
        name: w.id.replaceAll("-", " "),
        unit,
        ...strokeOf(w.id),
        width: w.isChosen ? 2.2 : 1.4,
        inLegend: isFirst,
      }))}
      height={140}
    />
  );
}
