import { useEffect } from "react";
import { useSearchParams } from "react-router";
import type { CheckKey } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import { n } from "../../lib/format";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import type { Selection } from "../board/selection";
import { CheckList } from "../bench/CellChecks";
import { useProject } from "../../project/ProjectContext";
import { DefaultsTable } from "./DefaultsTable";
import { BusTable, TransformerTable } from "./BusTables";
import { useBusNames } from "./columns";
import { ActiveFilterTable } from "./ActiveFilterTable";
import { BankTable, LinkTable, LoadTable } from "./LinkAndLoadTables";
import { focusEntry } from "./focusEntry";
import { LineDiagram } from "./LineDiagram";
import { SiteEntry } from "./SiteEntry";
import { SourceEntry } from "./SourceEntry";
import { StandbyEntry } from "./StandbyEntry";
import { ScenarioGrid } from "./ScenarioGrid";

/** Source, transformer, bus, site, tariff, scenarios and the limits in force. */
export function PlantPage({
  onReason,
  onCell,
}: {
  readonly onReason: (check: CheckKey) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project, edit } = useProject();
  const [search, setSearch] = useSearchParams();
  const wanted = search.get("entry");
  // The table of limits comes with the catalogue, a moment later.
  useEffect(() => {
    if (wanted === null) {
      return;
    }
    let tries = 20;
    const timer = setInterval(() => {
      if (focusEntry(wanted) || --tries === 0) {
        clearInterval(timer);
        setSearch({}, { replace: true });
      }
    }, 50);
    return () => clearInterval(timer);
  }, [wanted, setSearch]);
  const s = project.specification;
  const supply = project.assessment.supply;
  const coupling = supply?.buses.find((b) => b.busId === s.pcc.busId);
  const pcc = (change: Partial<typeof s.pcc>) =>
    edit("Point of common coupling", (x) => ({ ...x, pcc: { ...x.pcc, ...change } }));
  const buses = useBusNames();
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">Plant and supply</h2>
      <LineDiagram onCell={onCell} onEntry={focusEntry} />
      <div className="grid grid-cols-2 gap-x-8 xl:grid-cols-3">
        <div>
          <SourceEntry />
          <StandbyEntry />
        </div>
        <section>
          <h3 className="section-title">Point of common coupling</h3>
          <ChoiceField label="Bus" value={s.pcc.busId} choices={buses} onCommit={(busId) => pcc({ busId })} />
          <Entries of={fields.CommonCoupling} value={s.pcc} keys={["maximumDemandKva"]} change={pcc} />
          <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1 border-l-4 border-plum bg-card p-2">
            <dt>
              I_sc for distortion, largest / least
              <span className="block text-[12px] text-soft">
                no voltage factor, no motors: apparatus is judged by the faults of the diagram
              </span>
            </dt>
            <dd className="font-mono">
              {supply
                ? coupling?.largestFaultKa == null || coupling.leastFaultKa == null
                  ? "infinite"
                  : `${n(coupling.largestFaultKa, 4)} / ${n(coupling.leastFaultKa, 4)} kA`
                : "needs data"}
            </dd>
            <dt>Impedance behind it</dt>
            <dd className="font-mono">
              {coupling ? `${n(coupling.resistanceMohm, 4)} + j ${n(coupling.reactanceMohm, 4)} mΩ` : "needs data"}
            </dd>
            <dt>Demand current I_L</dt>
            <dd className="font-mono">{supply?.demandA == null ? "needs data" : `${n(supply.demandA, 4)} A`}</dd>
            <dt>Isc/IL</dt>
            <dd className="font-mono">{n(supply?.shortCircuitRatio, 4)}</dd>
          </dl>
        </section>
        <SiteEntry />
      </div>
      <BusTable onReason={onReason} />
      <TransformerTable onReason={onReason} />
      <LinkTable onReason={onReason} />
      <BankTable />
      <ActiveFilterTable onReason={onReason} />
      <LoadTable onReason={onReason} />
      <section aria-label="Checks of the plant">
        <h3 className="section-title">Checks of the plant</h3>
        <CheckList
          columns={2}
          checks={project.assessment.checks.filter((c) => c.row === "plant")}
          onReason={onReason}
        />
      </section>
      <ScenarioGrid />
      <DefaultsTable />
    </div>
  );
}
