import type { Check, Specification } from "../../api/client";
import { ChoiceField, QuantityField, TextField } from "../../components/Fields";
import { n } from "../../lib/format";
import { quantities } from "../../lib/units";
import type { Selection } from "../board/selection";
import { CheckList } from "../bench/CellChecks";
import { useProject } from "../project/ProjectContext";
import { DefaultsTable } from "./DefaultsTable";
import { LineDiagram } from "./LineDiagram";
import { ScenarioGrid } from "./ScenarioGrid";

// The entry that an element of the diagram stands for.
function focusEntry(label: string): void {
  for (const candidate of document.querySelectorAll("main label")) {
    if (candidate.textContent === label && candidate instanceof HTMLLabelElement) {
      candidate.control?.focus();
      return;
    }
  }
}

type Strength = Specification["source"]["strength"];

function strengthOf(kind: Strength["kind"]): Strength {
  switch (kind) {
    case "fault-level":
      return { kind, shortCircuitMva: null, xrRatio: null };
    case "generator":
      return { kind, ratedKva: null, subtransientPct: null, xrRatio: null };
    default:
      return { kind };
  }
}

/** Source, transformer, bus, site, tariff, scenarios and the limits in force. */
export function PlantPage({
  onReason,
  onCell,
}: {
  readonly onReason: (check: Pick<Check, "id" | "drivePointId">) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project, edit } = useProject();
  const s = project.specification;
  const supply = project.assessment.supply;
  const source = (change: Partial<typeof s.source>) =>
    edit("Source", (x) => ({ ...x, source: { ...x.source, ...change } }));
  const transformer = (change: Partial<typeof s.transformer>) =>
    edit("Transformer", (x) => ({ ...x, transformer: { ...x.transformer, ...change } }));
  const bus = (change: Partial<typeof s.bus>) => edit("Bus", (x) => ({ ...x, bus: { ...x.bus, ...change } }));
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
          <QuantityField
            label="Nominal voltage"
            quantity={quantities.voltageKv}
            value={s.source.nominalVoltageV}
            onCommit={(v) => source({ nominalVoltageV: v ?? 0 })}
          />
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
                label="Fault level"
                optional
                quantity={quantities.faultMva}
                value={strength.shortCircuitMva}
                onCommit={(v) => source({ strength: { ...strength, shortCircuitMva: v } })}
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
                label="Subtransient X″d"
                optional
                quantity={quantities.percent}
                value={strength.subtransientPct}
                onCommit={(v) => source({ strength: { ...strength, subtransientPct: v } })}
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
          <ChoiceField
            label="Common coupling"
            value={s.pcc}
            choices={{ bus: "at the bus", "transformer-primary": "at the transformer’s primary" }}
            onCommit={(pcc) => edit("Point of common coupling", (x) => ({ ...x, pcc }))}
          />
        </section>
        <section>
          <h3 className="section-title">Transformer</h3>
          <QuantityField
            label="Rating"
            quantity={quantities.ratingKva}
            value={s.transformer.ratedKva}
            onCommit={(v) => transformer({ ratedKva: v ?? 0 })}
          />
          <QuantityField
            label="Short-circuit voltage"
            quantity={quantities.percent}
            value={s.transformer.ukPct}
            onCommit={(v) => transformer({ ukPct: v ?? 0 })}
          />
          <QuantityField
            label="Load loss"
            quantity={quantities.powerKw}
            value={s.transformer.loadLossKw}
            onCommit={(v) => transformer({ loadLossKw: v ?? 0 })}
          />
          <QuantityField
            label="No-load loss"
            quantity={quantities.powerKw}
            value={s.transformer.noLoadLossKw}
            onCommit={(v) => transformer({ noLoadLossKw: v ?? 0 })}
          />
          <QuantityField
            label="Eddy-loss share"
            optional
            quantity={quantities.fractionPercent}
            value={s.transformer.eddyLossPu}
            note="Of the I²R loss; 5 to 10 % is common."
            onCommit={(v) => transformer({ eddyLossPu: v })}
          />
          <h3 className="section-title">Bus</h3>
          <TextField label="Name" value={s.bus.name} onCommit={(name) => bus({ name })} />
          <QuantityField
            label="Nominal voltage"
            quantity={quantities.voltageV}
            value={s.bus.nominalVoltageV}
            onCommit={(v) => bus({ nominalVoltageV: v ?? 0 })}
          />
          <QuantityField
            label="Linear load"
            quantity={quantities.powerKw}
            value={s.bus.linearLoadKw}
            onCommit={(v) => bus({ linearLoadKw: v ?? 0 })}
          />
          <QuantityField
            label="Its power factor"
            quantity={quantities.plain}
            value={s.bus.linearLoadPowerFactor}
            onCommit={(v) => bus({ linearLoadPowerFactor: v ?? 0 })}
          />
          <QuantityField
            label="Maximum demand"
            optional
            placeholder="computed"
            quantity={quantities.ratingKva}
            value={s.bus.maximumDemandKva}
            note="15 or 30 min; empty: the largest scenario."
            onCommit={(v) => bus({ maximumDemandKva: v })}
          />
        </section>
        <section>
          <h3 className="section-title">What follows</h3>
          <dl className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1 border-l-4 border-plum bg-card p-2">
            <dt>Fault current at the bus</dt>
            <dd className="font-mono">{supply ? `${n(supply.busFaultKa, 4)} kA` : "needs data"}</dd>
            <dt>Impedance behind the bus</dt>
            <dd className="font-mono">
              {supply ? `${n(supply.busResistanceMohm, 4)} + j ${n(supply.busReactanceMohm, 4)} mΩ` : "needs data"}
            </dd>
            <dt>Demand current at the PCC</dt>
            <dd className="font-mono">{supply?.demandA == null ? "needs data" : `${n(supply.demandA, 4)} A`}</dd>
            <dt>Isc/IL</dt>
            <dd className="font-mono">{n(supply?.shortCircuitRatio, 4)}</dd>
          </dl>
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
      <section aria-label="Checks of the plant">
        <h3 className="section-title">Checks of the plant</h3>
        <CheckList checks={project.assessment.checks.filter((c) => c.row === "plant")} onReason={onReason} />
      </section>
      <ScenarioGrid />
      <DefaultsTable />
    </div>
  );
}
