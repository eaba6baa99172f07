import { useSearchParams } from "react-router";
import type { CheckKey } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { worst } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";
import type { Selection } from "../board/selection";
import { SunPage } from "./SunPage";
import { couldBeSunny, sunPoints } from "./supplies";

/** Supplies that are no ordinary mains: each with a page of its own. */
export function SuppliesPage({
  onReason,
  onCell,
}: {
  readonly onReason: (check: CheckKey) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project, run } = useProject();
  const [search, setSearch] = useSearchParams();
  const sunny = sunPoints(project.specification);
  const wanted = search.get("point");
  const shown = sunny.find((p) => p.id === wanted) ?? sunny[0];
  const candidates = couldBeSunny(project.specification);
  const show = (point: string) => setSearch({ point }, { replace: true });
  const verdictOf = (point: string) =>
    worst(
      project.assessment.checks.filter((c) => c.drivePointId === point && c.id.startsWith("pv.")).map((c) => c.verdict),
    );
  return (
    <div className="p-4">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-[17px] font-bold">Special supplies</h2>
        <nav aria-label="Supplies" className="flex flex-wrap gap-2">
          {sunny.map((p) => {
            const verdict = verdictOf(p.id);
            return (
              <button
                key={p.id}
                type="button"
                className={`button flex items-center gap-1 ${p.id === shown?.id ? "border-plum font-semibold" : ""}`}
                aria-pressed={p.id === shown?.id}
                onClick={() => show(p.id)}
              >
                {verdict && <VerdictMark verdict={verdict} size={9} labelled />}
                {p.tag} {p.name}, sun
              </button>
            );
          })}
        </nav>
        {candidates.length > 0 && (
          <label className="flex items-center gap-2 text-[12px]">
            Feed a pump from the sun
            <select
              className="entry w-56"
              value=""
              onChange={(e) => {
                const point = e.target.value;
                if (point) {
                  void run({ kind: "feed-from-sun", pointId: point, back: false }).then(() => show(point));
                }
              }}
            >
              <option value="">choose a drive point …</option>
              {candidates.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.tag} {p.name}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      {shown ? (
        <SunPage key={shown.id} point={shown} onReason={onReason} onCell={onCell} />
      ) : (
        <p className="mt-3 max-w-[640px] text-soft">
          Every drive point is fed from its lineup. A pump can be fed from the sun: choose it above; add a drive point
          with a pump on the board first where there is none.
        </p>
      )}
    </div>
  );
}
