import type { Catalogue, CommonDcBus, DrivePoint, Lineup, Specification } from "../api/client";

/** The DC bus that a drive point hangs on. */
export function dcBusOf(lineup: Lineup, pointId: string): CommonDcBus | undefined {
  return lineup.dcBuses.find((b) => b.memberIds.includes(pointId));
}

/** Changes one DC bus. */
export function changeDcBus(specification: Specification, id: string, part: Partial<CommonDcBus>): Specification {
  return {
    ...specification,
    lineups: specification.lineups.map((l) =>
      l.dcBuses.some((b) => b.id === id)
        ? { ...l, dcBuses: l.dcBuses.map((b) => (b.id === id ? { ...b, ...part } : b)) }
        : l,
    ),
  };
}

/**
 * Puts drive points of one lineup on a common DC bus: each gets the inverter module of its converter's size, the bus the smallest
 * diode module that carries the largest half of them. Undefined when fewer than two can go.
 */
export function joinOnDcBus(
  specification: Specification,
  catalogue: Catalogue,
  pointIds: readonly string[],
): Specification | undefined {
  const lineup = specification.lineups.find((l) => l.drivePoints.some((p) => pointIds.includes(p.id)));
  const members = lineup?.drivePoints.filter(
    (p) => pointIds.includes(p.id) && p.converter.kind === "catalogue" && !dcBusOf(lineup, p.id),
  );
  if (!lineup || !members || members.length < 2) {
    return undefined;
  }
  const taken = new Set(specification.lineups.flatMap((l) => l.dcBuses.map((b) => b.id)));
  let number = 1;
  while (taken.has(`dc-${number}`)) {
    number++;
  }
  const sizes = members.map((m) => sizeOf(m, catalogue));
  const wanted = sizes.reduce((sum, kw) => sum + kw, 0) / 2;
  const modules = catalogue.supplyModules.filter((m) => m.kind === "diode").sort((a, b) => a.ratedKw - b.ratedKw);
  const bus: CommonDcBus = {
    id: `dc-${number}`,
    name: `DC bus ${number}`,
    memberIds: members.map((m) => m.id),
    supplyModuleId: (modules.find((m) => m.ratedKw >= wanted) ?? modules.at(-1))?.id ?? "",
    resistorOhm: null,
    resistorContinuousKw: null,
    busbarA: null,
    stopTimeS: null,
    reason: "",
    control: { kind: "none" },
  };
  return {
    ...specification,
    lineups: specification.lineups.map((l) =>
      l.id === lineup.id
        ? {
            ...l,
            dcBuses: [...l.dcBuses, bus],
            drivePoints: l.drivePoints.map((p) =>
              members.includes(p) ? withFamily(p, catalogue, "inverter-module", { kind: "to-line" }) : p,
            ),
          }
        : l,
    ),
  };
}

/** Takes a DC bus away; its members become single drives with a choke, braking by their losses. */
export function dissolveDcBus(specification: Specification, catalogue: Catalogue, id: string): Specification {
  return {
    ...specification,
    lineups: specification.lineups.map((l) => {
      const bus = l.dcBuses.find((b) => b.id === id);
      return bus
        ? {
            ...l,
            dcBuses: l.dcBuses.filter((b) => b.id !== id),
            drivePoints: l.drivePoints.map((p) =>
              bus.memberIds.includes(p.id) ? withFamily(p, catalogue, "six-pulse-choke", { kind: "nothing" }) : p,
            ),
          }
        : l;
    }),
  };
}

/** DC buses without some drive points; one that is left empty goes. */
export function dcBusesWithout(buses: Lineup["dcBuses"], pointIds: readonly string[]): Lineup["dcBuses"] {
  return buses
    .map((b) => ({
      ...b,
      memberIds: b.memberIds.filter((m) => !pointIds.includes(m)),
      control:
        b.control.kind === "modular"
          ? {
              ...b.control,
              safeGroups: b.control.safeGroups.filter((_, i) => !pointIds.includes(b.memberIds[i] ?? "")),
            }
          : b.control,
    }))
    .filter((b) => b.memberIds.length > 0);
}

function sizeOf(point: DrivePoint, catalogue: Catalogue): number {
  const { converter } = point;
  return converter.kind === "catalogue"
    ? (catalogue.converters.find((c) => c.id === converter.itemId)?.ratedKw ?? 0)
    : 0;
}

type CatalogueChoice = Extract<DrivePoint["converter"], { kind: "catalogue" }>;

function withFamily(
  point: DrivePoint,
  catalogue: Catalogue,
  family: string,
  braking: CatalogueChoice["braking"],
): DrivePoint {
  if (point.converter.kind !== "catalogue") {
    return point;
  }
  const kw = sizeOf(point, catalogue);
  const sizes = catalogue.converters.filter((c) => c.family === family).sort((a, b) => a.ratedKw - b.ratedKw);
  const item = sizes.find((c) => c.ratedKw >= kw) ?? sizes.at(-1);
  return item ? { ...point, converter: { ...point.converter, itemId: item.id, braking } } : point;
}
