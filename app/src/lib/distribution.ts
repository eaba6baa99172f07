import type { Distribution, Specification } from "../api/client";

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

function withList<L extends ElementList>(
  specification: Specification,
  list: L,
  elements: readonly ElementOf<L>[],
): Specification {
  return { ...specification, distribution: { ...specification.distribution, [list]: elements } };
}
