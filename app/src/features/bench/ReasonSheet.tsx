import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import { api, type Reason, type CheckKey } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { Failed, Loading } from "../../components/States";
import { VerdictWord } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { findPoint } from "../../lib/specification";
import { checkKey } from "../../lib/verdict";
import { figureText } from "../ledger/Ledger";
import { methodOf } from "../methods/methods";
import { useProject } from "../../project/ProjectContext";

const MethodSheet = lazy(async () => ({ default: (await import("../methods/MethodSheet")).MethodSheet }));

/** Something whose reason can be opened. */
export type Reasoned =
  { readonly title: string; readonly reason: Reason; readonly figure?: string } | { readonly check: CheckKey };

/** Why a figure is what it is: formula, numbers, source, inputs. */
export function ReasonSheet({ subject, onClose }: { readonly subject: Reasoned; readonly onClose: () => void }) {
  return "check" in subject ? (
    <CheckReason wanted={subject.check} onClose={onClose} />
  ) : (
    <Sheet title={subject.title} onClose={onClose}>
      <ReasonBody reason={subject.reason} />
      <MethodButton of={subject.figure ?? ""} />
    </Sheet>
  );
}

function CheckReason({ wanted, onClose }: { readonly wanted: CheckKey; readonly onClose: () => void }) {
  const { project } = useProject();
  const units = useUnits();
  const check = useQuery({
    queryKey: ["bench", project.id, "check", checkKey(wanted), project.edit],
    queryFn: async () => {
      const { data } = await api.GET("/api/projects/{id}/checks/{checkId}", {
        params: {
          path: { id: project.id, checkId: wanted.id },
          query: { drivePointId: wanted.drivePointId, elementId: wanted.elementId },
        },
      });
      if (!data) {
        throw new Error("The check could not be read.");
      }
      return data;
    },
  });
  return (
    <Sheet title={check.data?.title ?? wanted.id} onClose={onClose}>
      {check.isPending && <Loading what="reason" />}
      {check.isError && <Failed what="The reason could not be read." detail={check.error.message} />}
      {check.data && (
        <>
          <p className="flex items-baseline gap-4">
            <VerdictWord verdict={check.data.verdict} />
            <span className="font-mono">{figureText(check.data, units)}</span>
            {check.data.marginPct !== null && <span className="text-soft">margin {n(check.data.marginPct)} %</span>}
          </p>
          {check.data.scenario && <p className="text-soft">Scenario: {check.data.scenario}</p>}
          {check.data.relief && <p className="mt-1">{units.sentence(check.data.relief)}</p>}
          {check.data.reason && <ReasonBody reason={check.data.reason} />}
          <AssumedBehind pointId={check.data.drivePointId} />
          <MethodButton of={check.data.id} />
          <p className="mt-2 text-[12px] text-soft">
            Check <span className="font-mono">{check.data.id}</span>
          </p>
        </>
      )}
    </Sheet>
  );
}

/** What nobody has confirmed may be behind the figure. */
function AssumedBehind({ pointId }: { readonly pointId: string }) {
  const { project } = useProject();
  const count = project.assessment.drivePoints.find((p) => p.drivePointId === pointId)?.assumedEntries ?? 0;
  const tag = findPoint(project.specification, pointId)?.tag;
  return (
    count > 0 && (
      <p className="mt-2 border-l-4 border-dashed border-tight bg-card p-2">
        <span className="font-semibold">Assumed</span>: {count} {count === 1 ? "entry" : "entries"} of {tag}, not
        confirmed; the figure may rest on them. They stand on its bench under Entries.
      </p>
    )
  );
}

function MethodButton({ of }: { readonly of: string }) {
  const [isOpen, setOpen] = useState(false);
  const method = methodOf(of);
  return (
    method && (
      <>
        <button type="button" className="button mt-3" onClick={() => setOpen(true)}>
          Method: {method.name}
        </button>
        <Suspense fallback={null}>
          {isOpen && <MethodSheet first={method.key} onClose={() => setOpen(false)} />}
        </Suspense>
      </>
    )
  );
}

function ReasonBody({ reason }: { readonly reason: Reason }) {
  const units = useUnits();
  return (
    <dl className="mt-3 grid grid-cols-[72px_1fr] gap-x-3 gap-y-2">
      <dt className="text-soft">Formula</dt>
      <dd className="font-mono">{reason.formula}</dd>
      <dt className="text-soft">{units.system === "si" ? "Numbers" : "Numbers, in SI"}</dt>
      <dd className="break-words border-l-4 border-plum bg-card p-2 font-mono">{reason.withNumbers}</dd>
      {reason.source && (
        <>
          <dt className="text-soft">Source</dt>
          <dd>{reason.source}</dd>
        </>
      )}
      {reason.inputs.length > 0 && (
        <>
          <dt className="text-soft">Inputs</dt>
          <dd>
            <table className="table">
              <tbody>
                {reason.inputs.map((i) => (
                  <tr key={i.name}>
                    <td>{i.name}</td>
                    <td className="num">
                      {Number.isFinite(Number(i.value)) && i.value !== ""
                        ? units.say(Number(i.value), i.unit, 4)
                        : `${i.value} ${i.unit}`}
                    </td>
                    <td className="text-soft">{i.origin}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </dd>
        </>
      )}
    </dl>
  );
}
