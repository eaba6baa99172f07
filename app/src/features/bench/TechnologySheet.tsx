import { useQuery } from "@tanstack/react-query";
import { api, type Candidate, type TechnologyRow } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { Empty, Failed, Loading } from "../../components/States";
import { VerdictWord } from "../../components/VerdictMark";
import { money, n, withUnit } from "../../lib/format";
import { useUnits, type Units } from "../../fields/useUnits";
import { useProject } from "../../project/ProjectContext";
import { verdictOf } from "../board/verdictOf";

const names: Readonly<Record<TechnologyRow["technology"], string>> = {
  "cage-induction": "cage induction",
  "synchronous-reluctance": "reluctance",
  "permanent-magnet": "permanent magnet",
  servo: "servo",
  "dc-separately-excited": "DC",
};

interface Line {
  readonly name: string;
  readonly of: (row: TechnologyRow, incumbent: TechnologyRow | undefined, units: Units) => string;
}

const lines: readonly Line[] = [
  { name: "power at the meter, rated", of: (r) => withUnit(r.lineKw, "kW", 4) },
  { name: "energy of a year", of: (r) => withUnit(r.yearKwh === null ? null : r.yearKwh / 1000, "MWh", 4) },
  { name: "payback of the extra price", of: (r) => withUnit(r.paybackYears, "a", 2) },
  { name: "price index", of: (r) => n(r.candidate.priceIndex) },
  { name: "motor efficiency", of: (r) => withUnit(r.efficiencyPct, "%", 3) },
  { name: "amperes (for sizing only)", of: (r) => withUnit(r.currentA, "A") },
  { name: "power factor at the motor", of: (r) => n(r.powerFactor, 2) },
  {
    name: "smallest converter here",
    of: (r) => (r.converterKw === null ? "none in the catalogue" : `${n(r.converterKw)} kW, ${n(r.converterA)} A`),
  },
  { name: "heat in the rotor, to bearings", of: (r) => withUnit(r.rotorLossW, "W") },
  { name: "heat in the winding", of: (r) => withUnit(r.windingLossW, "W") },
  { name: "constant torque to", of: (r) => withUnit(r.baseSpeedRpm, "rpm", 4) },
  { name: "mechanical limit", of: (r) => withUnit(r.maxSpeedRpm, "rpm", 4) },
  { name: "runs across the line", of: (r) => r.onTheLine },
  { name: "driven while off", of: (r) => r.drivenWhileOff },
  {
    name: "frame, feet",
    of: (r, i) =>
      `${r.frame}${i && r !== i ? (r.shaftHeightMm === i.shaftHeightMm ? ", interchanges" : ", other feet") : ""}`,
  },
  { name: "length", of: (r, _, units) => units.say(r.lengthMm, "mm") },
  { name: "mass", of: (r, _, units) => units.say(r.massKg, "kg") },
];

/** The best motor of each technology side by side, the one that stands now first. */
export function TechnologySheet({
  point,
  onClose,
  onChoose,
}: {
  readonly point: string;
  readonly onClose: () => void;
  readonly onChoose: (candidate: Candidate) => void;
}) {
  const { project } = useProject();
  const units = useUnits();
  const rows = useQuery({
    queryKey: ["bench", project.id, point, "technologies", project.edit],
    queryFn: async (): Promise<TechnologyRow[]> => {
      const { data } = await api.GET("/api/projects/{id}/drive-points/{point}/technologies", {
        params: { path: { id: project.id, point } },
      });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  const incumbent = rows.data?.find((r) => r.isIncumbent);
  return (
    <Sheet title="Technologies for this load" onClose={onClose} size="full">
      {rows.isPending && <Loading what="technologies" />}
      {rows.isError && <Failed what="The comparison could not be made." detail={rows.error.message} />}
      {rows.data?.length === 0 && <Empty>Enter the load first.</Empty>}
      {rows.data && rows.data.length > 0 && (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Technologies, scrolls sideways">
          <table className="table w-max text-[12px]">
            <thead>
              <tr>
                <th>
                  <span className="sr-only">property</span>
                </th>
                {rows.data.map((r) => (
                  <th
                    key={r.candidate.itemId}
                    scope="col"
                    className={`max-w-44 align-top ${r.isIncumbent ? "bg-plum-wash" : ""}`}
                  >
                    <span className="block font-semibold text-ink">{names[r.technology]}</span>
                    <span className="block font-normal">{r.candidate.name}</span>
                    {r.isIncumbent && <span className="block font-normal text-plum">stands now</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              <tr>
                <th scope="row" className="align-top">
                  fits
                </th>
                {rows.data.map((r) => (
                  <td key={r.candidate.itemId} className="max-w-44 whitespace-normal">
                    <VerdictWord verdict={verdictOf(r.candidate)} />
                    <span className="block text-soft">{r.candidate.reason}</span>
                  </td>
                ))}
              </tr>
              <tr>
                <th scope="row">life-cycle cost, {project.specification.tariff.currency}</th>
                {rows.data.map((r) => (
                  <td key={r.candidate.itemId} className="font-mono">
                    {money(r.candidate.lifetimeCost)}
                  </td>
                ))}
              </tr>
              {lines.map((line) => (
                <tr key={line.name}>
                  <th scope="row" className="font-normal">
                    {line.name}
                  </th>
                  {rows.data.map((r) => (
                    <td key={r.candidate.itemId} className="max-w-44 font-mono whitespace-normal">
                      {line.of(r, incumbent, units)}
                    </td>
                  ))}
                </tr>
              ))}
              <tr>
                <th scope="row">
                  <span className="sr-only">choose</span>
                </th>
                {rows.data.map((r) => (
                  <td key={r.candidate.itemId}>
                    {!r.isIncumbent && (
                      <button
                        type="button"
                        className="button"
                        aria-label={`Choose ${r.candidate.name}`}
                        onClick={() => onChoose(r.candidate)}
                      >
                        Choose
                      </button>
                    )}
                  </td>
                ))}
              </tr>
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-2 text-[12px] text-soft">
        Energy is kilowatts and hours. Amperes carry reactive current too: a motor with more of them may use fewer
        kilowatts; they only size the converter and the cable.
      </p>
    </Sheet>
  );
}
