import type { BusLink, BusLoad, CapacitorBank, CheckKey } from "../../api/client";
import { CellEntry } from "../../fields/Entries";
import type { Field } from "../../fields/field";
import { fields } from "../../fields/table";
import { useUnits } from "../../fields/useUnits";
import { fieldColumns, shown, useBusColumns } from "./columns";
import { ElementMark } from "./ElementMark";
import { ElementTable } from "./ElementTable";
import { LinkProtection } from "./LinkProtection";
import { useElements } from "./useElements";
import { useProject } from "../../project/ProjectContext";

/** Cables and couplers between buses. */
export function LinkTable({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { elements, change, add, remove } = useElements("links");
  const units = useUnits();
  const ends = useBusColumns<BusLink>(change, [
    ["from", "fromBusId", "First end of"],
    ["to", "toBusId", "Other end of"],
  ]);
  const of = (l: BusLink) => (l.kind === "cable" ? fields.BusLinkCable : fields.BusLinkCoupler);
  return (
    <ElementTable
      title="Cables and couplers"
      elements={elements}
      add={[
        { name: "Add cable", run: () => add("cable") },
        { name: "Add coupler", run: () => add("coupler") },
      ]}
      onRemove={remove}
      columns={[
        ...fieldColumns<BusLink>(of, change, [["name", "name"]]),
        ...ends,
        ...fieldColumns<BusLink>(of, change, [
          ["closed", "normallyClosed"],
          [`length, ${units.unit("m")}`, "lengthM", "w-16"],
          [units.system === "si" ? "mm²" : "AWG or mm²", "crossSectionMm2", "w-20"],
          ["runs", "parallelRuns", "w-12"],
          ["metal", "material"],
          ["laying", "laying"],
        ]),
        {
          heading: "device",
          cell: (l) =>
            l.kind === "cable" ? (
              <span className="flex items-center gap-1.5">
                <ElementMark id="cable.capacity" element={l.id} onReason={onReason} />
                <LinkProtection cable={l} change={(part) => change(l, part)} />
              </span>
            ) : (
              <span className="text-soft">–</span>
            ),
        },
      ]}
    />
  );
}

/** Capacitor banks. */
export function BankTable() {
  const { elements, change, add, remove } = useElements("capacitorBanks");
  const { run } = useProject();
  const bus = useBusColumns<CapacitorBank>(change, [["bus", "busId", "Bus of"]]);
  return (
    <ElementTable
      title="Capacitor banks"
      note={elements.length > 0 ? "Reactor empty: none, the bank and the supply resonate." : undefined}
      elements={elements}
      add={[{ name: "Add capacitor bank", run: () => add("capacitor-bank") }]}
      onRemove={remove}
      columns={[
        ...fieldColumns<CapacitorBank>(() => fields.CapacitorBank, change, [["name", "name"]]),
        ...bus,
        ...fieldColumns<CapacitorBank>(() => fields.CapacitorBank, change, [
          ["step, kvar", "stepKvar"],
          ["steps", "steps", "w-14"],
          ["reactor p, %", "detuningPct", "w-14"],
          ["rated, V", "capacitorRatedV", "w-16"],
          ["contactor, A", "contactorA", "w-14"],
        ]),
        {
          heading: "",
          cell: (b) => (
            <button
              type="button"
              className="button px-1.5 py-0"
              title="The smallest contactor of the generic series that carries a step for ever (AC-6b)."
              aria-label={`Propose the contactor of ${b.name}`}
              onClick={() => void run({ kind: "size-bank-contactor", bankId: b.id })}
            >
              propose
            </button>
          ),
        },
      ]}
    />
  );
}

const kinds: Readonly<Record<BusLoad["kind"], string>> = {
  linear: "linear",
  "line-motor": "motor on the line",
  "single-phase-group": "single-phase",
};

// What is shown before each entry, in the order in which they are asked.
const entries: Readonly<Record<BusLoad["kind"], readonly (readonly [string, string])[]>> = {
  linear: [
    ["powerKw", "kW"],
    ["powerFactor", "cos φ"],
  ],
  "line-motor": [
    ["ratedKw", "P"],
    ["powerFactor", "cos φ"],
    ["efficiencyPct", "η, %"],
    ["loadingPct", "load, %"],
    ["lockedRotorCurrentPu", "I_lr/I_N"],
    ["lockedRotorPowerFactor", "cos φ_lr"],
    ["startsPerHour", "starts/h"],
  ],
  "single-phase-group": [
    ["powerKw", "kW"],
    ["powerFactor", "cos φ"],
    ["unevenPct", "uneven, %"],
    ["thirdHarmonicPct", "3rd, %"],
    ["neutralA", "neutral, A"],
  ],
};

const described: Readonly<Record<BusLoad["kind"], Readonly<Record<string, Field>>>> = {
  linear: fields.BusLoadLinear,
  "line-motor": fields.BusLoadLineMotor,
  "single-phase-group": fields.BusLoadSinglePhaseGroup,
};

/** What hangs on the buses beside the lineups. */
export function LoadTable({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { elements, change, add, remove } = useElements("loads");
  const bus = useBusColumns<BusLoad>(change, [["bus", "busId", "Bus of"]]);
  return (
    <ElementTable
      title="Other loads"
      elements={elements}
      add={(Object.keys(kinds) as BusLoad["kind"][]).map((kind) => ({
        name: `Add ${kinds[kind]}`,
        run: () => add(kind),
      }))}
      onRemove={remove}
      columns={[
        ...fieldColumns<BusLoad>((l) => described[l.kind], change, [["name", "name"]]),
        shown<BusLoad>("kind", (l) => <span className="text-soft whitespace-nowrap">{kinds[l.kind]}</span>),
        ...bus,
        {
          heading: "entries",
          cell: (l) => (
            <span className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
              {entries[l.kind].map(([key, symbol]) => {
                const field = described[l.kind][key];
                return field ? (
                  <span key={key} className="flex items-baseline gap-1 whitespace-nowrap">
                    <span className="text-soft">{symbol}</span>
                    <CellEntry
                      field={field}
                      whose={l.name}
                      width="w-16"
                      value={(l as unknown as Record<string, number | null>)[key]}
                      onCommit={(v: number | null) => change(l, { [key]: v })}
                    />
                  </span>
                ) : null;
              })}
            </span>
          ),
        },
        {
          heading: "check",
          cell: (l) => (
            <ElementMark
              id={l.kind === "line-motor" ? "supply.start-dip" : "supply.neutral"}
              element={l.id}
              onReason={onReason}
            />
          ),
        },
      ]}
    />
  );
}
