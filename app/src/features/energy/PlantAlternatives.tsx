import { useState } from "react";
import { api, type PlantAlternatives as Alternatives } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import { Empty } from "../../components/States";
import { StudyProgress } from "../../components/StudyProgress";
import { useProject } from "../../project/ProjectContext";
import { useLongStudy } from "../../project/useLongStudy";
import { CostPicture } from "./CostPicture";
import { CostCells, costHeads } from "./CostCells";
import { Sensitivity } from "./Sensitivity";

/** One way of driving for all drive points of the plant or a lineup, side by side. */
export function PlantAlternatives() {
  const { project } = useProject();
  const { lineups, tariff } = project.specification;
  const [lineup, setLineup] = useState("");
  const where = lineups.some((l) => l.id === lineup) ? lineup : "";
  const study = useLongStudy<Alternatives>(["alternatives", where], (id, mine, signal) =>
    api.GET("/api/projects/{id}/alternatives", {
      params: { path: { id }, query: { study: mine, ...(where === "" ? {} : { lineupId: where }) } },
      signal,
    }),
  );
  const { query } = study;
  return (
    <section aria-label="Alternatives" className="mt-6">
      <h3 className="section-title">Alternatives at equal delivered work</h3>
      <div className="max-w-96">
        <ChoiceField
          label="For"
          value={where}
          choices={{ "": "the whole plant", ...Object.fromEntries(lineups.map((l) => [l.id, `${l.tag} ${l.name}`])) }}
          onCommit={(id) => {
            setLineup(id);
            return Promise.resolve(undefined);
          }}
        />
      </div>
      <StudyProgress study={study} what="alternatives" />
      {!query.data ? null : query.data.rows.length === 0 ? (
        <Empty>No drive point is complete yet.</Empty>
      ) : (
        <Ways alternatives={query.data} currency={tariff.currency} />
      )}
    </section>
  );
}

function Ways({ alternatives, currency }: { readonly alternatives: Alternatives; readonly currency: string }) {
  const { rows, drivePoints, referenceWay, sensitivity } = alternatives;
  const reference = rows.find((r) => r.way === referenceWay);
  return (
    <>
      <p className="mt-1 text-soft">
        Each way is taken wherever it suits one of the {drivePoints} complete drive points; the others stay as
        specified. Compared with: {reference?.name}. Peak: sum of each one’s largest power.
      </p>
      <CostPicture
        of={rows.map((r) => ({ ...r, isChosen: r.way === "as-specified", isReference: r.way === referenceWay }))}
        currency={currency}
        width={720}
      />
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Ways of driving, scrolls sideways">
        <table className="table mt-1">
          <thead>
            <tr>
              <th className="align-bottom">way, lowest life-cycle cost first</th>
              <th className="num align-bottom">suits</th>
              {costHeads(currency).map((h) => (
                <th key={h} className="num align-bottom whitespace-normal!">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((r, i) => (
              <tr key={r.way} className={r.way === "as-specified" ? "bg-plum-wash font-semibold" : ""}>
                <td className="min-w-56">
                  {i + 1}. {r.name}
                </td>
                <td className="num">{r.way === "as-specified" ? "–" : r.applied}</td>
                <CostCells of={r} isReference={r.way === referenceWay} />
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Sensitivity corners={sensitivity.map((c) => ({ ...c, bestKey: c.bestWay }))} currency={currency} />
    </>
  );
}
