import type { Lineup } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { pointsOf, type Arrangement } from "../../lib/arrangements";
import { useProject } from "../../project/ProjectContext";
import { verdictOfElement } from "./verdictOfElement";

const bandNames: Readonly<Record<Arrangement["kind"], string>> = {
  "motor-group": "group",
  "shared-shaft": "shaft",
  "ratio-follower": "ratio",
};

/** Arrangements of one kind of a lineup, drawn across the columns that they join: bracket, shaft or link. */
export function ArrangementBand({
  lineup,
  kind,
  onOpen,
}: {
  readonly lineup: Lineup;
  readonly kind: Arrangement["kind"];
  readonly onOpen: (id: string) => void;
}) {
  const { project } = useProject();
  const own = lineup.arrangements.filter((a) => a.kind === kind);
  if (own.length === 0) {
    return null;
  }
  return (
    <div role="row" className="mb-1.5 flex">
      <span role="rowheader" className="sticky left-0 z-10 flex w-16 shrink-0 items-center bg-ground text-soft">
        {bandNames[kind]}
      </span>
      {lineup.drivePoints.map((p, i) => {
        const here = own.find((a) => spans(a, lineup, i));
        const [first, last] = here ? reach(here, lineup) : [0, 0];
        const joined = here !== undefined && pointsOf(here).includes(p.id);
        return (
          <span key={p.id} role="gridcell" className="relative block h-9 w-[140px] shrink-0">
            {here && (
              <>
                <svg className="absolute inset-0" width="140" height="36" aria-hidden>
                  <Drawing arrangement={here} point={p.id} joined={joined} first={i === first} last={i === last} />
                </svg>
                {i === first && (
                  <button
                    type="button"
                    className="absolute bottom-0 left-7 flex max-w-[230px] items-center gap-1 bg-ground text-[12px] font-semibold whitespace-nowrap text-plum underline decoration-rule"
                    onClick={() => onOpen(here.id)}
                  >
                    <VerdictMark verdict={verdictOfElement(project.assessment.checks, here.id)} size={10} labelled />
                    {here.name}
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

function reach(arrangement: Arrangement, lineup: Lineup): readonly [number, number] {
  const at = pointsOf(arrangement).map((id) => lineup.drivePoints.findIndex((p) => p.id === id));
  return [Math.min(...at), Math.max(...at)];
}

function spans(arrangement: Arrangement, lineup: Lineup, index: number): boolean {
  const [first, last] = reach(arrangement, lineup);
  return index >= first && index <= last;
}

interface DrawingProps {
  readonly arrangement: Arrangement;
  readonly point: string;
  readonly joined: boolean;
  readonly first: boolean;
  readonly last: boolean;
}

function Drawing({ arrangement, point, joined, first, last }: DrawingProps) {
  const from = first ? 14 : 0;
  const to = last ? 14 : 140;
  const drop = joined ? <path d="M14 4v14" className="stroke-plum" strokeWidth="2" /> : null;
  if (arrangement.kind === "motor-group") {
    // A bracket from the converter's column over its motors.
    return (
      <>
        <path d={`M${from} 5H${to}`} className="stroke-plum" strokeWidth="2" />
        {drop}
        {first && <rect x="8" y="1" width="12" height="8" className="fill-plum" />}
      </>
    );
  }
  if (arrangement.kind === "shared-shaft") {
    // Two lines and a coupling at every unit.
    return (
      <>
        <path d={`M${from} 4H${to}M${from} 9H${to}`} className="stroke-plum" strokeWidth="1.5" />
        {joined && <path d="M10 1v11M18 1v11" className="stroke-plum" strokeWidth="3" />}
      </>
    );
  }
  // A dashed link from the leader with an arrow at the follower.
  return (
    <>
      <path d={`M${from} 6H${to}`} className="stroke-plum" strokeWidth="1.5" strokeDasharray="5 3" />
      {point === arrangement.leader.pointId && <circle cx="14" cy="6" r="4" className="fill-plum" />}
      {point === arrangement.follower.pointId && <path d="M8 2h12l-6 9z" className="fill-plum" />}
    </>
  );
}
