import { useSearchParams } from "react-router";
import type { CheckKey, DrivePoint } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { worst } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";
import type { Selection } from "../board/selection";
import { LongCablePage } from "./LongCablePage";
import { stepUpPoints } from "./longCable";
import { SunPage } from "./SunPage";
import { couldBeSunny, hasConverter, sunPoints } from "./supplies";

type Job = "sun" | "long-cable";

const families: Readonly<Record<Job, string>> = { sun: "pv.", "long-cable": "long-cable." };
const words: Readonly<Record<Job, string>> = { sun: "sun", "long-cable": "long cable" };

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
  const all: readonly { readonly job: Job; readonly point: DrivePoint }[] = [
    ...sunPoints(project.specification).map((point) => ({ job: "sun" as const, point })),
    ...stepUpPoints(project.specification).map((point) => ({ job: "long-cable" as const, point })),
  ];
  const shown =
    all.find((a) => a.point.id === search.get("point") && a.job === search.get("job")) ??
    all.find((a) => a.point.id === search.get("point")) ??
    all[0];
  const show = (job: Job, point: string) => setSearch({ job, point }, { replace: true });
  const verdictOf = (job: Job, point: string) =>
    worst(
      project.assessment.checks
        .filter((c) => c.drivePointId === point && c.id.startsWith(families[job]))
        .map((c) => c.verdict),
    );
  const points = project.specification.lineups.flatMap((l) => l.drivePoints);
  const page = { onReason, onCell };
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">Special supplies</h2>
      <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        <nav aria-label="Supplies" className="flex flex-wrap gap-2">
          {all.map(({ job, point }) => {
            const verdict = verdictOf(job, point.id);
            const isShown = shown?.job === job && shown.point.id === point.id;
            return (
              <button
                key={`${job} ${point.id}`}
                type="button"
                className={`button flex items-center gap-1 ${isShown ? "border-plum font-semibold" : ""}`}
                aria-pressed={isShown}
                onClick={() => show(job, point.id)}
              >
                {verdict && <VerdictMark verdict={verdict} size={9} labelled />}
                {point.tag} {point.name}, {words[job]}
              </button>
            );
          })}
        </nav>
        <Add
          label="Feed a pump from the sun"
          points={couldBeSunny(project.specification)}
          onAdd={(point) =>
            void run({ kind: "feed-from-sun", pointId: point, back: false }).then(() => show("sun", point))
          }
        />
        <Add
          label="Step-up transformer for a long cable"
          points={points.filter((p) => !p.stepUp && !p.sun && hasConverter(p))}
          onAdd={(point) =>
            void run({ kind: "use-step-up", pointId: point, back: false }).then(() => show("long-cable", point))
          }
        />
      </div>
      {shown?.job === "sun" && <SunPage key={shown.point.id} point={shown.point} {...page} />}
      {shown?.job === "long-cable" && <LongCablePage key={shown.point.id} point={shown.point} {...page} />}
      {!shown && (
        <p className="mt-3 max-w-[640px] text-soft">
          Every drive point is fed from its lineup and stands near it. A pump can be fed from the sun, and a motor in a
          well by a step-up transformer: choose above; add a drive point on the board first where there is none.
        </p>
      )}
    </div>
  );
}

function Add({
  label,
  points,
  onAdd,
}: {
  readonly label: string;
  readonly points: readonly DrivePoint[];
  readonly onAdd: (point: string) => void;
}) {
  return points.length === 0 ? null : (
    <label className="flex items-center gap-2 text-[12px]">
      {label}
      <select className="entry w-44" value="" onChange={(e) => e.target.value && onAdd(e.target.value)}>
        <option value="">choose …</option>
        {points.map((p) => (
          <option key={p.id} value={p.id}>
            {p.tag} {p.name}
          </option>
        ))}
      </select>
    </label>
  );
}
