import type { Specification, CheckKey } from "../../api/client";
import { ChoiceField, QuantityField, TextField } from "../../components/Fields";
import { n } from "../../lib/format";
import { quantities } from "../../lib/units";
import type { Selection } from "../board/selection";
import { CheckList } from "../bench/CellChecks";
import { useProject } from "../project/ProjectContext";
import { DefaultsTable } from "./DefaultsTable";
import { BusTable, TransformerTable, useBusNames } from "./BusTables";
import { ActiveFilterTable } from "./ActiveFilterTable";
import { BankTable, LinkTable, LoadTable } from "./LinkAndLoadTables";
import { LineDiagram } from "./LineDiagram";
import { ScenarioGrid } from "./ScenarioGrid";

// The row that an element of the diagram stands for, or the field of that name.
function focusEntry(target: string): void {
  const row = document.querySelector<HTMLElement>(`main tr[data-element="${CSS.escape(target)}"] .entry`);
  if (row) {
    row.focus();
    return;
  }
  for (const candidate of document.querySelectorAll("main label")) {
    if (candidate.textContent === target && candidate instanceof HTMLLabelElement) {
      candidate.control?.focus();
      return;
    }
  }
}

type Strength = Specification["source"]["strength"];

function strengthOf(kind: Strength["kind"]): Strength {
  switch (kind) {
    case "fault-level":
      return { kind, shortCircuitMva: null, leastMva: null, xrRatio: null };
    case "generator":
      return {
        kind,
        ratedKva: null,
        ratedKw: null,
        subtransientPct: null,
        transientPct: null,
        negativeSequencePct: null,
        xrRatio: null,
        governingClass: null,
      };
    default:
      return { kind };
  }
}

