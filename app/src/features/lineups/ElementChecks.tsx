import type { CheckKey } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { useProject } from "../../project/ProjectContext";
import { figureText } from "../ledger/Ledger";

/** Checks of a bus, a group, a shaft, a follower or a brake, each with its figure; a click opens the reason. */
export function ElementChecks({
  label,
  name,
  owns,
  onReason,
}: {
  readonly label: string;
  readonly name: string;
  readonly owns: (check: CheckKey) => boolean;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { project } = useProject();
  const units = useUnits();
  return (
    <ul aria-label={label} className="mt-3">
      {project.assessment.checks.filter(owns).map((c) => (
        <li key={c.id} className="border-b border-rule py-1">
          <button type="button" className="flex w-full items-baseline gap-1.5 text-left" onClick={() => onReason(c)}>
            <VerdictMark verdict={c.verdict} size={10} labelled />
            <span className="flex-1">{name === "" ? c.title : c.title.replace(`, ${name}`, "")}</span>
            <span className="text-right font-mono text-[12px]">{c.figure !== null && figureText(c, units)}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
