import type { Check } from "../../api/client";
import { MarginBar } from "../../components/MarginBar";
import { VerdictMark } from "../../components/VerdictMark";
import { pair } from "../../lib/format";
import { findPoint } from "../../lib/specification";
import { checkKey, usage, verdictWords } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";

const tiles = 5;

/** The tightest checks of the plant in every scenario, nearest to failing first. It never leaves. */
export function Ledger({ onOpen }: { readonly onOpen: (check: Check) => void }) {
  const { project, before } = useProject();
  const { assessment, specification } = project;
  const judged = assessment.checks.filter((c) => c.verdict !== "not-applicable");
  const shown = judged.slice(0, tiles);
  const { counts } = assessment;
  return (
    <section aria-label="Ledger: the tightest checks" className="flex h-[92px] shrink-0 border-t border-rule bg-panel">
      <div className="w-[104px] shrink-0 border-r border-rule p-2">
        <h2 className="text-[15px] font-bold">Tightest</h2>
        <p className="text-[12px] leading-4 text-soft">
          of {judged.length} checks:
          <br />
          {counts.fails} fail, {counts.tight} tight
          <br />
          {counts.needsData} need data
        </p>
      </div>
      {shown.length === 0 && <p className="p-3 text-soft">No checks yet: add a drive point.</p>}
      {shown.map((check) => {
        const was = before?.checks.find((c) => checkKey(c) === checkKey(check));
        const point = findPoint(specification, check.drivePointId);
        return (
          <button
            key={checkKey(check)}
            type="button"
            onClick={() => onOpen(check)}
            className="flex min-w-0 flex-1 gap-2 border-r border-rule p-2 text-left last:border-r-0 hover:bg-plum-wash"
          >
            <span className="pt-0.5">
              <VerdictMark verdict={check.verdict} />
            </span>
            <span className="min-w-0 flex-1">
              <span className="block truncate font-semibold" title={check.title}>
                {check.title}
              </span>
              <span className="block truncate text-[12px] text-soft">
                {verdictWords[check.verdict]} ·{" "}
                {point ? `${point.tag} ${point.name}` : `plant, ${check.scenario || "any scenario"}`}
              </span>
              <span className="block truncate font-mono text-[12.5px]">{figureText(check)}</span>
              <span className="flex items-center gap-2 pt-1">
                <MarginBar verdict={check.verdict} used={usage(check)} before={was && usage(was)} />
              </span>
            </span>
          </button>
        );
      })}
    </section>
  );
}

/** Figure and limit in one line. */
export function figureText(check: Check): string {
  if (check.figure === null || check.limit === null) {
    return check.verdict === "needs-data" ? "data missing" : "no figure";
  }
  const [figure, limit] = pair(check.figure, check.limit);
  return `${figure} ${check.sense === "at-most" ? "of" : "for at least"} ${limit} ${check.unit}`;
}