/** Source, transformer, bus, site, tariff, scenarios and the limits in force. */
export function PlantPage({
  onReason,
  onCell,
}: {
  readonly onReason: (check: CheckKey) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project, edit } = useProject();
  const s = project.specification;
  const supply = project.assessment.supply;
  const coupling = supply?.buses.find((b) => b.busId === s.pcc.busId);
  const source = (change: Partial<typeof s.source>) =>
    edit("Source", (x) => ({ ...x, source: { ...x.source, ...change } }));
  const pcc = (change: Partial<typeof s.pcc>) =>
    edit("Point of common coupling", (x) => ({ ...x, pcc: { ...x.pcc, ...change } }));
  const buses = useBusNames();
  const site = (change: Partial<typeof s.site>) => edit("Site", (x) => ({ ...x, site: { ...x.site, ...change } }));
  const tariff = (change: Partial<typeof s.tariff>) =>
    edit("Tariff", (x) => ({ ...x, tariff: { ...x.tariff, ...change } }));
  const strength = s.source.strength;
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">Plant and supply</h2>
      <LineDiagram onCell={onCell} onEntry={focusEntry} />
      <div className="grid grid-cols-2 gap-x-8 xl:grid-cols-3">
        <section>
          <h3 className="section-title">Source</h3>
          <TextField
            label="Name of the plant"
            value={s.name}
            onCommit={(name) => edit("Name of the plant", (x) => ({ ...x, name }))}
          />
          <ChoiceField label="Feeds" value={s.source.busId} choices={buses} onCommit={(busId) => source({ busId })} />
          <QuantityField
            label="Frequency"
            quantity={quantities.frequencyHz}
            value={s.source.frequencyHz}
            onCommit={(v) => source({ frequencyHz: v ?? 0 })}
          />
          <ChoiceField
            label="Strength"
            value={strength.kind}
            choices={{
              "not-stated": "not stated yet",
              "fault-level": "fault level stated",
              generator: "generator",
              "assumed-infinite": "assume infinite (optimistic)",
            }}
            note={
              strength.kind === "assumed-infinite"
                ? "The transformer alone limits the fault current; optimistic for distortion."
                : undefined
            }
            onCommit={(kind) => source({ strength: strengthOf(kind) })}
          />
          {strength.kind === "fault-level" && (
            <>
              <QuantityField
                label="Fault level, largest"
                optional
                quantity={quantities.faultMva}
                value={strength.shortCircuitMva}
                onCommit={(v) => source({ strength: { ...strength, shortCircuitMva: v } })}
              />
              <QuantityField
                label="Fault level, least"
                optional
                placeholder="as largest"
                quantity={quantities.faultMva}
                value={strength.leastMva}
                note="For dips and distortion."
                onCommit={(v) => source({ strength: { ...strength, leastMva: v } })}
              />
              <QuantityField
                label="X/R"
                optional
                quantity={quantities.plain}
                value={strength.xrRatio}
                onCommit={(v) => source({ strength: { ...strength, xrRatio: v } })}
              />
            </>
          )}
          {strength.kind === "generator" && (
            <>
              <QuantityField
                label="Generator"
                optional
                quantity={quantities.ratingKva}
                value={strength.ratedKva}
                onCommit={(v) => source({ strength: { ...strength, ratedKva: v } })}
              />
              <QuantityField
                label="Active power"
                optional
                quantity={quantities.powerKw}
                value={strength.ratedKw ?? null}
                onCommit={(v) => source({ strength: { ...strength, ratedKw: v } })}
              />
              <QuantityField
                label="Transient X′d"
                optional
                quantity={quantities.percent}
                value={strength.transientPct ?? null}
                note="Governs dips of 0.1 s and more."
                onCommit={(v) => source({ strength: { ...strength, transientPct: v } })}
              />
              <QuantityField
                label="Governing class G"
                optional
                quantity={quantities.plain}
                value={strength.governingClass ?? null}
                note="1 to 3, ISO 8528-5."
                onCommit={(v) => source({ strength: { ...strength, governingClass: v } })}
              />
              <QuantityField
                label="Subtransient X″d"
                optional
                quantity={quantities.percent}
                value={strength.subtransientPct}
                onCommit={(v) => source({ strength: { ...strength, subtransientPct: v } })}
              />
              <QuantityField
                label="Negative seq. X2"
                optional
                placeholder="as X″d"
                quantity={quantities.percent}
                value={strength.negativeSequencePct}
                onCommit={(v) => source({ strength: { ...strength, negativeSequencePct: v } })}
              />
              <QuantityField
                label="X/R"
                optional
                quantity={quantities.plain}
                value={strength.xrRatio}
                onCommit={(v) => source({ strength: { ...strength, xrRatio: v } })}
              />
            </>
          )}
          <QuantityField
            label="Lowest voltage"
            optional
            placeholder="nominal"
            quantity={quantities.percent}
            value={s.source.lowestPct ?? null}
            onCommit={(v) => source({ lowestPct: v })}
          />
          <QuantityField
            label="Highest voltage"
            optional
            placeholder="nominal"
            quantity={quantities.percent}
            value={s.source.highestPct ?? null}
            onCommit={(v) => source({ highestPct: v })}
          />
          <QuantityField
            label="Unbalance"
            optional
            placeholder="none stated"
            quantity={quantities.percent}
            value={s.source.unbalancePct}
            onCommit={(v) => source({ unbalancePct: v })}
          />
          <QuantityField
            label="Background 5th"
            optional
            placeholder="none stated"
            quantity={quantities.percent}
            value={s.source.backgroundV5Pct}
            onCommit={(v) => source({ backgroundV5Pct: v })}
          />
          <QuantityField
            label="Background 7th"
            optional
            placeholder="none stated"
            quantity={quantities.percent}
            value={s.source.backgroundV7Pct}
            onCommit={(v) => source({ backgroundV7Pct: v })}
          />
        </section>
        <section>
          <h3 className="section-title">Point of common coupling</h3>
          <ChoiceField label="Bus" value={s.pcc.busId} choices={buses} onCommit={(busId) => pcc({ busId })} />
          <QuantityField
            label="Maximum demand"
            optional
            placeholder="computed"
            quantity={quantities.ratingKva}
            value={s.pcc.maximumDemandKva}
            note="15 or 30 min; empty: the largest scenario."
            onCommit={(v) => pcc({ maximumDemandKva: v })}
          />
          <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1 border-l-4 border-plum bg-card p-2">
            <dt>Fault current, largest / least</dt>
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
        <section>
          <h3 className="section-title">Site</h3>
          <QuantityField
            label="Altitude"
            quantity={quantities.altitudeM}
            value={s.site.altitudeM}
            onCommit={(v) => site({ altitudeM: v ?? 0 })}
          />
          <QuantityField
            label="Ambient, highest"
            quantity={quantities.temperatureC}
            value={s.site.ambientMaxC}
            onCommit={(v) => site({ ambientMaxC: v ?? 0 })}
          />
          <QuantityField
            label="Cabinet air above it"
            quantity={quantities.riseK}
            value={s.site.cabinetAirRiseK}
            onCommit={(v) => site({ cabinetAirRiseK: v ?? 0 })}
          />
          <h3 className="section-title">Tariff and comparison</h3>
          <TextField label="Currency" value={s.tariff.currency} onCommit={(currency) => tariff({ currency })} />
          <QuantityField
            label="Energy, per kWh"
            quantity={quantities.plain}
            value={s.tariff.energyPerKwh}
            onCommit={(v) => tariff({ energyPerKwh: v ?? 0 })}
          />
          <QuantityField
            label="Demand, per kW and year"
            quantity={quantities.plain}
            value={s.tariff.demandPerKwYear}
            onCommit={(v) => tariff({ demandPerKwYear: v ?? 0 })}
          />
          <QuantityField
            label="Reactive energy, per kvarh"
            quantity={quantities.plain}
            value={s.tariff.reactivePerKvarh}
            onCommit={(v) => tariff({ reactivePerKvarh: v ?? 0 })}
          />
          <QuantityField
            label="Free down to power factor"
            quantity={quantities.plain}
            value={s.tariff.freePowerFactor}
            onCommit={(v) => tariff({ freePowerFactor: v ?? 0.95 })}
          />
          <QuantityField
            label="CO₂, kg per kWh"
            quantity={quantities.plain}
            value={s.tariff.co2KgPerKwh}
            onCommit={(v) => tariff({ co2KgPerKwh: v ?? 0 })}
          />
          <QuantityField
            label="Money per price point"
            quantity={quantities.plain}
            value={s.tariff.currencyPerIndexPoint}
            onCommit={(v) => tariff({ currencyPerIndexPoint: v ?? 0 })}
          />
          <QuantityField
            label="Years compared"
            quantity={quantities.plain}
            value={s.tariff.years}
            onCommit={(v) => tariff({ years: v ?? 0 })}
          />
          <QuantityField
            label="Discount rate"
            quantity={quantities.percent}
            value={s.tariff.discountRatePct}
            onCommit={(v) => tariff({ discountRatePct: v ?? 0 })}
          />
        </section>
      </div>
      <BusTable onReason={onReason} />
      <TransformerTable onReason={onReason} />
      <LinkTable />
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
