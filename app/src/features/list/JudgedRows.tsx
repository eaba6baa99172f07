import { useState } from "react";
import type { JudgedRow } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";

const words: Readonly<Record<JudgedRow["outcome"], string>> = {
  new: "new",
  changes: "changes",
  same: "says nothing new",
  refused: "refused",
  empty: "empty",
};

/** Rows of a list with what becomes of each, and why. */
export function JudgedRows({ rows }: { readonly rows: readonly JudgedRow[] }) {
  const units = useUnits();
  const [only, setOnly] = useState<JudgedRow["outcome"]>();
  const outcomes = (Object.keys(words) as JudgedRow["outcome"][]).filter((o) => rows.some((r) => r.outcome === o));
  return (
    <>
      <p className="mt-2 flex flex-wrap gap-2" role="group" aria-label="Rows shown">
        {outcomes.map((o) => (
          <button
            key={o}
            type="button"
            className={`button ${only === o ? "button-main" : ""}`}
            aria-pressed={only === o}
            onClick={() => setOnly(only === o ? undefined : o)}
          >
            {rows.filter((r) => r.outcome === o).length} {words[o]}
          </button>
        ))}
      </p>
      <div className="mt-1 max-h-[38vh] overflow-auto" tabIndex={0} role="region" aria-label="Rows of the list">
        <table className="table text-[12.5px]">
          <thead>
            <tr>
              <th className="num">row</th>
              <th>tag</th>
              <th>name</th>
              <th>load</th>
              <th>what becomes of it</th>
            </tr>
          </thead>
          <tbody>
            {rows
              .filter((r) => (only === undefined ? r.outcome !== "empty" : r.outcome === only))
              .map((r) => (
                <tr key={r.number}>
                  <td className="num">{r.number}</td>
                  <td className="font-semibold text-plum">{r.tag}</td>
                  <td>{r.name}</td>
                  <td>{r.load}</td>
                  <td className="whitespace-normal!">
                    <span className="flex items-baseline gap-1.5">
                      <VerdictMark
                        verdict={r.outcome === "refused" ? "fails" : r.assumed.length > 0 ? "tight" : "holds"}
                        size={10}
                      />
                      <span>
                        <strong>{words[r.outcome]}</strong>
                        {r.problems.length > 0 && (
                          <span className="text-fails">: {units.sentence(r.problems.join(" "))}</span>
                        )}
                        {r.changes.length > 0 && `: ${units.sentence(r.changes.join("; "))}`}
                        {r.assumed.length > 0 && (
                          <span className="text-soft">; assumed: {units.sentence(r.assumed.join(", "))}</span>
                        )}
                      </span>
                    </span>
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
