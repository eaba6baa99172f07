import { useState } from "react";
import type { Check, Specification, Verdict } from "../../api/client";
import { MarginBar } from "../../components/MarginBar";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits, type Units } from "../../fields/useUnits";
import { pair } from "../../lib/format";
import { findPoint } from "../../lib/specification";
import { checkKey, isSame, usage, verdictWords } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";
import type { Selection } from "../board/selection";
import { openInAll, stages } from "../shell/stages";

const tiles = 5;

/** Checks of one kind: the worst, and how many more of them fail or are tight with it. */
interface Kind {
  readonly worst: Check;
  readonly alike: number;
}

/** One of each kind in the order of the checks; what holds counts for nothing. */
export function kindsOf(checks: readonly Check[]): Kind[] {
  const kinds = new Map<string, { worst: Check; alike: number }>();
  for (const check of checks) {
    const known = kinds.get(check.id);
    if (!known) {
      kinds.set(check.id, { worst: check, alike: 0 });
    } else if (check.verdict === known.worst.verdict && check.verdict !== "holds") {
      known.alike++;
    }
  }
  return [...kinds.values()];
}

/** What wants attention first: danger, what burns or trips, limits of codes, cost; a kind of check a tile. It never leaves. */
export function Ledger({
  selection,
  onOpen,
}: {
  readonly selection: Selection | undefined;
  readonly onOpen: (check: Check) => void;
}) {
  const { project, before } = useProject();
  const units = useUnits();
  const { assessment, specification } = project;
  const [scope, setScope] = useState("all");
  const isIn = inScope(scope, selection?.point, specification);
  const judged = assessment.checks.filter((c) => c.verdict !== "not-applicable" && isIn(c));
  const open = openInAll(assessment.checks);
  const shown = kindsOf(judged).slice(0, tiles);
  const count = (verdict: Verdict) => judged.filter((c) => c.verdict === verdict).length;
  return (
    <section aria-label="Ledger: the tightest checks" className="flex h-[92px] shrink-0 border-t border-rule bg-panel">
      <div className="w-[132px] shrink-0 border-r border-rule p-2">
        <h2 className="flex items-baseline gap-1 text-[15px] font-bold">
          Tightest
          <select
            className="min-w-0 flex-1 truncate border-b border-rule bg-transparent text-[12px] font-normal text-plum"
            aria-label="What the ledger looks at"
            value={scope}
            onChange={(e) => setScope(e.target.value)}
          >
            <option value="all">of all</option>
            <option value="point">of this drive point</option>
            <option value="plant">of the plant itself</option>
            <optgroup label="Stage">
              {stages
                .filter((_, i) => open[i] !== undefined)
                .map((stage) => (
                  <option key={stage.key} value={`stage:${stage.key}`}>
                    {stage.name}
                  </option>
                ))}
            </optgroup>
            <optgroup label="Scenario that decides">
              {specification.scenarios.map((x) => (
                <option key={x.id} value={`scenario:${x.name}`}>
                  {x.name}
                </option>
              ))}
            </optgroup>
            <optgroup label="Lineup">
              {specification.lineups.map((l) => (
                <option key={l.id} value={`lineup:${l.id}`}>
                  {l.tag} {l.name}
                </option>
              ))}
            </optgroup>
          </select>
        </h2>
        <p className="text-[12px] leading-4 text-soft">
          {judged.length} checks:
          <br />
          {count("fails")} fail, {count("tight")} tight
          <br />
          {count("needs-data")} need data
        </p>
      </div>
      {shown.length === 0 && (
        <p className="p-3 text-soft">
          {scope === "all" ? "No checks yet: add a drive point." : "Nothing is judged there."}
        </p>
      )}
      {shown.map(({ worst: check, alike }) => {
        const was = before?.checks.find((c) => isSame(c, check));
        const point = findPoint(specification, check.drivePointId);
        return (
          <button
            key={checkKey(check)}
            type="button"
            onClick={() => onOpen(check)}
            className="flex min-w-0 flex-1 gap-2 border-r border-rule p-2 text-left last:border-r-0 hover:bg-plum-wash"
          >
            <span className="pt-0.5">
              <VerdictMark verdict={check.verdict} />
            </span>
            <span className="min-w-0 flex-1">
              <span className="line-clamp-2 leading-4 font-semibold" title={check.title}>
                {check.title}
              </span>
              <span className="block truncate text-[12px] text-soft">
                {point ? `${point.tag} ${point.name}` : `plant, ${check.scenario || "any scenario"}`}
                {alike > 0 && <strong> and {alike} more</strong>}
              </span>
              <span className="block truncate text-[12px]">
                {verdictWords[check.verdict]}
                {check.figure !== null && <span>: {figureText(check, units)}</span>}
              </span>
              <span className="flex items-center gap-2 pt-1">
                <MarginBar verdict={check.verdict} used={usage(check)} before={was && usage(was)} />
              </span>
            </span>
          </button>
        );
      })}
    </section>
  );
}

/** Whether a check belongs to what the ledger looks at. */
export function inScope(
  scope: string,
  point: string | undefined,
  specification: Specification,
): (check: Check) => boolean {
  const [kind, of = ""] = scope.split(/:(.*)/s);
  switch (kind) {
    case "point":
      return (check) => check.drivePointId === point;
    case "plant":
      return (check) => check.drivePointId === "";
    case "stage":
      return stages.find((s) => s.key === of)?.owns ?? (() => false);
    case "scenario":
      return (check) => check.scenario === of;
    case "lineup": {
      const own = new Set(specification.lineups.find((l) => l.id === of)?.drivePoints.map((p) => p.id));
      return (check) => own.has(check.drivePointId);
    }
    default:
      return () => true;
  }
}

/** Figure and limit in one line. */
export function figureText(check: Check, units: Units): string {
  if (check.figure === null || check.limit === null) {
    return check.verdict === "needs-data" ? "data missing" : "no figure";
  }
  const unit = units.unit(check.unit);
  const [figure, limit] = pair(units.value(check.figure, check.unit), units.value(check.limit, check.unit));
  if (check.sense === "at-least") {
    return `${figure} ${unit}, at least ${limit} wanted`;
  }
  return check.limit === 0 ? `${figure} ${unit}, none allowed` : `${figure} of ${limit} ${unit}`;
}
