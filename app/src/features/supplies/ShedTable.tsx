import { useState } from "react";
import { api, type SheddingAnswer } from "../../api/client";
import { Button } from "../../components/Button";
import { Failed, Loading } from "../../components/States";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { useLab } from "../lineups/useLab";

/** What has to be given up for the generator to hold; asked for, since every step is a plant computed. */
export function ShedTable() {
  const [asked, setAsked] = useState(false);
  return (
    <section aria-label="What must be shed or filtered">
      <h3 className="section-title flex items-center gap-2">
        What must be shed or filtered
        {!asked && (
          <button type="button" className="button font-normal" onClick={() => setAsked(true)}>
            Find it
          </button>
        )}
      </h3>
      {asked && <Found />}
    </section>
  );
}

function Found() {
  const { run } = useProject();
  const found = useLab<SheddingAnswer>(["shedding"], (id) =>
    api.GET("/api/projects/{id}/generator/shedding", { params: { path: { id } } }),
  );
  if (found.isPending) {
    return <Loading what="steps" />;
  }
  if (found.isError) {
    return <Failed what="It could not be found." detail={found.error.message} />;
  }
  const { steps, left, filterA, filteredPct } = found.data;
  return (
    <>
      {steps.length === 0 && left.length === 0 && <p>Nothing: it holds as it is.</p>}
      {steps.length > 0 && (
        <>
          <table className="table max-w-[900px]">
            <thead>
              <tr>
                <th>step</th>
                <th>scenario</th>
                <th>switched off</th>
                <th>since</th>
              </tr>
            </thead>
            <tbody>
              {steps.map((s, i) => (
                <tr key={`${s.scenarioId} ${s.what}`}>
                  <td>{i + 1}</td>
                  <td>{s.scenario}</td>
                  <td>{s.what}</td>
                  <td>{s.why}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1">
            <Button isMain onClick={() => void run({ kind: "shed-on-generator" })}>
              Switch these off in the scenario
            </Button>
          </p>
        </>
      )}
      {filterA !== null && filteredPct !== null && (
        <p className="mt-1">
          Instead of what distorts: an active filter of {n(filterA)} A at the generator’s bus leaves {n(filteredPct)} %
          of distortion.
        </p>
      )}
      {left.length > 0 && (
        <p className="mt-1 border-l-4 border-fails pl-2">
          {steps.length > 0
            ? "After all steps this still fails, for less load does not mend it: "
            : "Fails, and less load does not mend it: "}
          {left.join("; ")}.
        </p>
      )}
    </>
  );
}
