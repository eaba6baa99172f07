import type { BusLink, BusLoad, CheckKey } from "../../api/client";
import { CellChoice, CellQuantity, CellSwitch, CellText } from "../../components/CellFields";
import { quantities, type Quantity } from "../../lib/units";
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
  const cable = (l: BusLink, key: "lengthM" | "crossSectionMm2" | "parallelRuns", words: string, quantity: Quantity) =>
    l.kind !== "cable" ? (
      <span className="text-soft">–</span>
    ) : key === "parallelRuns" ? (
      <CellQuantity
        label={`${words} of ${l.name}`}
        width="w-12"
        quantity={quantity}
        value={l.parallelRuns}
        onCommit={(v) => change(l, { parallelRuns: Math.round(v) })}
      />
    ) : (
      <CellQuantity
        label={`${words} of ${l.name}`}
        optional
        width="w-16"
        quantity={quantity}
        value={l[key]}
        onCommit={(v) => change(l, { [key]: v })}
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
        { heading: "length, m", cell: (l) => cable(l, "lengthM", "Length", quantities.lengthM) },
        { heading: "mm²", cell: (l) => cable(l, "crossSectionMm2", "Cross-section", quantities.crossSectionMm2) },
        { heading: "runs", cell: (l) => cable(l, "parallelRuns", "Parallel runs", quantities.plain) },
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
            <CellQuantity
              label={`Power of a step of ${c.name}`}
              quantity={quantities.powerKvar}
              value={c.stepKvar}
              onCommit={(stepKvar) => change(c, { stepKvar })}
            />
          ),
        },
        {
          heading: "steps",
          cell: (c) => (
            <CellQuantity
              label={`Steps of ${c.name}`}
              width="w-14"
              quantity={quantities.plain}
              value={c.steps}
              onCommit={(steps) => change(c, { steps: Math.round(steps) })}
            />
          ),
        },
        {
          heading: "reactor p, %",
          cell: (c) => (
            <CellQuantity
              label={`Detuning of ${c.name}`}
              optional
              width="w-14"
              quantity={quantities.percent}
              value={c.detuningPct}
              onCommit={(detuningPct) => change(c, { detuningPct })}
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

type NumberKey<K extends BusLoad["kind"]> = Exclude<
  keyof Extract<BusLoad, { kind: K }>,
  "kind" | "id" | "name" | "busId"
>;

const linear: readonly [NumberKey<"linear">, string, Quantity][] = [
  ["powerKw", "kW", quantities.powerKw],
  ["powerFactor", "cos φ", quantities.plain],
];
const lineMotor: readonly [NumberKey<"line-motor">, string, Quantity][] = [
  ["ratedKw", "kW", quantities.powerKw],
  ["powerFactor", "cos φ", quantities.plain],
  ["efficiencyPct", "η, %", quantities.percent],
  ["loadingPct", "load, %", quantities.percent],
  ["lockedRotorCurrentPu", "I_lr/I_N", quantities.plain],
  ["lockedRotorPowerFactor", "cos φ_lr", quantities.plain],
  ["startsPerHour", "starts/h", quantities.plain],
];
const singlePhase: readonly [NumberKey<"single-phase-group">, string, Quantity][] = [
  ["powerKw", "kW", quantities.powerKw],
  ["powerFactor", "cos φ", quantities.plain],
  ["unevenPct", "uneven, %", quantities.percent],
  ["thirdHarmonicPct", "3rd, %", quantities.percent],
  ["neutralA", "neutral, A", quantities.currentA],
];

function entriesOf(load: BusLoad): readonly [string, string, Quantity][] {
  switch (load.kind) {
    case "linear":
      return linear;
    case "line-motor":
      return lineMotor;
    case "single-phase-group":
      return singlePhase;
  }
}

const optionalKeys = new Set(["lockedRotorPowerFactor", "unevenPct", "thirdHarmonicPct", "neutralA"]);

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
              {entriesOf(l).map(([key, words, quantity]) => (
                <span key={key} className="flex items-baseline gap-1 whitespace-nowrap">
                  <span className="text-soft">{words}</span>
                  {optionalKeys.has(key) ? (
                    <CellQuantity
                      label={`${words} of ${l.name}`}
                      optional
                      width="w-16"
                      quantity={quantity}
                      value={(l as Record<string, unknown>)[key] as number | null}
                      onCommit={(v) => change(l, { [key]: v })}
                    />
                  ) : (
                    <CellQuantity
                      label={`${words} of ${l.name}`}
                      width="w-16"
                      quantity={quantity}
                      value={(l as Record<string, unknown>)[key] as number}
                      onCommit={(v) => change(l, { [key]: v })}
                    />
                  )}
                </span>
              ))}
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
