import { useSearchParams } from "react-router";
import type { CheckKey, DrivePoint, Lineup } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { worst } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";
import type { Selection } from "../board/selection";
import { GeneratorPage } from "./GeneratorPage";
import { LongCablePage } from "./LongCablePage";
import { couldBeOnePhase } from "./onePhase";
import { OnePhasePage } from "./OnePhasePage";
import { SunPage } from "./SunPage";
import { couldBeSunny, hasConverter } from "./supplies";
import { subjectsOf, type Subject } from "./subjects";

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
  const { specification } = project;
  const all = subjectsOf(specification);

  // Asked for, and not entered yet.
  const isNewGenerator = search.get("job") === "generator" && !all.some((a) => a.job === "generator");
  const shown = isNewGenerator
    ? undefined
    : (all.find((a) => a.id === search.get("point") && a.job === search.get("job")) ??
      all.find((a) => a.id === search.get("point")) ??
      all.find((a) => a.job === search.get("job")) ??
      all[0]);
  const show = (job: Subject["job"], point: string) => setSearch({ job, point }, { replace: true });
  const points = specification.lineups.flatMap((l) => l.drivePoints);
  const page = { onReason, onCell };
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">Special supplies</h2>
      <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        <nav aria-label="Supplies" className="flex flex-wrap gap-2">
          {all.map((subject) => {
            const verdict = worst(project.assessment.checks.filter(subject.owns).map((c) => c.verdict));
            const isShown = shown === subject;
            return (
              <button
                key={`${subject.job} ${subject.id}`}
                type="button"
                className={`button flex items-center gap-1 ${isShown ? "border-plum font-semibold" : ""}`}
                aria-pressed={isShown}
                onClick={() => show(subject.job, subject.id)}
              >
                {verdict && <VerdictMark verdict={verdict} size={9} labelled />}
                {subject.name}
              </button>
            );
          })}
        </nav>
        <Add
          label="Feed a pump from the sun"
          options={couldBeSunny(specification)}
          onAdd={(point) =>
            void run({ kind: "feed-from-sun", pointId: point, back: false }).then(() => show("sun", point))
          }
        />
        <Add
          label="Step-up transformer for a long cable"
          options={points.filter((p) => !p.stepUp && !p.sun && hasConverter(p))}
          onAdd={(point) =>
            void run({ kind: "use-step-up", pointId: point, back: false }).then(() => show("long-cable", point))
          }
        />
        <Add
          label="Only one phase available to"
          options={couldBeOnePhase(specification)}
          onAdd={(lineup) =>
            void run({ kind: "feed-from-one-phase", lineupId: lineup, back: false }).then(() =>
              show("one-phase", lineup),
            )
          }
        />
        {!all.some((a) => a.job === "generator") && (
          <button type="button" className="button" onClick={() => show("generator", "")}>
            Standby generator
          </button>
        )}
      </div>
      {shown?.job === "sun" && <SunPage key={shown.id} point={shown.point} {...page} />}
      {shown?.job === "long-cable" && <LongCablePage key={shown.id} point={shown.point} {...page} />}
      {shown?.job === "one-phase" && <OnePhasePage key={shown.id} lineup={shown.lineup} onReason={onReason} />}
      {(shown?.job === "generator" || isNewGenerator) && <GeneratorPage onReason={onReason} />}
      {!shown && !isNewGenerator && (
        <p className="mt-3 max-w-[640px] text-soft">
          Every lineup has three phases of the mains and stands near its drive points. A pump can be fed from the sun, a
          motor in a well by a step-up transformer, a lineup by one phase, the plant by a generator: choose above; add a
          drive point or a lineup on the board first where there is none.
        </p>
      )}
    </div>
  );
}

function Add({
  label,
  options,
  onAdd,
}: {
  readonly label: string;
  readonly options: readonly (DrivePoint | Lineup)[];
  readonly onAdd: (id: string) => void;
}) {
  return options.length === 0 ? null : (
    <label className="flex items-center gap-2 text-[12px]">
      {label}
      <select className="entry w-44" value="" onChange={(e) => e.target.value && onAdd(e.target.value)}>
        <option value="">choose …</option>
        {options.map((p) => (
          <option key={p.id} value={p.id}>
            {p.tag} {p.name}
          </option>
        ))}
      </select>
    </label>
  );
}
