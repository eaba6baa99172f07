import { useState } from "react";
import type { FluidMachine } from "../../../api/client";
import { CellQuantity } from "../../../components/CellFields";
import { useList } from "../../../components/useList";
import { n } from "../../../lib/format";
import { focusWhenThere } from "../../../lib/focusWhenThere";
import { quantityIn } from "../../../fields/units";
import type { PointEdit } from "../usePointEdit";
import { CsvSheet } from "./CsvSheet";

type Duty = FluidMachine["duty"];

/** Hours of a year at each level. */
export function DutyEntry({
  level,
  duty,
  onChange,
}: {
  readonly level: string;
  readonly duty: Duty;
  readonly onChange: (duty: Duty) => ReturnType<PointEdit>;
}) {
  const [reading, setReading] = useState(false);
  const edit = useList(duty, onChange);
  const total = duty.reduce((sum, d) => sum + d.hoursPerYear, 0);
  const replace = (index: number, change: Partial<Duty[number]>) =>
    edit((now) => now.map((d, i) => (i === index ? { ...d, ...change } : d)));
  return (
    <section aria-label={`Hours at each ${level}`}>
      <h3 className="section-title">Hours at each {level}</h3>
      <table className="table">
        <thead>
          <tr>
            <th>{level}, % of rated</th>
            <th>hours per year</th>
            <th>
              <span className="sr-only">remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {duty.map((d, i) => (
            <tr key={i}>
              <td>
                <CellQuantity
                  label={`${level[0]?.toUpperCase()}${level.slice(1)} of duty point ${i + 1}, %`}
                  quantity={quantityIn("si", "%/part")}
                  value={d.levelPu}
                  onCommit={(levelPu) => replace(i, { levelPu })}
                />
              </td>
              <td>
                <CellQuantity
                  label={`Hours of duty point ${i + 1}`}
                  quantity={quantityIn("si", "h")}
                  value={d.hoursPerYear}
                  onCommit={(hoursPerYear) => replace(i, { hoursPerYear })}
                />
              </td>
              <td>
                <button
                  type="button"
                  className="button"
                  aria-label={`Remove duty point ${i + 1}`}
                  onClick={() => void edit((now) => now.filter((_, k) => k !== i))}
                >
                  ×
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 flex items-center justify-between">
        <button
          type="button"
          className="button"
          onClick={() => {
            void edit((now) => [...now, { levelPu: duty.length === 0 ? 1 : 0.8, hoursPerYear: 0 }]);
            focusWhenThere(`[aria-label$=" of duty point ${duty.length + 1}, %"]`);
          }}
        >
          Add duty point
        </button>
        <button type="button" className="button" onClick={() => setReading(true)}>
          From CSV …
        </button>
        <span className="text-soft">
          together <span className="font-mono">{n(total, 4)}</span> h of 8760 h
        </span>
      </p>
      {reading && (
        <CsvSheet
          title={`Hours at each ${level} from CSV`}
          columns={[
            { key: "level", name: `${level}, % of rated` },
            { key: "hours", name: "hours per year" },
          ]}
          onClose={() => setReading(false)}
          onTake={(rows) =>
            onChange(rows.map((r) => ({ levelPu: (r["level"] ?? 0) / 100, hoursPerYear: r["hours"] ?? 0 })))
          }
        />
      )}
    </section>
  );
}
