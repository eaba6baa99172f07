import type { Outcome } from "../../components/draft";
import { CellEntry } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { n } from "../../lib/format";
import type { Plan, PointAnswer } from "./signals";

/** Preset speeds and the states of the inputs that choose them. */
export function PresetSpeeds({
  plan,
  found,
  tag,
  change,
}: {
  readonly plan: Plan;
  readonly found: PointAnswer | undefined;
  readonly tag: string;
  readonly change: (what: string, next: (plan: Plan) => Plan) => Promise<Outcome>;
}) {
  const presets = plan.presets ?? [];
  const table = found?.presets;
  if (!table) {
    return null;
  }
  const set = (i: number, frequencyHz: number | null) =>
    change("preset speed", (p) => ({
      ...p,
      presets: (p.presets ?? []).map((speed, k) => (k === i ? { frequencyHz } : speed)),
    }));
  return (
    <section aria-label="Preset speeds">
      <h3 className="section-title">Preset speeds</h3>
      <table className="table w-auto">
        <thead>
          <tr>
            {table.bits.map((bit, i) => (
              <th key={bit} title={bit}>
                bit {i}
              </th>
            ))}
            <th className="num">Hz</th>
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, state) => (
            <tr key={state}>
              {row.on.map((on, i) => (
                <td key={i} className="font-mono">
                  {on ? "1" : "0"}
                </td>
              ))}
              <td className="num">
                {state === 0 ? (
                  "reference"
                ) : state <= presets.length ? (
                  <CellEntry
                    field={fields.PresetSpeed.frequencyHz}
                    value={presets[state - 1]?.frequencyHz ?? null}
                    whose={`${tag}, ${state}`}
                    onCommit={(value: number | null) => set(state - 1, value)}
                  />
                ) : (
                  "–"
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {found.outOfReach > 0 && (
        <p className="text-fails">
          {n(found.outOfReach)} of the preset speeds can’t be chosen: a further input is missing.
        </p>
      )}
      <div className="mt-1 flex gap-2">
        {presets.length < 7 && (
          <button
            type="button"
            className="button"
            onClick={() =>
              void change("preset speed", (p) => ({ ...p, presets: [...(p.presets ?? []), { frequencyHz: null }] }))
            }
          >
            Add a preset speed
          </button>
        )}
        {presets.length > 0 && (
          <button
            type="button"
            className="button"
            onClick={() => void change("preset speed", (p) => ({ ...p, presets: (p.presets ?? []).slice(0, -1) }))}
          >
            Remove the last
          </button>
        )}
      </div>
    </section>
  );
}
