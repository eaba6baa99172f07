import { useState } from "react";
import { useSearchParams } from "react-router";
import { api, type DrivePoint, type SitePoint, type SiteStep } from "../../api/client";
import { lineKeys } from "../../components/lineKeys";
import { Failed, Loading } from "../../components/States";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { useProject } from "../../project/ProjectContext";
import { useLab } from "../lineups/useLab";
import { markOf, nextOf, phases, resultIn, standings } from "./commissioning";
import { SignOffPanel } from "./SignOffPanel";
import { StepPanel } from "./StepPanel";

/** Steps of a drive point in the order of the work, and the one that is open. */
export function StepsPart({ point, onChanged }: { readonly point: DrivePoint; readonly onChanged: () => void }) {
  const [search, setSearch] = useSearchParams();
  const { project } = useProject();
  const record = `/api/projects/${project.id}/commissioning/points/${point.id}/record`;
  const [answer, setAnswer] = useState<SitePoint>();
  const [takenUp, setTakenUp] = useState("");
  const found = useLab<SitePoint>(["site", point.id], (id) =>
    api.GET("/api/projects/{id}/commissioning/points/{point}", { params: { path: { id, point: point.id } } }),
  );
  if (found.isPending) {
    return <Loading what="steps" />;
  }
  if (found.isError) {
    return (
      <Failed what="The steps could not be read." detail={found.error.message} retry={() => void found.refetch()} />
    );
  }
  // What an entry was answered with counts until the next edit asks again.
  const now = answer && answer.edit === found.data.edit ? answer : found.data;
  const wanted = search.get("step");
  const step = now.steps.find((s) => s.id === wanted) ?? nextOf(now.steps);
  const after = nextOf(now.steps.slice(step ? now.steps.indexOf(step) + 1 : 0)) ?? nextOf(now.steps);
  const open = (id: string) =>
    setSearch((before) => ({ ...Object.fromEntries(before), step: id, point: point.id }), { replace: true });
  const take = (next: SitePoint) => {
    setAnswer(next);
    onChanged();
  };
  return (
    <div className="grid min-w-0 grid-cols-[minmax(0,21rem)_minmax(0,1fr)] gap-x-6">
      <div
        className="max-h-[75vh] overflow-y-auto pr-1"
        role="group"
        aria-label="Steps"
        onKeyDown={lineKeys}
        onFocus={() => setTakenUp("")}
      >
        <h3 className="text-[15px] font-bold">
          {point.tag} {point.name}
        </h3>
        <p className="text-soft">
          Record{" "}
          <a className="text-plum underline" href={`${record}.pdf`} download>
            PDF
          </a>{" "}
          <a className="text-plum underline" href={`${record}.xlsx`} download>
            XLSX
          </a>{" "}
          <a
            className="text-plum underline"
            href={record.replace(/\/record$/, "")}
            download={`${point.id}-record.json`}
          >
            JSON
          </a>
        </p>
        {!now.steps.some((s) => s.phase === "identification") && (
          <p className="mt-1 text-soft">The motor is not chosen: its identification and its runs come with it.</p>
        )}
        {Object.entries(phases).map(([phase, name]) => {
          const steps = now.steps.filter((s) => s.phase === phase);
          return steps.length === 0 ? null : (
            <section key={phase} aria-label={name}>
              <h4 className="section-title">{name}</h4>
              {steps.map((s) => (
                <StepLine
                  key={s.id}
                  step={s}
                  isOpen={s.id === step?.id && wanted !== "sign-off"}
                  onOpen={(isByKey) => {
                    setTakenUp(isByKey ? s.id : "");
                    open(s.id);
                  }}
                />
              ))}
            </section>
          );
        })}
        <h4 className="section-title">Sign-off</h4>
        <button
          type="button"
          data-line
          tabIndex={wanted === "sign-off" || !step ? 0 : -1}
          className={`flex w-full items-center gap-1.5 border-b border-rule px-1 py-0.5 text-left hover:bg-plum-wash ${wanted === "sign-off" ? "bg-plum-wash font-semibold" : ""}`}
          aria-pressed={wanted === "sign-off"}
          onClick={() => open("sign-off")}
        >
          <span className="w-3 shrink-0">{now.signed && <VerdictMark verdict="holds" size={9} labelled />}</span>
          <span>Sign-off</span>
          <span className="ml-auto text-[12px] text-soft">
            {now.signed ? "signed" : now.openIds.length > 0 ? `${now.openIds.length} open` : "ready"}
          </span>
        </button>
      </div>
      {wanted === "sign-off" || !step ? (
        <SignOffPanel point={point} found={now} onMade={take} />
      ) : (
        <StepPanel
          key={step.id}
          point={point}
          step={step}
          found={now}
          isTakenUp={takenUp === step.id}
          onMade={take}
          onNext={
            after && after.id !== step.id
              ? {
                  title: after.title,
                  go: () => {
                    setTakenUp(after.id);
                    open(after.id);
                  },
                }
              : undefined
          }
        />
      )}
    </div>
  );
}

function StepLine({
  step,
  isOpen,
  onOpen,
}: {
  readonly step: SiteStep;
  readonly isOpen: boolean;
  readonly onOpen: (isByKey: boolean) => void;
}) {
  const units = useUnits();
  const mark = markOf(step);
  return (
    <button
      type="button"
      data-line
      tabIndex={isOpen ? 0 : -1}
      className={`block w-full border-b border-rule px-1 py-0.5 text-left hover:bg-plum-wash ${isOpen ? "bg-plum-wash" : ""}`}
      aria-pressed={isOpen}
      // A click by key has no count: work goes on in the step.
      onClick={(e) => onOpen(e.detail === 0)}
    >
      <span className="flex items-center gap-1.5">
        <span className="w-3 shrink-0">{mark && <VerdictMark verdict={mark} size={9} labelled />}</span>
        <span className={`truncate ${isOpen ? "font-semibold" : ""}`}>{step.title}</span>
        <span className="ml-auto whitespace-nowrap text-[12px] text-soft">
          {standings[step.standing]}
          {step.simulated && ", simulated"}
        </span>
      </span>
      {step.result !== "" && step.standing !== "done" && (
        <span className="block truncate pl-4 text-[12px] text-soft">{resultIn(step.id, step.result, units)}</span>
      )}
    </button>
  );
}
