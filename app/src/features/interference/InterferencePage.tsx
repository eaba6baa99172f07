import { useState } from "react";
import type { CheckKey } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { CheckList } from "../bench/CellChecks";
import { ClashTable } from "./ClashTable";
import { DriveTable } from "./DriveTable";
import { PlaceTable, ReceiverTable, SignalTable, TrayTable, WayTable } from "./RouteTables";
import { TrayPlan } from "./TrayPlan";
import { useInterference, useRoutes } from "./useRoutes";

// A page of two hundred drives is long: its parts are reached by name, and what comes next by Tab.
function goTo(part: string) {
  const section = document.querySelector<HTMLElement>(`section[aria-label="${part}"]`);
  section?.scrollIntoView();
  section?.querySelector<HTMLElement>("button, input, select, [tabindex]")?.focus({ preventScroll: true });
}

/** Trays and ways of cables, what comes too close, what drives emit and leak. */
export function InterferencePage({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { project, edit } = useProject();
  const { routes } = useRoutes();
  const [chosen, setChosen] = useState<string>();
  const found = useInterference();
  if (found.isPending) {
    return <Loading what="interference" />;
  }
  if (found.isError) {
    return (
      <Failed
        what="The ways of cables could not be found."
        detail={found.error.message}
        retry={() => void found.refetch()}
      />
    );
  }
  const plan = found.data;
  const conventions = project.specification.conventions;
  const tray = routes.segments.find((s) => s.id === chosen);
  return (
    <div className="p-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-[17px] font-bold">Interference</h2>
        <span className="text-[12px]">
          For the fitter, PDF:{" "}
          {project.specification.lineups.map((l) => (
            <a
              key={l.id}
              className="mr-2 text-plum underline"
              href={`/api/projects/${project.id}/lineups/${l.id}/interference.pdf`}
              download
            >
              {l.tag}
            </a>
          ))}
        </span>
      </div>
      <nav aria-label="Parts of this page" className="mb-1 flex flex-wrap gap-x-3 text-[12px]">
        {[
          "Clashes",
          "Drives",
          "Checks of the plant",
          ...(routes.segments.length > 0 ? ["Ways of cables"] : []),
          "Trays",
          "Places",
          "Cables entered by hand",
          "Receivers nearby",
        ].map((part) => (
          <button key={part} type="button" className="text-plum underline" onClick={() => goTo(part)}>
            {part}
          </button>
        ))}
      </nav>
      <div className="grid max-w-[980px] grid-cols-2 gap-x-8">
        {conventions && (
          <Entries
            of={fields.Conventions}
            value={conventions}
            keys={["environment", "separation"]}
            change={(part, what) =>
              edit(what, (s) => ({ ...s, conventions: { ...(s.conventions ?? conventions), ...part } }))
            }
          />
        )}
      </div>
      {routes.places.length > 0 && <TrayPlan plan={plan} chosen={chosen} onChoose={setChosen} />}
      {tray && (
        <p className="mt-1 flex items-center gap-3 text-[12px]">
          Below only what runs in {tray.name}.
          <button type="button" className="button" onClick={() => setChosen(undefined)}>
            Show all
          </button>
        </p>
      )}
      <ClashTable
        plan={
          tray
            ? {
                ...plan,
                clashes: plan.clashes.filter((c) => c.segmentIds.includes(tray.id)),
                clashCount: plan.clashes.filter((c) => c.segmentIds.includes(tray.id)).length,
              }
            : plan
        }
        onChoose={setChosen}
      />
      <DriveTable plan={plan} onReason={onReason} />
      <section aria-label="Checks of the plant">
        <h3 className="section-title">Checks of the plant</h3>
        <CheckList
          columns={2}
          checks={project.assessment.checks.filter((c) => c.row === "plant" && c.id.startsWith("emc."))}
          onReason={onReason}
        />
      </section>
      <WayTable plan={plan} chosen={tray?.id} />
      <TrayTable plan={plan} />
      <PlaceTable />
      <SignalTable />
      <ReceiverTable />
      <p className="mt-3 text-[12px] text-soft">
        Residual-current protection and earthing are settled by licensed people after local codes; filters and screens
        by their makers’ instructions.
      </p>
    </div>
  );
}
