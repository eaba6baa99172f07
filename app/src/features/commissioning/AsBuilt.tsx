import type { AsBuiltProposal, DrivePoint, SitePoint } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { changePoints } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";

const names: Readonly<Record<AsBuiltProposal["entry"], readonly [string, string]>> = {
  "cable-length-m": ["length of the motor cable", "m"],
  "no-load-current-a": ["no-load current of the motor, by its plate", "A"],
};

/** What was measured and is otherwise than specified: taken into the specification one by one. */
export function AsBuilt({ point, found }: { readonly point: DrivePoint; readonly found: SitePoint }) {
  const { edit } = useProject();
  const units = useUnits();
  if (found.asBuilt.length === 0) {
    return null;
  }
  const take = (proposal: AsBuiltProposal) =>
    void edit(`${point.tag}: ${names[proposal.entry][0]} as built`, (s) =>
      proposal.entry === "cable-length-m"
        ? changePoints(s, [point.id], (p) => ({ ...p, cable: { ...p.cable, lengthM: proposal.measured } }))
        : {
            ...s,
            motors: s.motors.map((m) => (m.id === proposal.itemId ? { ...m, noLoadCurrentA: proposal.measured } : m)),
          },
    );
  return (
    <section aria-label="As built" className="mt-3">
      <h4 className="section-title">As built</h4>
      <ul>
        {found.asBuilt.map((p) => {
          const [name, unit] = names[p.entry];
          return (
            <li key={p.entry} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1">
              <span>
                {name}: <span className="font-mono">{units.entered(p.measured, unit)}</span> measured (entry {p.number}
                ),{" "}
                {p.specified === null ? (
                  "not specified"
                ) : (
                  <>
                    <span className="font-mono">{units.entered(p.specified, unit)}</span> specified
                  </>
                )}
              </span>
              <button type="button" className="button ml-auto" onClick={() => take(p)}>
                Take into the specification
              </button>
            </li>
          );
        })}
      </ul>
      <p className="mt-1 text-soft">
        Taken, it is an edit like any other: figures move, and what rests on it becomes stale.
      </p>
    </section>
  );
}
