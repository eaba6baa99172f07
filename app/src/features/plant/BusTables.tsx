import type { Bus, CheckKey, Transformer } from "../../api/client";
import { CellChoice, CellText } from "../../components/CellFields";
import { VerdictMark } from "../../components/VerdictMark";
import { n } from "../../lib/format";
import { CellEntry } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { ElementTable } from "./ElementTable";
import { useElements } from "./useElements";

/** Words for vector groups: the number is the hour by which the fed side lags. */
const vectorGroups: Readonly<Record<Transformer["vectorGroup"], string>> = {
  dyn11: "Dyn11",
  dyn5: "Dyn5",
  dyn1: "Dyn1",
  dyn7: "Dyn7",
  yd11: "Yd11",
  yd5: "Yd5",
  yzn11: "Yzn11",
  yzn5: "Yzn5",
  yyn0: "Yyn0",
  dd0: "Dd0",
  dzn0: "Dzn0",
};

const earthings = {
  "not-stated": "not stated",
  "tn-s": "TN-S",
  "tn-cs": "TN-C-S",
  "tn-c": "TN-C",
  tt: "TT",
  it: "IT",
  "corner-earthed": "corner",
} as const;

/** Buses by name, for choices. */
export function useBusNames(filter: (bus: Bus) => boolean = () => true): Record<string, string> {
  const { project } = useProject();
  return Object.fromEntries(project.specification.distribution.buses.filter(filter).map((b) => [b.id, b.name]));
}

