import { useState } from "react";
import { useSearchParams } from "react-router";
import { api, type SiteProgress } from "../../api/client";
import { lineKeys } from "../../components/lineKeys";
import { useProject } from "../../project/ProjectContext";
import { ExerciseBar } from "../training/ExerciseBar";
import type { Selection } from "../board/selection";
import { useLab } from "../lineups/useLab";
import { InstrumentsPart } from "./instruments/InstrumentsPart";
import { LogPart } from "./LogPart";
import { OverviewPart } from "./OverviewPart";
import { ParametersPart } from "./ParametersPart";
import { StepsPart } from "./StepsPart";

const parts = {
  steps: "Steps",
  parameters: "Parameters",
  all: "All sheets",
  instruments: "Instruments",
  log: "Log",
} as const;
type Part = keyof typeof parts;

/** Of more drive points than these one is found by typing. */
const mostAtSight = 15;

/** What goes to site and what comes back: steps with their windows, parameter sheets, the log. */
export function CommissioningPage({ onCell }: { readonly onCell: (selection: Selection) => void }) {
  const { project } = useProject();
  const [search, setSearch] = useSearchParams();
  const wanted = search.get("part");
  const part: Part = wanted !== null && wanted in parts ? (wanted as Part) : "steps";
  const points = project.specification.lineups.flatMap((l) => l.drivePoints);
  const point = points.find((p) => p.id === search.get("point")) ?? points[0];
  const [words, setWords] = useState("");
  const shown = points.filter((p) => `${p.tag} ${p.name}`.toLowerCase().includes(words.trim().toLowerCase()));
  const progress = useLab<SiteProgress[]>(["site"], (id) =>
    api.GET("/api/projects/{id}/commissioning", { params: { path: { id } } }),
  );
  const set = (next: Record<string, string>) =>
    setSearch((before) => ({ ...Object.fromEntries(before), ...next }), { replace: true });
  return (
    <div className="p-4">
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 className="text-[17px] font-bold">Commissioning</h2>
        <nav aria-label="Parts of the commissioning" className="flex gap-2">
          {Object.entries(parts).map(([key, name]) => (
            <button
              key={key}
              type="button"
              className={`button ${key === part ? "border-plum font-semibold" : ""}`}
              aria-pressed={key === part}
              onClick={() => set({ part: key })}
            >
              {name}
            </button>
          ))}
        </nav>
      </div>
      <ExerciseBar />
      {!point ? (
        <p className="mt-3 text-soft">There is no drive point yet: add one on the board.</p>
      ) : part === "log" ? (
        <LogPart points={points} onOpen={(id) => set({ part: "steps", point: id })} />
      ) : part === "all" ? (
        <OverviewPart points={points} onOpen={(id) => set({ part: "parameters", point: id })} />
      ) : (
        <div className="mt-3 grid grid-cols-[13rem_minmax(0,1fr)] gap-x-5">
          <nav aria-label="Drive points" className="max-h-[75vh] overflow-y-auto" onKeyDown={lineKeys}>
            {points.length > mostAtSight && (
              <input
                className="entry mb-1 w-full"
                aria-label="Find a drive point"
                placeholder="Find: tag or name"
                value={words}
                onChange={(e) => setWords(e.target.value)}
              />
            )}
            {shown.length === 0 && <p className="px-1 text-soft">None of {points.length} is called so.</p>}
            {shown.map((p, i) => {
              const found = progress.data?.find((x) => x.pointId === p.id);
              return (
                <button
                  key={p.id}
                  type="button"
                  data-line
                  tabIndex={p.id === point.id || (i === 0 && !shown.includes(point)) ? 0 : -1}
                  className={`flex w-full items-center gap-1.5 border-b border-rule px-1 py-0.5 text-left hover:bg-plum-wash ${p.id === point.id ? "bg-plum-wash font-semibold" : ""}`}
                  aria-pressed={p.id === point.id}
                  title={
                    found
                      ? `${found.done} of ${found.all} done, ${found.wrong} wrong, ${found.stale} stale${found.simulated > 0 ? `, ${found.simulated} simulated` : ""}`
                      : p.name
                  }
                  onClick={() => set({ point: p.id, step: "" })}
                >
                  <span className="truncate">
                    {p.tag} {p.name}
                  </span>
                  <span className="ml-auto whitespace-nowrap font-mono text-[12px] text-soft">
                    {found && (found.isSigned ? "signed" : `${found.done}/${found.all}`)}
                  </span>
                </button>
              );
            })}
          </nav>
          {part === "steps" ? (
            <StepsPart key={point.id} point={point} onChanged={() => void progress.refetch()} />
          ) : part === "instruments" ? (
            <InstrumentsPart point={point} />
          ) : (
            <ParametersPart key={point.id} point={point} onCell={onCell} />
          )}
        </div>
      )}
    </div>
  );
}
