import type { CheckKey } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { useProject } from "../../project/ProjectContext";

/** Verdict of an element's check as a shape; opens its reason. */
export function ElementMark({
  id,
  element,
  onReason,
}: {
  readonly id: string;
  readonly element: string;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { project } = useProject();
  const check = project.assessment.checks.find((c) => c.id === id && c.elementId === element);
  return check ? (
    <button type="button" aria-label={`Why: ${check.title}`} title={check.title} onClick={() => onReason(check)}>
      <VerdictMark verdict={check.verdict} />
    </button>
  ) : null;
}
