import { useState } from "react";
import type { Outcome } from "../../components/draft";
import { Sheet } from "../../components/Sheet";
import { Empty } from "../../components/States";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { MotorListEntry } from "./MotorListEntry";
import { PlateEntry } from "./PlateEntry";
import { fields } from "../../fields/table";
import { type OwnMotor } from "./plate";

/** The project's own motors: by hand from a data plate, or from a list. They stand among the candidates. */
export function OwnMotorsSheet({ onClose }: { readonly onClose: () => void }) {
  const { project, edit } = useProject();
  const { motors, lineups } = project.specification;
  const [adding, setAdding] = useState<"plate" | "list">();
  const used = new Set(
    lineups.flatMap((l) => l.drivePoints).flatMap((p) => (p.motor.kind === "catalogue" ? [p.motor.itemId] : [])),
  );
  const assumed = new Map(project.assessment.ownMotors.map((o) => [o.item.id, o.assumed]));
  const take = async (more: readonly OwnMotor[]): Promise<Outcome> => {
    const label = more.length === 1 ? `Own motor ${more[0]?.name ?? ""}` : `${more.length} own motors`;
    const outcome = await edit(label, (s) => ({ ...s, motors: [...s.motors, ...more] }));
    if (outcome === undefined) {
      setAdding(undefined);
    }
    return outcome;
  };
  const remove = (motor: OwnMotor) =>
    edit(`Remove own motor ${motor.name}`, (s) => ({ ...s, motors: s.motors.filter((x) => x.id !== motor.id) }));
  return (
    <Sheet title="Own motors" onClose={onClose} size="full">
      <p className="text-soft">
        Real motors of this project. The plate is reproduced exactly; what a plate leaves open is taken from the generic
        motor of the same kind next in size, and named.
      </p>
      {motors.length === 0 && !adding && <Empty>None yet.</Empty>}
      {motors.length > 0 && (
        <table className="table mt-2">
          <thead>
            <tr>
              <th>name</th>
              <th>kind</th>
              <th className="num">kW</th>
              <th className="num">V</th>
              <th className="num">A</th>
              <th className="num">rpm</th>
              <th className="num">η %</th>
              <th>taken from the generic series</th>
              <th>
                <span className="sr-only">remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {motors.map((m) => (
              <tr key={m.id}>
                <td>{m.name}</td>
                <td>{fields.OwnMotor.technology.choices[m.technology]}</td>
                <td className="num">{n(m.ratedPowerKw)}</td>
                <td className="num">
                  {m.deltaVoltageV === null ? "" : `${n(m.deltaVoltageV)} Δ, `}
                  {n(m.ratedVoltageV)}
                </td>
                <td className="num">{n(m.ratedCurrentA)}</td>
                <td className="num">{n(m.ratedSpeedRpm, 4)}</td>
                <td className="num">{n(m.efficiencyPct)}</td>
                <td className="text-[12px] text-soft">{assumed.get(m.id)?.join(", ")}</td>
                <td>
                  {used.has(m.id) ? (
                    <span className="text-soft">in use</span>
                  ) : (
                    <button
                      type="button"
                      className="button"
                      aria-label={`Remove ${m.name}`}
                      onClick={() => void remove(m)}
                    >
                      ×
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {!adding && (
        <div className="mt-3 flex gap-2">
          <button type="button" className="button button-main" onClick={() => setAdding("plate")}>
            Enter a data plate …
          </button>
          <button type="button" className="button" onClick={() => setAdding("list")}>
            From a list (CSV, XLSX) …
          </button>
        </div>
      )}
      {adding === "plate" && <PlateEntry taken={motors} onTake={take} onCancel={() => setAdding(undefined)} />}
      {adding === "list" && <MotorListEntry taken={motors} onTake={take} onCancel={() => setAdding(undefined)} />}
    </Sheet>
  );
}
