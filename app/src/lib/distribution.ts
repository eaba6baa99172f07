import type {
  ActiveFilter,
  Bus,
  BusLink,
  BusLoad,
  CapacitorBank,
  Distribution,
  Specification,
  Transformer,
} from "../api/client";

/** Kinds of elements between the source and the lineups, as the distribution lists them. */
export type ElementList = "buses" | "transformers" | "links" | "capacitorBanks" | "activeFilters" | "loads";

/** An element of a list. */
export type ElementOf<L extends ElementList> = NonNullable<Distribution[L]>[number];

/** The elements of a list. */
export const elementsOf = <L extends ElementList>(specification: Specification, list: L): readonly ElementOf<L>[] =>
  specification.distribution[list] ?? [];

/** Changes one element, leaves every other object as it is. */
export function changeElement<L extends ElementList>(
  specification: Specification,
  list: L,
  id: string,
  change: (element: ElementOf<L>) => ElementOf<L>,
): Specification {
  const elements = elementsOf(specification, list);
  return withList(
    specification,
    list,
    elements.map((e) => (e.id === id ? change(e) : e)),
  );
}

/** Adds an element at the end of its list. */
export function addElement<L extends ElementList>(
  specification: Specification,
  list: L,
  element: ElementOf<L>,
): Specification {
  return withList(specification, list, [...elementsOf(specification, list), element]);
}

/** Removes an element, and what scenarios say of it. A bus must be free: see {@link hangingOn}. */
export function removeElement(specification: Specification, list: ElementList, id: string): Specification {
  const elements: readonly { readonly id: string }[] = elementsOf(specification, list);
  const without = withList(specification, list, elements.filter((e) => e.id !== id) as ElementOf<typeof list>[]);
  return {
    ...without,
    scenarios: without.scenarios.map((s) => ({
      ...s,
      loadStates: s.loadStates.filter((x) => x.loadId !== id),
      switches: s.switches.filter((x) => x.elementId !== id),
      bankStates: s.bankStates.filter((x) => x.bankId !== id),
    })),
  };
}

/** Names of everything that hangs on a bus; empty when it may be removed. */
export function hangingOn(specification: Specification, busId: string): string[] {
  const { distribution: d } = specification;
  return [
    ...(specification.source.busId === busId ? ["the source"] : []),
    ...(specification.pcc.busId === busId ? ["the point of common coupling"] : []),
    ...[...d.transformers, ...d.links].filter((e) => e.fromBusId === busId || e.toBusId === busId).map((e) => e.name),
    ...[...d.capacitorBanks, ...(d.activeFilters ?? []), ...d.loads]
      .filter((e) => e.busId === busId)
      .map((e) => e.name),
    ...specification.lineups.filter((l) => l.busId === busId).map((l) => `lineup ${l.tag}`),
  ];
}

/** A key that no element has yet. */
export function freshElementId(specification: Specification, stem: string): string {
  const d = specification.distribution;
  const ids = new Set(
    [...d.buses, ...d.transformers, ...d.links, ...d.capacitorBanks, ...(d.activeFilters ?? []), ...d.loads].map(
      (e) => e.id,
    ),
  );
  let number = 1;
  while (ids.has(`${stem}-${number}`)) {
    number++;
  }
  return `${stem}-${number}`;
}

/** A new bus with the voltage of the last. */
export function newBus(specification: Specification): Bus {
  const last = specification.distribution.buses.at(-1);
  const id = freshElementId(specification, "bus");
  return {
    id,
    name: `bus ${id.slice(4)}`,
    nominalVoltageV: last?.nominalVoltageV ?? 400,
    withstandKa: null,
    earthing: "not-stated",
    environmentClass: null,
  };
}

/** A new transformer from the source's bus to the last one of a lower voltage. */
export function newTransformer(specification: Specification): Transformer | undefined {
  const { buses } = specification.distribution;
  const from = buses.find((b) => b.id === specification.source.busId);
  const to = buses.findLast((b) => b.id !== from?.id && b.nominalVoltageV < (from?.nominalVoltageV ?? 0));
  if (!from || !to) {
    return undefined;
  }
  const id = freshElementId(specification, "transformer");
  return {
    id,
    name: id.replace("-", " "),
    fromBusId: from.id,
    toBusId: to.id,
    ratedKva: 1000,
    ukPct: 6,
    loadLossKw: 10,
    noLoadLossKw: 1.2,
    vectorGroup: "dyn11",
    cooling: "dry",
    eddyLossPu: null,
    otherStrayLossPu: null,
    // Proposed for a new transformer, and said where it counts.
    noLoadSecondaryPct: 105,
  };
}

/** A new link between the last two buses of one voltage, open, so that nothing changes until its entries stand. */
export function newLink(specification: Specification, kind: BusLink["kind"]): BusLink | undefined {
  const { buses } = specification.distribution;
  const to = buses.findLast((b) => buses.some((o) => o !== b && o.nominalVoltageV === b.nominalVoltageV));
  const from = buses.findLast((b) => b !== to && b.nominalVoltageV === to?.nominalVoltageV);
  if (!from || !to) {
    return undefined;
  }
  const id = freshElementId(specification, kind);
  const ends = { id, name: id.replace("-", " "), fromBusId: from.id, toBusId: to.id, normallyClosed: false };
  return kind === "coupler"
    ? { kind, ...ends }
    : {
        kind,
        ...ends,
        lengthM: null,
        crossSectionMm2: null,
        parallelRuns: 1,
        material: "copper",
        laying: "trefoil",
      };
}

/** A new capacitor bank on the last bus. */
export function newBank(specification: Specification): CapacitorBank {
  const id = freshElementId(specification, "capacitors");
  return { id, name: id.replace("-", " "), busId: lastBus(specification), stepKvar: 25, steps: 4, detuningPct: 7 };
}

/** A new central active filter on the last bus. */
export function newFilter(specification: Specification): ActiveFilter {
  const id = freshElementId(specification, "filter");
  return { id, name: `active ${id.replace("-", " ")}`, busId: lastBus(specification), ratedCurrentA: 100 };
}

/** A new load on the last bus. */
export function newLoad(specification: Specification, kind: BusLoad["kind"]): BusLoad {
  const id = freshElementId(specification, "load");
  const base = { id, name: id.replace("-", " "), busId: lastBus(specification) };
  switch (kind) {
    case "linear":
      return { kind, ...base, powerKw: 0, powerFactor: 0.9 };
    case "line-motor":
      return {
        kind,
        ...base,
        ratedKw: 15,
        efficiencyPct: 92,
        powerFactor: 0.85,
        loadingPct: 80,
        lockedRotorCurrentPu: 7,
        lockedRotorPowerFactor: null,
        startsPerHour: 1,
      };
    case "single-phase-group":
      return { kind, ...base, powerKw: 0, powerFactor: 0.95, unevenPct: null, thirdHarmonicPct: null, neutralA: null };
  }
}

function lastBus(specification: Specification): string {
  return specification.distribution.buses.at(-1)?.id ?? "";
}

function withList<L extends ElementList>(
  specification: Specification,
  list: L,
  elements: readonly ElementOf<L>[],
): Specification {
  return { ...specification, distribution: { ...specification.distribution, [list]: elements } };
}
