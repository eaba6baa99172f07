import type { CabinetAnswer } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import type { Selection } from "../board/selection";
import type { Unit } from "./cabinets";

/** The chosen unit: what it loses, what it takes in, where it stands. */
export function UnitPanel({
  answer,
  unit,
  onMove,
  onCell,
}: {
  readonly answer: CabinetAnswer;
  readonly unit: Unit;
  readonly onMove: (section: number | null) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { say } = useUnits();
  const at = answer.sections.find((s) => s.units.some((u) => u.id === unit.id));
  const rows: readonly (readonly [string, string])[] = [
    ["Size", [unit.widthMm, unit.heightMm, unit.depthMm].map((mm) => say(mm, "mm")).join(" × ")],
    ["Mass", say(unit.massKg, "kg")],
    ["Loss, worst scenario", unit.lossW === null ? "needs data" : say(unit.lossW, "W")],
    ["Its own air", unit.airM3PerH > 0 ? say(unit.airM3PerH, "m³/h") : "no fan"],
    ["Takes in at most", unit.inletC === null ? "needs data" : say(unit.inletC, "°C")],
  ];
  return (
    <section aria-label="Chosen unit" className="max-w-[860px] border border-plum bg-card p-2">
      <div className="flex flex-wrap items-center gap-3">
        <strong>{unit.name}</strong>
        <label className="flex items-center gap-2">
          <span className="text-soft">Section</span>
          <select
            className="field"
            value={unit.byHand ? String(at?.number ?? "") : ""}
            onChange={(e) => onMove(e.target.value === "" ? null : Number(e.target.value))}
          >
            <option value="">{unit.byHand ? "in the order of the power" : `${at?.number ?? "–"}, by itself`}</option>
            {answer.sections
              .filter((s) => s.kind === "units")
              .map((s) => (
                <option key={s.number} value={s.number}>
                  {s.number}, by hand
                </option>
              ))}
            <option value={answer.sections.length}>{answer.sections.length}, a new one, by hand</option>
          </select>
        </label>
        {unit.pointId !== "" && (
          <button
            type="button"
            className="button"
            onClick={() => onCell({ point: unit.pointId, row: "converter", columns: [unit.pointId] })}
          >
            Its cell on the board
          </button>
        )}
      </div>
      <dl className="mt-1 flex flex-wrap gap-x-6">
        {rows.map(([name, value]) => (
          <div key={name}>
            <dt className="inline text-soft">{name}: </dt>
            <dd className="inline font-mono">{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
