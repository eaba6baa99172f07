import type { Bus, CheckKey, Transformer } from "../../api/client";
import { CellChoice, CellQuantity, CellText } from "../../components/CellFields";
import { VerdictMark } from "../../components/VerdictMark";
import { n } from "../../lib/format";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";
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
            <CellQuantity
              label={`Voltage of ${b.name}`}
              quantity={quantities.voltageV}
              value={b.nominalVoltageV}
              onCommit={(nominalVoltageV) => change(b, { nominalVoltageV })}
            />
          ),
        },
        {
          heading: "withstand, kA",
          cell: (b) => (
            <CellQuantity
              label={`Withstand of ${b.name}`}
              optional
              quantity={quantities.currentKa}
              value={b.withstandKa}
              onCommit={(withstandKa) => change(b, { withstandKa })}
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
            <CellQuantity
              label={`Class of environment of ${b.name}`}
              optional
              width="w-10"
              quantity={quantities.plain}
              value={b.environmentClass ?? null}
              onCommit={(environmentClass) => change(b, { environmentClass })}
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
            ["kVA", "Rating", "ratedKva", quantities.ratingKva],
            ["uk, %", "Short-circuit voltage", "ukPct", quantities.percent],
            ["Pk, kW", "Load loss", "loadLossKw", quantities.powerKw],
            ["P0, kW", "No-load loss", "noLoadLossKw", quantities.powerKw],
          ] as const
        ).map(([heading, words, key, quantity]) => ({
          heading,
          cell: (t: Transformer) => (
            <CellQuantity
              label={`${words} of ${t.name}`}
              width="w-14"
              quantity={quantity}
              value={t[key]}
              onCommit={(v) => change(t, { [key]: v })}
            />
          ),
        })),
        {
          heading: "U0, %",
          cell: (t) => (
            <CellQuantity
              label={`No-load voltage of ${t.name} with its tap`}
              optional
              width="w-14"
              quantity={quantities.percent}
              value={t.noLoadSecondaryPct ?? null}
              onCommit={(noLoadSecondaryPct) => change(t, { noLoadSecondaryPct })}
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
            <CellQuantity
              label={`Eddy-loss share of ${t.name}`}
              optional
              width="w-14"
              quantity={quantities.fractionPercent}
              value={t.eddyLossPu}
              onCommit={(eddyLossPu) => change(t, { eddyLossPu })}
            />
          ),
        },
        {
          heading: "stray, %",
          cell: (t) =>
            t.cooling === "oil" ? (
              <CellQuantity
                label={`Other stray loss of ${t.name}`}
                optional
                width="w-14"
                quantity={quantities.fractionPercent}
                value={t.otherStrayLossPu}
                onCommit={(otherStrayLossPu) => change(t, { otherStrayLossPu })}
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
