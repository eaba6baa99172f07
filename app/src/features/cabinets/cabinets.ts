import type { CabinetAnswer, Lineup, Specification } from "../../api/client";
import { fields } from "../../fields/table";

/** What is entered of a lineup's cabinets. */
export type Cabinets = NonNullable<Lineup["cabinets"]>;
export type Section = CabinetAnswer["sections"][number];
export type Unit = Section["units"][number];

type Key = keyof typeof fields.CabinetBuild & keyof Cabinets;

/** Entries that a way of cooling asks for. */
const ofCooling: Record<NonNullable<Cabinets["cooling"]>, readonly Key[]> = {
  closed: ["factorK", "factorC", "factorD"],
  vented: ["factorK", "factorC", "factorD"],
  forced: ["fanM3PerH", "mats"],
  cooled: ["coolerW", "cooledC", "humidityPct"],
};

/** Entries in their groups. */
export const entriesOf = (cabinets: Cabinets, hasDcBus = false): readonly (readonly [string, readonly Key[]])[] => [
  [
    "Build",
    [
      "heightMm",
      "depthMm",
      "sectionMm",
      "plinthMm",
      "roomMm",
      "aisleMm",
      "busbarA",
      ...(hasDcBus ? (["dcBusbarA"] as const) : []),
      "withstandKa",
      "entersAtTop",
    ],
  ],
  ["Heat", ["cooling", ...ofCooling[cabinets.cooling ?? "forced"], "permittedC", "sinksOutside"]],
];

/** A lineup's cabinets changed; null: none. */
export const withCabinets =
  (lineupId: string, change: (cabinets: Cabinets) => Cabinets | null) =>
  (s: Specification): Specification => ({
    ...s,
    lineups: s.lineups.map((l) => (l.id === lineupId ? { ...l, cabinets: change(l.cabinets ?? {}) } : l)),
  });

/** A unit put into a section by hand; null: where it belongs in the order of the power. */
export function withPin(cabinets: Cabinets, unitId: string, section: number | null): Cabinets {
  const others = (cabinets.pins ?? []).filter((p) => p.unitId !== unitId);
  return { ...cabinets, pins: section === null ? others : [...others, { unitId, section }] };
}

/** A lineup parted for transport behind a section, or no longer; none by hand: by width and mass. */
export function withSplit(cabinets: Cabinets, behind: number): Cabinets {
  const splits = cabinets.splits ?? [];
  const others = splits.filter((s) => s.behind !== behind);
  return { ...cabinets, splits: others.length < splits.length ? others : [...splits, { behind }] };
}

/** Left edges of sections side by side, mm. */
export function leftEdges(sections: readonly Pick<Section, "widthMm">[]): readonly number[] {
  let left = 0;
  return sections.map((s) => {
    const at = left;
    left += s.widthMm;
    return at;
  });
}
