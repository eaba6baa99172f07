import { useState } from "react";
import type { SiteEntry, SiteStep } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { n, when } from "../../lib/format";
import { compared, resultIn } from "./commissioning";

/** Entries of a step, newest first; two of them side by side. */
export function EntryList({ step, entries }: { readonly step: SiteStep; readonly entries: readonly SiteEntry[] }) {
  const units = useUnits();
  const [chosen, setChosen] = useState<readonly number[]>([]);
  if (entries.length === 0) {
    return null;
  }
  const corrected = new Set(entries.flatMap((e) => (e.corrects === null ? [] : [e.corrects])));
  const [earlier, later] = entries.filter((e) => chosen.includes(e.number)).sort((a, b) => a.number - b.number);
  const rows = earlier && later ? compared(step, earlier, later) : [];
  return (
    <section aria-label={`Entries of ${step.title}`} className="mt-3">
      <h4 className="section-title">Entries</h4>
      <table className="table">
        <thead>
          <tr>
            <th className="num">entry</th>
            <th>when</th>
            <th>who</th>
            <th>found</th>
            <th>with</th>
            {step.quantities.length > 0 && entries.length > 1 && <th>compare</th>}
          </tr>
        </thead>
        <tbody>
          {entries.map((e) => (
            <tr key={e.number} className={corrected.has(e.number) ? "text-soft line-through" : undefined}>
              <td className="num">{e.number}</td>
              <td className="whitespace-nowrap">{when(e.atUtc)}</td>
              <td>{e.who}</td>
              <td>
                {resultIn(e.stepId, e.result, units)}
                {e.note !== "" && <span className="text-soft"> — {e.note}</span>}
                {e.corrects !== null && <span className="text-soft"> (corrects {e.corrects})</span>}
                {e.simulated && <b> simulated</b>}
              </td>
              <td className="text-soft">
                {[e.instrument, e.calibrated && `calibrated ${e.calibrated}`].filter(Boolean).join(", ")}
              </td>
              {step.quantities.length > 0 && entries.length > 1 && (
                <td>
                  <input
                    type="checkbox"
                    aria-label={`Compare entry ${e.number}`}
                    checked={chosen.includes(e.number)}
                    onChange={(c) =>
                      setChosen(
                        c.target.checked
                          ? [...chosen, e.number].slice(-2)
                          : chosen.filter((number) => number !== e.number),
                      )
                    }
                  />
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {earlier && later && (
        <table className="table mt-2 max-w-xl" aria-label="Compared">
          <thead>
            <tr>
              <th>quantity</th>
              <th className="num">entry {earlier.number}</th>
              <th className="num">entry {later.number}</th>
              <th className="num">change</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.name}>
                <td>{r.name}</td>
                <td className="num">{units.entered(r.was, r.unit)}</td>
                <td className="num">{units.entered(r.is, r.unit)}</td>
                <td className="num">{r.was === 0 ? "–" : `${n(100 * (r.is / r.was - 1), 3)} %`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
