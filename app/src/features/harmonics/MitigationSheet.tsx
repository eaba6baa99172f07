import { useState } from "react";
import { api, type Mitigation } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { StudyProgress } from "../../components/StudyProgress";
import { VerdictMark } from "../../components/VerdictMark";
import { n } from "../../lib/format";
import { findPoint } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";
import { useLongStudy } from "../../project/useLongStudy";

/** The mitigation workbench: front ends for the plant, a lineup or one drive, each assessed in the whole plant. */
export function MitigationSheet({ onClose }: { readonly onClose: () => void }) {
  const { project, run } = useProject();
  const { lineups, tariff } = project.specification;
  const [scope, setScope] = useState("");
  const [kind, key] = scope.split(":");
  const scopeName =
    kind === "lineup"
      ? (lineups.find((l) => l.id === key)?.tag ?? "")
      : kind === "point"
        ? (findPoint(project.specification, key ?? "")?.tag ?? "")
        : "the plant";
  const study = useLongStudy<Mitigation>(["mitigation", scope], (id, mine, signal) =>
    api.GET("/api/projects/{id}/mitigation", {
      params: {
        path: { id },
        query: {
          study: mine,
          ...(kind === "lineup" ? { lineupId: key ?? "" } : kind === "point" ? { drivePointId: key ?? "" } : {}),
        },
      },
      signal,
    }),
  );
  const { query } = study;
  return (
    <Sheet title="Mitigation workbench" onClose={onClose} size="full">
      <label className="flex items-center gap-2">
        For
        <select className="entry w-72" value={scope} onChange={(e) => setScope(e.target.value)}>
          <option value="">the whole plant</option>
          {lineups.map((l) => (
            <option key={l.id} value={`lineup:${l.id}`}>
              {l.tag} {l.name}
            </option>
          ))}
          {lineups.flatMap((l) =>
            l.drivePoints.map((p) => (
              <option key={p.id} value={`point:${p.id}`}>
                {p.tag} {p.name}
              </option>
            )),
          )}
        </select>
        <span className="text-[12px] text-soft">each way assessed in the whole plant, over all scenarios</span>
      </label>
      <StudyProgress study={study} what="ways" />
      {query.data && (
        <>
          <table className="table mt-3" aria-label="Ways of mitigating">
            <thead>
              <tr>
                <th>way</th>
                <th className="num">THDi, %</th>
                <th className="num">TDD, %</th>
                <th className="num">nearest order, % of limit</th>
                <th className="num">THDv, %</th>
                <th className="num">MWh a year</th>
                <th className="num">price, {tariff.currency}</th>
                <th className="num">life-cycle cost, {tariff.currency}</th>
                <th className="num">width, mm</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {query.data.ways.map((w) => (
                <tr key={w.id}>
                  <td>
                    <span className="flex items-baseline gap-1">
                      <VerdictMark verdict={w.complies ? "holds" : "fails"} size={9} labelled />
                      <span>
                        {w.name}
                        {w.changed > 0 && <span className="text-soft"> · {w.changed} changed</span>}
                        {w.spoils !== "" && <span className="block text-[12px] text-soft">spoilt by: {w.spoils}</span>}
                        {!w.complies && (
                          <span className="block text-[12px] text-fails">
                            {w.fails} harmonic {w.fails === 1 ? "check fails" : "checks fail"}
                          </span>
                        )}
                      </span>
                    </span>
                  </td>
                  <td className="num">{n(w.thdiPct, 3)}</td>
                  <td className="num">{n(w.tddPct, 3)}</td>
                  <td className="num">{n(w.orderUsePct, 3)}</td>
                  <td className="num">{n(w.thdvPct, 3)}</td>
                  <td className="num">{n(w.energyKwh / 1000, 4)}</td>
                  <td className="num">{n(w.equipmentCost, 4)}</td>
                  <td className="num font-semibold">{n(w.lifetimeCost, 5)}</td>
                  <td className="num">{n(w.widthMm, 4)}</td>
                  <td>
                    {w.id !== "as-is" && (
                      <button
                        type="button"
                        className="button"
                        onClick={() =>
                          void run({ kind: "mitigate", name: `${w.name}, ${scopeName}`, change: w.change })
                        }
                      >
                        Try for {scopeName}
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-[13px]">
            {query.data.filterA > 0
              ? `A central active filter at low voltage would need about ${n(query.data.filterA, 3)} A, a fifth of margin included, to bring the coupling within its limits; voltages inside the plant are not in that figure.`
              : "No central active filter is needed for the coupling."}{" "}
            Those that comply stand first, the least life-cycle cost first. Undo takes a try back.
          </p>
        </>
      )}
    </Sheet>
  );
}
