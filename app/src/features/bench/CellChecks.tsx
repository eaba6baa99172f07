import type { Check, CheckKey } from "../../api/client";
import { MarginBar } from "../../components/MarginBar";
import { VerdictWord } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { checkKey, usage } from "../../lib/verdict";
import type { Row } from "../board/selection";
import { figureText } from "../ledger/Ledger";
import { useProject } from "../../project/ProjectContext";

/** The checks of a cell; each opens its reason. */
export function CellChecks({
  point,
  row,
  onReason,
}: {
  readonly point: string;
  readonly row: Row;
  readonly onReason: (check: CheckKey) => void;
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
  columns = 1,
  whose,
  onReason,
}: {
  readonly checks: readonly Check[];
  readonly columns?: 1 | 2;
  /** Whose check it is, where they are of several. */
  readonly whose?: (check: Check) => string;
  readonly onReason: (check: CheckKey) => void;
}) {
  const units = useUnits();
  return (
    <ul className={columns === 2 ? "grid grid-cols-2 gap-x-8" : undefined}>
      {checks.map((check) => (
        <li key={checkKey(check)} className="border-b border-rule">
          <button
            type="button"
            className="block w-full py-1 text-left hover:bg-plum-wash"
            onClick={() => onReason(check)}
          >
            <span className="flex items-baseline justify-between gap-2">
              <VerdictWord verdict={check.verdict} />
              <span className="font-mono text-[12.5px]">{figureText(check, units)}</span>
            </span>
            <span className="block">
              {whose && <span className="font-semibold text-plum">{whose(check)} </span>}
              {check.title}
            </span>
            {check.relief && <span className="block text-[12px] text-soft">{units.sentence(check.relief)}</span>}
            <MarginBar verdict={check.verdict} used={usage(check)} />
          </button>
        </li>
      ))}
    </ul>
  );
}
