import { useMemo } from "react";
import { findPoint } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";
import { nextStep, type StepAction } from "./nextStep";

/** One line above a stage: what comes next in it, with what does it. Nothing where nothing is open. */
export function NextStepLine({ stage, onDo }: { readonly stage: string; readonly onDo: (action: StepAction) => void }) {
  const { project } = useProject();
  const { specification } = project;
  const { drivePoints } = project.assessment;
  const step = useMemo(() => nextStep(stage, specification, drivePoints), [stage, specification, drivePoints]);
  if (!step) {
    return null;
  }
  const name = (action: StepAction) => {
    switch (action.kind) {
      case "add":
        return "Add drive point";
      case "templates":
        return "Templates";
      case "import":
        return "Import a drive list";
      case "entry":
        return "Go to the entry";
      case "size":
        return action.points.length === 1 ? "Size it" : `Size ${action.points.length}`;
      case "protect":
        return action.points.length === 1 ? "Propose them" : `Propose for ${action.points.length}`;
      case "cell":
        return `Go to ${findPoint(specification, action.point)?.tag ?? "it"}`;
    }
  };
  return (
    <section
      aria-label={`Next in ${stage}`}
      className="flex flex-wrap items-center gap-2 border-b border-rule bg-panel px-3 py-1.5"
    >
      <span>
        <strong className="text-plum">Next:</strong> {step.says}
      </span>
      {step.actions.map((action) => (
        <button key={action.kind} type="button" className="button" onClick={() => onDo(action)}>
          {name(action)}
        </button>
      ))}
    </section>
  );
}
