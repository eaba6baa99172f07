import { useState } from "react";
import { api, type DrivePoint, type ParameterOverview } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { useUnits, type Units } from "../../fields/useUnits";
import { useLab } from "../lineups/useLab";
import { usUnitOf } from "./commissioning";

/** Each parameter over all drive points: what is set alike and what is not. */
export function OverviewPart({
  points,
  onOpen,
}: {
  readonly points: readonly DrivePoint[];
  readonly onOpen: (pointId: string) => void;
}) {
  const units = useUnits();
  const [words, setWords] = useState("");
  const [onlyUnlike, setOnlyUnlike] = useState(false);
  const found = useLab<ParameterOverview[]>(["parameters"], (id) =>
    api.GET("/api/projects/{id}/parameters", { params: { path: { id } } }),
  );
  if (found.isPending) {
    return <Loading what="parameters" />;
  }
  if (found.isError) {
    return (
      <Failed what="The sheets could not be made." detail={found.error.message} retry={() => void found.refetch()} />
    );
  }
  const wanted = words.trim().toLowerCase();
  const rows = found.data.filter(
    (row) => row.name.toLowerCase().includes(wanted) && (!onlyUnlike || new Set(Object.values(row.values)).size > 1),
  );
  const shown = points.filter((p) => found.data.some((row) => p.id in row.values));
  return (
    <div className="mt-3">
      <div className="flex flex-wrap items-center gap-4">
        <label className="flex items-center gap-2">
          <span className="text-soft">Parameters with</span>
          <input className="entry w-52" value={words} onChange={(e) => setWords(e.target.value)} />
        </label>
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={onlyUnlike} onChange={(e) => setOnlyUnlike(e.target.checked)} />
          not alike everywhere
        </label>
        <span className="text-soft">
          {rows.length} of {found.data.length}
        </span>
      </div>
      <div className="mt-2 max-h-[72vh] overflow-auto">
        <table className="table" aria-label="Parameters of all drive points">
          <thead className="sticky top-0 z-10 bg-ground">
            <tr>
              <th className="sticky left-0 min-w-52 bg-ground">parameter</th>
              {shown.map((p) => (
                <th key={p.id} className="num whitespace-nowrap" title={p.name}>
                  <button type="button" className="text-plum underline" onClick={() => onOpen(p.id)}>
                    {p.tag}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.id}>
                <td className="sticky left-0 bg-ground">{row.name}</td>
                {shown.map((p) => (
                  <td
                    key={p.id}
                    className={
                      /^[\d−-]/.test(row.values[p.id] ?? "")
                        ? "num whitespace-nowrap text-[12px]"
                        : "min-w-28 max-w-36 text-right text-[12px]"
                    }
                  >
                    {p.id in row.values ? shownIn(row, row.values[p.id] || "–", units) : ""}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

/** A value in the project's units; power at a shaft is in hp where those are American. */
function shownIn(row: ParameterOverview, value: string, units: Units): string {
  const us = usUnitOf(row.id);
  const kilowatts = /^(\d+(?:\.\d+)?) kW$/.exec(value)?.[1];
  // Of four digits in kW three are left in hp: 50 hp is 37.28 kW, and not 49.99 hp.
  return us && kilowatts
    ? `${Number(units.value(Number(kilowatts), "kW", us).toPrecision(3))} ${units.unit("kW", us)}`
    : units.sentence(value);
}
