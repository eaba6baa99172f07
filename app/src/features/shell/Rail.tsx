import { VerdictMark } from "../../components/VerdictMark";
import { verdictWords } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";
import { openInAll, stages, type Stage } from "./stages";

/** The stages of the work with what is open in each. */
export function Rail({ current, onStage }: { readonly current: string; readonly onStage: (stage: Stage) => void }) {
  const { project } = useProject();
  return (
    <nav aria-label="Stages of the work" className="w-[148px] shrink-0 border-r border-rule py-2">
      <ol>
        {stages.map((stage, i) => {
          const open = openInAll(project.assessment.checks)[i];
          const calm = open === undefined || open.verdict === "holds";
          return (
            <li
              key={stage.key}
              className={stage.isLower && !stages[i - 1]?.isLower ? "mt-2 border-t border-rule pt-2" : undefined}
            >
              <button
                type="button"
                aria-current={current === stage.key ? "page" : undefined}
                aria-keyshortcuts={`Alt+${stage.key}`}
                onClick={() => onStage(stage)}
                className={`flex w-full items-center gap-2 border-l-4 px-2 py-1.5 text-left ${current === stage.key ? "border-plum bg-plum-wash" : "border-transparent"}`}
              >
                <kbd className="w-4 rounded border border-rule bg-card text-center text-[11px] text-soft">
                  {stage.key}
                </kbd>
                <span className="flex-1">{stage.name}</span>
                {open && (
                  <span className="flex items-center gap-1" title={`${open.count} × ${verdictWords[open.verdict]}`}>
                    <VerdictMark verdict={open.verdict} size={10} labelled />
                    {!calm && <span className="font-mono text-[12px]">{open.count}</span>}
                  </span>
                )}
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
