import { useRef, useState } from "react";
import type { DrivePoint, SunAnswer } from "../../api/client";
import { CellEntry } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import type { PointEdit } from "../bench/usePointEdit";
import { readHours } from "./readHours";
import { months, withSun } from "./supplies";

type Month = NonNullable<NonNullable<NonNullable<DrivePoint["sun"]>["place"]>["months"]>[number];

const open: Month = { clearness: null, meanC: null, demandM3PerDay: null };

/** Clearness, temperature and what is wanted by month; or a year by hours from a file. */
export function MonthTable({
  point,
  edit,
  answer,
}: {
  readonly point: DrivePoint;
  readonly edit: PointEdit;
  readonly answer: SunAnswer | undefined;
}) {
  const units = useUnits();
  const file = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string>();
  const place = point.sun?.place;
  const rows = months.map((name, i) => ({ name, month: place?.months?.[i] ?? open }));
  const hourly = (place?.hourlyWPerM2?.length ?? 0) > 0;
  const change = (i: number, part: Partial<Month>) =>
    edit(`${months[i] ?? ""} of the sun`, (p) =>
      withSun("place", {
        months: months.map((_, k) => ({ ...(p.sun?.place?.months?.[k] ?? open), ...(k === i ? part : {}) })),
      })(p),
    );
  const read = async (chosen: File | undefined) => {
    const hours = chosen ? readHours(await chosen.text()) : "No file was chosen.";
    setProblem(
      typeof hours === "string"
        ? hours
        : await edit("year by hours", withSun("place", { hourlyWPerM2: [...hours.wPerM2], hourlyC: [...hours.airC] })),
    );
  };
  return (
    <section aria-label="Months">
      <h3 className="section-title flex flex-wrap items-center gap-2">
        Months
        <button type="button" className="button font-normal" onClick={() => file.current?.click()}>
          {hourly ? "Another year by hours, CSV" : "Year by hours, CSV"}
        </button>
        {hourly && (
          <button
            type="button"
            className="button font-normal"
            onClick={() => void edit("months instead of hours", withSun("place", { hourlyWPerM2: [], hourlyC: [] }))}
          >
            Months instead
          </button>
        )}
        <span className="text-[12px] font-normal text-soft">
          {hourly
            ? "Light and temperature are those of the file; what is wanted is that of the months."
            : "Of a file count the last two columns: light on the ground, W/m², and temperature, °C, 8760 rows by the sun’s time."}
        </span>
      </h3>
      <input
        ref={file}
        type="file"
        accept=".csv,text/csv"
        className="sr-only"
        tabIndex={-1}
        aria-label="File of a year by hours"
        onChange={(e) => {
          void read(e.target.files?.[0]);
          e.target.value = "";
        }}
      />
      {problem && (
        <p role="alert" className="text-[12px] text-fails">
          {problem}
        </p>
      )}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Months, scrolls sideways">
        <table className="table w-auto">
          <thead>
            <tr>
              <th>month</th>
              <th className="num">clearness</th>
              <th className="num">mean, {units.unit("°C")}</th>
              <th className="num">wanted a day, {units.unit("m³")}</th>
              <th className="num">water a day</th>
              <th className="num">pumping</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, month }, i) => {
              const found = answer?.year?.months[i];
              return (
                <tr key={name}>
                  <td>{name}</td>
                  {(["clearness", "meanC", "demandM3PerDay"] as const).map((key) => (
                    <td key={key}>
                      <CellEntry
                        field={fields.SunMonth[key]}
                        whose={name}
                        width="w-20"
                        value={month[key] ?? null}
                        onCommit={(value: number | null) => change(i, { [key]: value })}
                      />
                    </td>
                  ))}
                  <td className="num">{found ? units.say(found.waterM3PerDay, "m³") : "–"}</td>
                  <td className="num">{found ? `${n(found.pumpingHours)} h` : "–"}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}
