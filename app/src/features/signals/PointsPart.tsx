import { useSearchParams } from "react-router";
import type { CheckKey, DrivePoint, SignalAnswer, SignalJob } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { changePoints } from "../../lib/specification";
import { worst } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";
import { CheckList } from "../bench/CellChecks";
import { usePointEdit } from "../bench/usePointEdit";
import { PresetSpeeds } from "./PresetSpeeds";
import { jobs, settingsOf, withSettings, type Plan } from "./signals";
import { SignalTable } from "./SignalTable";
import { WiringPicture } from "./WiringPicture";

const usualPlan: Plan = {
  sense: "to-plus",
  stopCategory: "not-stated",
  stopBy: "not-stated",
  resistorTrip: "not-stated",
};

/** Signals of one drive point at a time, all of them in a list beside. */
export function PointsPart({
  answer,
  onReason,
}: {
  readonly answer: SignalAnswer;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { project, run } = useProject();
  const [search, setSearch] = useSearchParams();
  const points = project.specification.lineups.flatMap((l) => l.drivePoints);
  const point = points.find((p) => p.id === search.get("point")) ?? points.find((p) => p.signals) ?? points[0];
  if (!point) {
    return <p className="mt-3 text-soft">There is no drive point yet: add one on the board.</p>;
  }
  const without = points.filter((p) => !p.signals && p.converter.kind !== "of-group").map((p) => p.id);
  return (
    <div className="mt-3 grid grid-cols-[13rem_minmax(0,1fr)] gap-x-5">
      <nav aria-label="Drive points" className="max-h-[75vh] overflow-y-auto">
        {without.length > 0 && (
          <button
            type="button"
            className="button mb-2 w-full"
            onClick={() => void run({ kind: "take-signals", pointIds: without, job: "by-drive-point" })}
          >
            Usual signals for all {without.length}
          </button>
        )}
        {points.map((p) => {
          const verdict = worst(
            project.assessment.checks
              .filter((c) => c.drivePointId === p.id && c.id.startsWith("io."))
              .map((c) => c.verdict),
          );
          const count = p.signals?.wanted?.length ?? 0;
          return (
            <button
              key={p.id}
              type="button"
              className={`flex w-full items-center gap-1.5 border-b border-rule px-1 py-0.5 text-left hover:bg-plum-wash ${p.id === point.id ? "bg-plum-wash font-semibold" : ""}`}
              aria-pressed={p.id === point.id}
              title={p.name}
              onClick={() =>
                setSearch((before) => ({ ...Object.fromEntries(before), part: "points", point: p.id }), {
                  replace: true,
                })
              }
            >
              <span className="w-3 shrink-0">{verdict && <VerdictMark verdict={verdict} size={9} labelled />}</span>
              <span className="truncate">
                {p.tag} {p.name}
              </span>
              <span className="ml-auto font-mono text-[12px] text-soft">{count > 0 ? count : ""}</span>
            </button>
          );
        })}
      </nav>
      <PointSignals key={point.id} point={point} answer={answer} onReason={onReason} />
    </div>
  );
}

function PointSignals({
  point,
  answer,
  onReason,
}: {
  readonly point: DrivePoint;
  readonly answer: SignalAnswer;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { project, run, edit } = useProject();
  const editPoint = usePointEdit([point.id]);
  const lineup = project.specification.lineups.find((l) => l.drivePoints.some((p) => p.id === point.id));
  const others = (lineup?.drivePoints ?? []).filter((p) => p.signals && p.id !== point.id).map((p) => p.id);
  const change = (what: string, next: (plan: Plan) => Plan | null) =>
    editPoint(what, (p) => ({ ...p, signals: next(p.signals ?? {}) }));
  const plan = point.signals;
  const found = answer.points.find((p) => p.pointId === point.id);
  const checks = project.assessment.checks.filter((c) => c.drivePointId === point.id && c.id.startsWith("io."));
  return (
    <div className="min-w-0">
      <div className="flex flex-wrap items-center gap-3">
        <h3 className="text-[15px] font-bold">
          {point.tag} {point.name}
        </h3>
        <label className="flex items-center gap-2">
          <span className="whitespace-nowrap text-soft">Usual signals of</span>
          <select
            className="entry"
            value=""
            onChange={(e) => void run({ kind: "take-signals", pointIds: [point.id], job: e.target.value as SignalJob })}
          >
            <option value="">choose a job …</option>
            {Object.entries(jobs).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
        </label>
        {plan && (
          <button type="button" className="button" onClick={() => void change("no signals", () => null)}>
            No signals
          </button>
        )}
      </div>
      {!plan && <p className="mt-2 text-soft">No signals are entered: choose a job, or add them one by one.</p>}
      <SignalTable plan={plan ?? {}} found={found} tag={point.tag} change={change} />
      {plan && (
        <>
          <div className="mt-3 grid grid-cols-[18rem_minmax(0,1fr)] gap-x-6">
            <section aria-label="Settings of the signals">
              <h3 className="section-title">Settings</h3>
              <Entries
                of={fields.SignalPlan}
                value={{ ...usualPlan, ...plan }}
                keys={settingsOf(point)}
                change={(part, what) => change(what, (p) => ({ ...p, ...part }))}
              />
              {others.length > 0 && (
                <button
                  type="button"
                  className="button mt-2"
                  onClick={() =>
                    void edit(`${lineup?.tag ?? ""}: settings of signals as ${point.tag}`, (s) =>
                      changePoints(s, others, (p) =>
                        p.signals ? { ...p, signals: withSettings(p.signals, plan) } : p,
                      ),
                    )
                  }
                >
                  The same for all {others.length} others of {lineup?.tag}
                </button>
              )}
              <p className="mt-2 border-l-4 border-fails pl-2 text-[12px]">
                <b>Caution.</b> Stop and enable are recorded as whoever designs the safety states them (ISO 12100, IEC
                60204-1, local codes); Cuadrilla designs no safety function.
              </p>
              <PresetSpeeds plan={plan} found={found} tag={point.tag} change={change} />
            </section>
            <section aria-label="Checks of the signals">
              <h3 className="section-title">Checks</h3>
              <CheckList columns={2} checks={checks} onReason={onReason} />
            </section>
          </div>
        </>
      )}
      <WiringPicture point={point} />
    </div>
  );
}
