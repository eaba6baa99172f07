import type { BusLink, BusLoad, CheckKey } from "../../api/client";
import { CellChoice, CellSwitch, CellText } from "../../components/CellFields";
import { CellEntry } from "../../fields/Entries";
import type { Field } from "../../fields/field";
import { fields } from "../../fields/table";
import { ElementMark, useBusNames } from "./BusTables";
import { ElementTable } from "./ElementTable";
import { useElements } from "./useElements";

/** Cables and couplers between buses. */
export function LinkTable() {
  const { elements, change, add, remove } = useElements("links");
  const buses = useBusNames();
  const end = (l: BusLink, key: "fromBusId" | "toBusId", words: string) => (
    <CellChoice
      label={`${words} of ${l.name}`}
      value={l[key]}
      choices={buses}
      onCommit={(busId) => change(l, { [key]: busId })}
    />
  );
  const cable = (l: BusLink, key: "lengthM" | "crossSectionMm2" | "parallelRuns", width: string) =>
    l.kind !== "cable" ? (
      <span className="text-soft">–</span>
    ) : (
      <CellEntry
        field={fields.BusLinkCable[key]}
        whose={l.name}
        width={width}
        value={l[key]}
        onCommit={(v: number) => change(l, { [key]: v })}
      />
    );
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
        {
          heading: "name",
          cell: (l) => <CellText label={`Name of ${l.name}`} value={l.name} onCommit={(name) => change(l, { name })} />,
        },
        { heading: "from", cell: (l) => end(l, "fromBusId", "First end") },
        { heading: "to", cell: (l) => end(l, "toBusId", "Other end") },
        {
          heading: "closed",
          cell: (l) => (
            <CellSwitch
              label={`${l.name}: normally closed`}
              value={l.normallyClosed}
              onCommit={(normallyClosed) => change(l, { normallyClosed })}
            />
          ),
        },
        { heading: "length, m", cell: (l) => cable(l, "lengthM", "w-16") },
        { heading: "mm²", cell: (l) => cable(l, "crossSectionMm2", "w-16") },
        { heading: "runs", cell: (l) => cable(l, "parallelRuns", "w-12") },
        {
          heading: "metal",
          cell: (l) =>
            l.kind === "cable" ? (
              <CellChoice
                label={`Metal of ${l.name}`}
                value={l.material}
                choices={{ copper: "copper", aluminium: "aluminium" }}
                onCommit={(material) => change(l, { material })}
              />
            ) : (
              <span className="text-soft">–</span>
            ),
        },
        {
          heading: "laying",
          cell: (l) =>
            l.kind === "cable" ? (
              <CellChoice
                label={`Laying of ${l.name}`}
                value={l.laying}
                choices={{ trefoil: "trefoil", flat: "flat" }}
                onCommit={(laying) => change(l, { laying })}
              />
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
  const buses = useBusNames();
  return (
    <ElementTable
      title="Capacitor banks"
      note={elements.length > 0 ? "Reactor empty: none, the bank and the supply resonate." : undefined}
      elements={elements}
      add={[{ name: "Add capacitor bank", run: () => add("capacitor-bank") }]}
      onRemove={remove}
      columns={[
        {
          heading: "name",
          cell: (c) => <CellText label={`Name of ${c.name}`} value={c.name} onCommit={(name) => change(c, { name })} />,
        },
        {
          heading: "bus",
          cell: (c) => (
            <CellChoice
              label={`Bus of ${c.name}`}
              value={c.busId}
              choices={buses}
              onCommit={(busId) => change(c, { busId })}
            />
          ),
        },
        {
          heading: "step, kvar",
          cell: (c) => (
            <CellEntry
              field={fields.CapacitorBank.stepKvar}
              whose={c.name}
              value={c.stepKvar}
              onCommit={(stepKvar: number) => change(c, { stepKvar })}
            />
          ),
        },
        {
          heading: "steps",
          cell: (c) => (
            <CellEntry
              field={fields.CapacitorBank.steps}
              whose={c.name}
              width="w-14"
              value={c.steps}
              onCommit={(steps: number) => change(c, { steps })}
            />
          ),
        },
        {
          heading: "reactor p, %",
          cell: (c) => (
            <CellEntry
              field={fields.CapacitorBank.detuningPct}
              whose={c.name}
              width="w-14"
              value={c.detuningPct}
              onCommit={(detuningPct: number | null) => change(c, { detuningPct })}
            />
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
    ["ratedKw", "kW"],
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
  const buses = useBusNames();
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
        {
          heading: "name",
          cell: (l) => <CellText label={`Name of ${l.name}`} value={l.name} onCommit={(name) => change(l, { name })} />,
        },
        { heading: "kind", cell: (l) => <span className="text-soft whitespace-nowrap">{kinds[l.kind]}</span> },
        {
          heading: "bus",
          cell: (l) => (
            <CellChoice
              label={`Bus of ${l.name}`}
              value={l.busId}
              choices={buses}
              onCommit={(busId) => change(l, { busId })}
            />
          ),
        },
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