/** Buses with what the network does there. */
export function BusTable({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { project } = useProject();
  const { specification, assessment } = project;
  const { elements, change, add, remove } = useElements("buses");
  const of = (bus: Bus) => assessment.supply?.buses.find((b) => b.busId === bus.id);
  const fault = (bus: Bus) => {
    const found = of(bus);
    if (!found) {
      return <span className="text-soft">{assessment.supply ? "dead" : "needs data"}</span>;
    }
    return found.largestFaultKa === null ? (
      <span className="text-soft">infinite</span>
    ) : (
      <span title={`largest: ${found.largestFaultScenario}; least: ${found.leastFaultScenario}`}>
        {n(found.largestFaultKa, 3)} / {n(found.leastFaultKa, 3)} kA
      </span>
    );
  };
  const roles = (bus: Bus) =>
    [
      specification.source.busId === bus.id ? "source" : "",
      specification.pcc.busId === bus.id ? "PCC" : "",
      ...specification.lineups.filter((l) => l.busId === bus.id).map((l) => l.tag),
    ]
      .filter(Boolean)
      .join(", ");
  return (
    <ElementTable
      title="Buses"
      elements={elements}
      add={[{ name: "Add bus", run: () => add("bus") }]}
      onRemove={remove}
      columns={[
        {
          heading: "name",
          cell: (b) => <CellText label={`Name of ${b.name}`} value={b.name} onCommit={(name) => change(b, { name })} />,
        },
        {
          heading: "voltage, V",
          cell: (b) => (
            <CellEntry
              field={fields.Bus.nominalVoltageV}
              whose={b.name}
              value={b.nominalVoltageV}
              onCommit={(nominalVoltageV: number) => change(b, { nominalVoltageV })}
            />
          ),
        },
        {
          heading: "withstand, kA",
          cell: (b) => (
            <CellEntry
              field={fields.Bus.withstandKa}
              whose={b.name}
              value={b.withstandKa}
              onCommit={(withstandKa: number | null) => change(b, { withstandKa })}
            />
          ),
        },
        {
          heading: "earthing",
          cell: (b) => (
            <CellChoice
              label={`Earthing system of ${b.name}`}
              value={b.earthing ?? "not-stated"}
              choices={earthings}
              onCommit={(earthing) => change(b, { earthing })}
            />
          ),
        },
        {
          heading: "class",
          cell: (b) => (
            <CellEntry
              field={fields.Bus.environmentClass}
              whose={b.name}
              width="w-10"
              value={b.environmentClass}
              onCommit={(environmentClass: number | null) => change(b, { environmentClass })}
            />
          ),
        },
        { heading: "hangs here", cell: (b) => <span className="text-soft">{roles(b)}</span> },
        {
          heading: "Isc largest / least",
          cell: (b) => (
            <span className="flex items-center gap-1.5 font-mono whitespace-nowrap">
              <ElementMark id="supply.fault-level" element={b.id} onReason={onReason} />
              {fault(b)}
            </span>
          ),
        },
        {
          heading: "U, lowest / highest",
          cell: (b) => {
            const found = of(b);
            return (
              <span className="font-mono whitespace-nowrap" title={found?.lowestVoltageScenario}>
                {found ? `${n(found.lowestVoltagePct, 4)} / ${n(found.highestVoltagePct, 4)} %` : "–"}
              </span>
            );
          },
        },
        {
          heading: "THDv, own",
          cell: (b) => <span className="font-mono whitespace-nowrap">{of(b) ? `${n(of(b)?.thdvPct)} %` : "–"}</span>,
        },
      ]}
    />
  );
}

/** Transformers with their loading. */
export function TransformerTable({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { project } = useProject();
  const { assessment } = project;
  const { elements, change, add, remove } = useElements("transformers");
  const buses = useBusNames();
  return (
    <ElementTable
      title="Transformers"
      elements={elements}
      add={[{ name: "Add transformer", run: () => add("transformer") }]}
      onRemove={remove}
      columns={[
        {
          heading: "name",
          cell: (t) => <CellText label={`Name of ${t.name}`} value={t.name} onCommit={(name) => change(t, { name })} />,
        },
        {
          heading: "from",
          cell: (t) => (
            <CellChoice
              label={`Source side of ${t.name}`}
              value={t.fromBusId}
              choices={buses}
              onCommit={(fromBusId) => change(t, { fromBusId })}
            />
          ),
        },
        {
          heading: "feeds",
          cell: (t) => (
            <CellChoice
              label={`Bus fed by ${t.name}`}
              value={t.toBusId}
              choices={buses}
              onCommit={(toBusId) => change(t, { toBusId })}
            />
          ),
        },
        ...(
          [
            ["kVA", "ratedKva"],
            ["uk, %", "ukPct"],
            ["Pk, kW", "loadLossKw"],
            ["P0, kW", "noLoadLossKw"],
          ] as const
        ).map(([heading, key]) => ({
          heading,
          cell: (t: Transformer) => (
            <CellEntry
              field={fields.Transformer[key]}
              whose={t.name}
              width="w-14"
              value={t[key]}
              onCommit={(v: number) => change(t, { [key]: v })}
            />
          ),
        })),
        {
          heading: "U0, %",
          cell: (t) => (
            <CellEntry
              field={fields.Transformer.noLoadSecondaryPct}
              whose={t.name}
              width="w-14"
              value={t.noLoadSecondaryPct}
              onCommit={(noLoadSecondaryPct: number | null) => change(t, { noLoadSecondaryPct })}
            />
          ),
        },
        {
          heading: "group",
          cell: (t) => (
            <CellChoice
              label={`Vector group of ${t.name}`}
              value={t.vectorGroup}
              choices={vectorGroups}
              onCommit={(vectorGroup) => change(t, { vectorGroup })}
            />
          ),
        },
        {
          heading: "type",
          cell: (t) => (
            <CellChoice
              label={`Type of ${t.name}`}
              value={t.cooling}
              choices={{ dry: "dry", oil: "oil" }}
              onCommit={(cooling) => change(t, { cooling })}
            />
          ),
        },
        {
          heading: "eddy, %",
          cell: (t) => (
            <CellEntry
              field={fields.Transformer.eddyLossPu}
              whose={t.name}
              width="w-14"
              value={t.eddyLossPu}
              onCommit={(eddyLossPu: number | null) => change(t, { eddyLossPu })}
            />
          ),
        },
        {
          heading: "stray, %",
          cell: (t) =>
            t.cooling === "oil" ? (
              <CellEntry
                field={fields.Transformer.otherStrayLossPu}
                whose={t.name}
                width="w-14"
                value={t.otherStrayLossPu}
                onCommit={(otherStrayLossPu: number | null) => change(t, { otherStrayLossPu })}
              />
            ) : (
              <span className="text-soft">–</span>
            ),
        },
        {
          heading: "loading",
          cell: (t) => {
            const found = assessment.supply?.transformers.find((x) => x.transformerId === t.id);
            return (
              <span className="flex items-center gap-1.5 font-mono whitespace-nowrap" title={found?.scenario}>
                <ElementMark id="supply.transformer-loading" element={t.id} onReason={onReason} />
                {found ? `${n(found.loadingPct, 3)} %` : "–"}
              </span>
            );
          },
        },
      ]}
    />
  );
}

/** Verdict of an element's check as a shape; opens its reason. */
export function ElementMark({
  id,
  element,
  onReason,
}: {
  readonly id: string;
  readonly element: string;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { project } = useProject();
  const check = project.assessment.checks.find((c) => c.id === id && c.elementId === element);
  return check ? (
    <button type="button" aria-label={`Why: ${check.title}`} title={check.title} onClick={() => onReason(check)}>
      <VerdictMark verdict={check.verdict} />
    </button>
  ) : null;
}
