import { Fragment } from "react";
import type { Lineup, OnePhaseAnswer } from "../../api/client";
import { CellEntry } from "../../fields/Entries";
import type { Field } from "../../fields/field";
import { fields } from "../../fields/table";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import {
  machineColumns,
  withChanged,
  withMachine,
  withOnePhase,
  without,
  type Machine,
  type OnePhase,
} from "./onePhase";

/** The machines that are to be run, a row each; what the catalogue adds stands grey in the entry. */
export function MachineTable({
  lineup,
  one,
  answer,
}: {
  readonly lineup: Lineup;
  readonly one: OnePhase;
  readonly answer: OnePhaseAnswer | undefined;
}) {
  const { edit } = useProject();
  const units = useUnits();
  const machines = one.machines ?? [];
  const change = (what: string, next: (o: OnePhase) => OnePhase) =>
    edit(`${lineup.tag}: ${what}`, withOnePhase(lineup.id, next));
  const foundOf = (m: Machine) => answer?.machines.find((x) => x.id === m.id);
  return (
    <section aria-label="Machines">
      <h3 className="section-title flex items-center gap-2">
        Machines
        <button type="button" className="button font-normal" onClick={() => void change("a machine more", withMachine)}>
          Add machine
        </button>
      </h3>
      {machines.length === 0 ? (
        <p className="text-soft">List what is to be run: motor, start, hours, whether its speed is to be set.</p>
      ) : (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Machines, scrolls sideways">
          <table className="table w-auto">
            <thead>
              <tr>
                {machineColumns.map((c) => {
                  const field: Field = fields.OnePhaseMachine[c.key];
                  const unit = field.kind === "number" && field.unit ? units.unit(field.unit, field.us) : "";
                  return <th key={c.key}>{unit ? `${c.head}, ${unit}` : c.head}</th>;
                })}
                <th>
                  <span className="sr-only">remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {machines.map((m) => {
                const found = foundOf(m);
                return (
                  <Fragment key={m.id}>
                    <tr>
                      {machineColumns.map((c) => (
                        <td key={c.key}>
                          <CellEntry
                            field={fields.OnePhaseMachine[c.key]}
                            whose={m.name}
                            width={c.width}
                            value={m[c.key] ?? null}
                            onCommit={(value: never) =>
                              change(`${c.head} of ${m.name}`, (o) => withChanged(o, m.id, { [c.key]: value }))
                            }
                          />
                        </td>
                      ))}
                      <td>
                        <button
                          type="button"
                          className="button"
                          aria-label={`Remove ${m.name}`}
                          onClick={() => void change(`without ${m.name}`, (o) => without(o, m.id))}
                        >
                          ×
                        </button>
                      </td>
                    </tr>
                    <tr>
                      <td colSpan={machineColumns.length + 1} className="pt-0 pl-3 text-[12px] text-soft">
                        {compared(found)}
                      </td>
                    </tr>
                  </Fragment>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

// What is compared, and where figures come from that nobody entered.
function compared(found: OnePhaseAnswer["machines"][number] | undefined): string {
  const f = found?.figures;
  if (!f) {
    return found && found.missing.length > 0 ? `needs ${found.missing.join(", ")}` : "";
  }
  const taken = found.fromCatalogue.length > 0 ? `; ${found.fromCatalogue.join(", ")} of ${found.motor}` : "";
  return `compared with efficiency ${n(100 * f.efficiencyPu)} %, cos φ ${n(f.powerFactor, 2)}, linked for ${n(f.motorVoltageV)} V${taken}`;
}
