import type { Bus, CheckKey, Transformer } from "../../api/client";
import { n } from "../../lib/format";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { fieldColumns, useBusColumns } from "./columns";
import { ElementMark } from "./ElementMark";
import { ElementTable } from "./ElementTable";
import { StandardSize } from "./StandardSize";
import { useElements } from "./useElements";

// Other stray losses lie in the tank: a dry transformer has none.
const dry = Object.fromEntries(Object.entries(fields.Transformer).filter(([key]) => key !== "otherStrayLossPu"));

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
        ...fieldColumns<Bus>(() => fields.Bus, change, [
          ["name", "name"],
          ["voltage, V", "nominalVoltageV"],
          ["withstand, kA", "withstandKa"],
          ["earthing", "earthing"],
          ["monitor", "insulationMonitored"],
          ["R_A, Ω", "electrodeOhm", "w-12"],
          ["class", "environmentClass", "w-10"],
        ]),
        { heading: "hangs here", cell: (b) => <span className="text-soft">{roles(b)}</span> },
        {
          heading: "Isc plain, largest / least",
          cell: (b) => (
            <span className="flex items-center gap-1.5 font-mono whitespace-nowrap">
              <ElementMark id="supply.fault-level" element={b.id} onReason={onReason} />
              {fault(b)}
            </span>
          ),
        },
        {
          heading: "breaking / peak",
          cell: (b) => (
            <span
              className="font-mono whitespace-nowrap"
              title="Largest by IEC 60909-0, motors and voltage factor with it: for breaking and withstand; its peak i_p"
            >
              {of(b)?.breakingKa == null ? "–" : `${n(of(b)?.breakingKa, 3)} / ${n(of(b)?.peakKa, 3)} kA`}
            </span>
          ),
        },
        {
          heading: "two phases / to earth, least",
          cell: (b) => (
            <span
              className="font-mono whitespace-nowrap"
              title="Least by IEC 60909-0, conductors hot: for disconnection"
            >
              {of(b)?.twoPhaseKa == null
                ? "–"
                : `${n(of(b)?.twoPhaseKa, 3)} / ${of(b)?.earthKa == null ? "not known" : n(of(b)?.earthKa, 3)} kA`}
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
  const ends = useBusColumns<Transformer>(change, [
    ["from", "fromBusId", "Source side of"],
    ["feeds", "toBusId", "Bus fed by"],
  ]);
  return (
    <ElementTable
      title="Transformers"
      elements={elements}
      add={[{ name: "Add transformer", run: () => add("transformer") }]}
      onRemove={remove}
      columns={[
        ...fieldColumns<Transformer>(() => fields.Transformer, change, [["name", "name"]]),
        ...ends,
        { heading: "standard size", cell: (t) => <StandardSize transformer={t} /> },
        ...fieldColumns<Transformer>((t) => (t.cooling === "oil" ? fields.Transformer : dry), change, [
          ["kVA", "ratedKva", "w-14"],
          ["uk, %", "ukPct", "w-14"],
          ["Pk, kW", "loadLossKw", "w-14"],
          ["P0, kW", "noLoadLossKw", "w-14"],
          ["U0, %", "noLoadSecondaryPct", "w-14"],
          ["group", "vectorGroup"],
          ["type", "cooling"],
          ["eddy, %", "eddyLossPu", "w-14"],
          ["stray, %", "otherStrayLossPu", "w-14"],
        ]),
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
