import { useMemo, useState } from "react";
import { Sheet } from "../components/Sheet";
import { useUnits } from "../fields/useUnits";
import { placeInWords, valueInWords } from "./fieldWords";
import { merge } from "./merge";
import { useProject } from "./ProjectContext";

/** Offers a stale edit again: merged by field, with a choice where both sides changed the same. */
export function ConflictSheet() {
  const { conflict, settle } = useProject();
  const units = useUnits();
  const [prefer, setPrefer] = useState<"mine" | "theirs">("mine");
  const merged = useMemo(
    () => conflict && merge(conflict.stale.base, conflict.mine, conflict.stale.current.specification, prefer),
    [conflict, prefer],
  );
  if (!conflict || !merged) {
    return null;
  }
  return (
    <Sheet title="Another window saved first" onClose={() => void settle(undefined)} size="wide">
      <p>
        Your change “{conflict.label}” was made on an older edit and has not been saved. Edit{" "}
        {conflict.stale.current.edit} (“
        {conflict.stale.current.label}”) is in force.
      </p>
      <h3 className="section-title">Your change</h3>
      <ul className="list-disc pl-5">
        {merged.mine.map((c) => (
          <li key={c.path}>
            {placeInWords(c.path)}: <span className="font-mono">{valueInWords(c.path, c.before, units)}</span> →{" "}
            <span className="font-mono">{valueInWords(c.path, c.after, units)}</span>
          </li>
        ))}
      </ul>
      {merged.conflicts.length > 0 && (
        <>
          <h3 className="section-title">Changed on both sides</h3>
          <table className="table">
            <thead>
              <tr>
                <th>field</th>
                <th>yours</th>
                <th>theirs</th>
              </tr>
            </thead>
            <tbody>
              {merged.conflicts.map((c) => (
                <tr key={c.path}>
                  <td>{placeInWords(c.path)}</td>
                  <td className="font-mono">{valueInWords(c.path, c.mine, units)}</td>
                  <td className="font-mono">{valueInWords(c.path, c.theirs, units)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <fieldset className="mt-2 flex gap-4">
            <legend className="sr-only">Which side counts where both changed the same</legend>
            {(["mine", "theirs"] as const).map((side) => (
              <label key={side} className="flex items-center gap-1">
                <input
                  type="radio"
                  name="prefer"
                  className="accent-plum"
                  checked={prefer === side}
                  onChange={() => setPrefer(side)}
                />
                {side === "mine" ? "mine counts" : "theirs counts"}
              </label>
            ))}
          </fieldset>
        </>
      )}
      <div className="mt-4 flex gap-2">
        <button type="button" className="button button-main" onClick={() => void settle(merged.value)}>
          Save the merged version
        </button>
        <button type="button" className="button" onClick={() => void settle(undefined)}>
          Drop my change
        </button>
      </div>
    </Sheet>
  );
}
