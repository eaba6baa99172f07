import type { Lineup } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { dcBusOf } from "../../lib/dcBus";
import { useProject } from "../../project/ProjectContext";
import { verdictOfElement } from "./verdictOfElement";

/** The common DC buses of a lineup, drawn under its busbar over the columns that hang on them. */
export function DcBusBand({ lineup, onOpen }: { readonly lineup: Lineup; readonly onOpen: (id: string) => void }) {
  const { project } = useProject();
  return (
    <div role="row" className="mb-1 flex">
      <span role="rowheader" className="sticky left-0 z-10 flex w-16 shrink-0 items-center bg-ground text-soft">
        DC bus
      </span>
      {lineup.drivePoints.map((p, i) => {
        const bus = dcBusOf(lineup, p.id);
        const before = lineup.drivePoints[i - 1];
        const begins = bus !== undefined && (!before || dcBusOf(lineup, before.id)?.id !== bus.id);
        return (
          <span key={p.id} role="gridcell" className="relative block h-7 w-[140px] shrink-0">
            {bus && (
              <>
                <span className="absolute inset-x-0 top-1 border-y-2 border-plum pt-0.5" aria-hidden />
                <span className="absolute top-2 bottom-0 left-4 border-l-2 border-plum" aria-hidden />
                {begins && (
                  <button
                    type="button"
                    className="absolute top-2.5 left-6 flex items-center gap-1 bg-ground text-[12px] font-semibold text-plum underline decoration-rule"
                    onClick={() => onOpen(bus.id)}
                  >
                    <VerdictMark verdict={verdictOfElement(project.assessment.checks, bus.id)} size={10} labelled />
                    {bus.name}
                  </button>
                )}
              </>
            )}
          </span>
        );
      })}
    </div>
  );
}
