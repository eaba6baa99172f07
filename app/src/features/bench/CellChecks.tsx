import type { Check } from "../../api/client";
import { MarginBar } from "../../components/MarginBar";
import { VerdictWord } from "../../components/VerdictMark";
import { usage } from "../../lib/verdict";
import type { Row } from "../board/selection";
import { figureText } from "../ledger/Ledger";
import { useProject } from "../project/ProjectContext";

/** The checks of a cell; each opens its reason. */
export function CellChecks({
  point,
  row,
  onReason,
}: {
  readonly point: string;
  readonly row: Row;
  readonly onReason: (check: Pick<Check, "id" | "drivePointId">) => void;
}) {
  const { project } = useProject();
  const checks = project.assessment.checks.filter((c) => c.drivePointId === point && c.row === row);
  return checks.length === 0 ? null : (
    <section aria-label="Checks of this cell">
      <h3 className="section-title">Checks</h3>
      <CheckList checks={checks} onReason={onReason} />
    </section>
  );
}

/** Checks in a list; each opens its reason. */
export function CheckList({
  checks,
  onReason,
}: {
  readonly checks: readonly Check[];
  readonly onReason: (check: Pick<Check, "id" | "drivePointId">) => void;
}) {
  return (
    <ul>
      {checks.map((check) => (
        <li key={`${check.id}/${check.drivePointId}`} className="border-b border-rule">
          <button
            type="button"
            className="block w-full py-1 text-left hover:bg-plum-wash"
            onClick={() => onReason(check)}
          >
            <span className="flex items-baseline justify-between gap-2">
              <VerdictWord verdict={check.verdict} />
              <span className="font-mono text-[12.5px]">{figureText(check)}</span>
            </span>
            <span className="block">{check.title}</span>
            {check.relief && <span className="block text-[12px] text-soft">{check.relief}</span>}
            <MarginBar verdict={check.verdict} used={usage(check)} />
          </button>
        </li>
      ))}
    </ul>
  );
}
