import { useState } from "react";
import { api, type CheckKey, type DrivePoint, type SunAnswer, type SunSweepAnswer } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { Entries } from "../../fields/Entries";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { AssumedAround } from "../bench/AssumedAround";
import { CheckList } from "../bench/CellChecks";
import { Missing } from "../bench/FigureList";
import { usePointEdit } from "../bench/usePointEdit";
import { useLab } from "../lineups/useLab";
import type { Selection } from "../board/selection";
import { FigureCards } from "../../components/FigureCards";
import { MonthTable } from "./MonthTable";
import { StringTable } from "./StringTable";
import { DayPicture, MonthPicture, PumpPicture } from "./SunPictures";
import { SweepPicture } from "./SweepPicture";
import { SunSteps } from "./SunSteps";
import { months, sunEntries, withSun, type Sun } from "./supplies";

/** One pump on the sun: what is entered, what follows, how to connect and to start it. */
export function SunPage({
  point,
  onReason,
  onCell,
}: {
  readonly point: DrivePoint;
  readonly onReason: (check: CheckKey) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project, run } = useProject();
  const edit = usePointEdit([point.id]);
  const found = useLab<SunAnswer>(["sun", point.id], (id) =>
    api.GET("/api/projects/{id}/drive-points/{point}/sun", { params: { path: { id, point: point.id } } }),
  );
  const sun: Sun = point.sun ?? {};
  const usual = () => void run({ kind: "accept-usual", pointIds: [point.id], keys: [] });
  const checks = project.assessment.checks.filter((c) => c.drivePointId === point.id && c.id.startsWith("pv."));
  return (
    <div className="mt-3 grid grid-cols-[20rem_minmax(0,1fr)] gap-x-6">
      <section aria-label="Entries of the array" className="min-w-0">
        <div className="flex flex-wrap gap-2">
          <button type="button" className="button" onClick={usual}>
            Assume usual values
          </button>
          <button
            type="button"
            className="button"
            onClick={() => void run({ kind: "feed-from-sun", pointId: point.id, back: true })}
          >
            Back to the lineup
          </button>
          <button
            type="button"
            className="button"
            onClick={() => onCell({ point: point.id, row: "load", columns: [point.id] })}
          >
            Pump on the board
          </button>
        </div>
        <AssumedAround point={point} columns={[point.id]}>
          {sunEntries.map(({ part, title, of, keys }) => (
            <fieldset key={part} className="mt-2 border-t border-rule pt-1">
              <legend className="pr-2 font-semibold">{title}</legend>
              <Entries
                of={of}
                value={sun[part] ?? {}}
                keys={keys as never}
                change={(change, what) => edit(what, withSun(part, change))}
              />
            </fieldset>
          ))}
        </AssumedAround>
      </section>
      <div className="min-w-0">
        {found.isPending ? (
          <Loading what="year of the sun" />
        ) : found.isError ? (
          <Failed
            what="The year could not be computed."
            detail={found.error.message}
            retry={() => void found.refetch()}
          />
        ) : (
          <Answer answer={found.data} />
        )}
        <section aria-label="Checks of the array">
          <h3 className="section-title">Checks</h3>
          <CheckList columns={2} checks={checks} onReason={onReason} />
        </section>
        {found.data && <StringTable point={point} answer={found.data} />}
        {found.data?.year && <Sweep point={point} />}
        <MonthTable point={point} edit={edit} answer={found.data} />
        <SunSteps sun={sun} answer={found.data} />
      </div>
    </div>
  );
}

function Answer({ answer }: { readonly answer: SunAnswer }) {
  const [month, setMonth] = useState<number>();
  const units = useUnits();
  const { year, pump, limits } = answer;
  const shown = month ?? year?.worstMonth ?? 5;
  return (
    <>
      {limits && (
        <p className="text-[13px]">
          One module: {limits.uocColdV === null ? "–" : `${n(limits.uocColdV)} V cold`},{" "}
          {limits.umpHotV === null ? "–" : `${n(limits.umpHotV)} V hot`}
          {limits.mostInSeries !== null && limits.limitV !== null && (
            <>
              {" "}
              · at most <b>{limits.mostInSeries} in series</b> on {n(limits.limitV)} V ({limits.whose})
            </>
          )}
          {limits.arrayKw !== null && <> · array {n(limits.arrayKw)} kW</>}
          {pump && <> · pump {n(pump.ratedKw)} kW at rated speed</>}
          {year && <> · {n(year.lightKwhPerM2)} kWh/m² a year</>}
        </p>
      )}
      {year && pump ? (
        <>
          <FigureCards
            cells={[
              ["Water of the year", units.say(year.waterM3, "m³")],
              [
                `Worst month, ${months[year.worstMonth] ?? ""}`,
                year.worstShare === null ? "nothing wanted" : `${n(100 * year.worstShare)} % of what is wanted`,
              ],
              ["Energy used", `${n(year.usedKwh)} of ${n(year.energyKwh)} kWh`],
              [
                "Days short, tank and pump",
                year.shortDays === null ? "nothing wanted" : year.shortDays === 0 ? "none" : String(year.shortDays),
              ],
            ]}
          />
          <div className="flex flex-wrap gap-x-6">
            <MonthPicture year={year} />
            <DayPicture year={year} month={shown} onMonth={setMonth} />
            <PumpPicture pump={pump} />
          </div>
        </>
      ) : (
        <Missing names={answer.missing} />
      )}
    </>
  );
}

// Two hundred years: asked for, not computed with every edit.
function Sweep({ point }: { readonly point: DrivePoint }) {
  const [asked, setAsked] = useState(false);
  return (
    <section aria-label="Arrays and pumps of other sizes">
      <h3 className="section-title flex items-center gap-2">
        Arrays and pumps of other sizes
        {!asked && (
          <button type="button" className="button font-normal" onClick={() => setAsked(true)}>
            Sweep 200 pairs
          </button>
        )}
      </h3>
      {asked && <Swept point={point} />}
    </section>
  );
}

function Swept({ point }: { readonly point: DrivePoint }) {
  const found = useLab<SunSweepAnswer>(["sun-sweep", point.id], (id) =>
    api.GET("/api/projects/{id}/drive-points/{point}/sun/sweep", { params: { path: { id, point: point.id } } }),
  );
  return found.isPending ? (
    <Loading what="sweep" />
  ) : found.isError ? (
    <Failed what="The sweep could not be computed." detail={found.error.message} />
  ) : (
    <SweepPicture sweep={found.data} />
  );
}
