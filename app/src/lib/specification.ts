import type { DrivePoint, Lineup, Specification } from "../api/client";
import { withoutPoints } from "./arrangements";
import { dcBusesWithout } from "./dcBus";

/** A drive point of a specification. */
export function findPoint(specification: Specification, id: string): DrivePoint | undefined {
  return specification.lineups.flatMap((l) => l.drivePoints).find((p) => p.id === id);
}

/** Changes some drive points, leaves every other object as it is. */
export function changePoints(
  specification: Specification,
  ids: readonly string[],
  change: (point: DrivePoint) => DrivePoint,
): Specification {
  return changeLineups(specification, (lineup) =>
    lineup.drivePoints.some((p) => ids.includes(p.id))
      ? { ...lineup, drivePoints: lineup.drivePoints.map((p) => (ids.includes(p.id) ? change(p) : p)) }
      : lineup,
  );
}

/** Adds an empty drive point at the end of a lineup, or after one of its points. */
export function addPoint(
  specification: Specification,
  lineupId: string,
  afterId?: string,
): [Specification, DrivePoint] {
  const point: DrivePoint = {
    ...freshName(specification, "New drive point"),
    feeder: { kind: "on-busbar" },
    converter: { kind: "not-chosen" },
    cable: { lengthM: null, crossSectionMm2: null, parallelRuns: 1, material: "copper", screened: true },
    motor: { kind: "not-chosen" },
    load: { kind: "unspecified" },
    skipBands: [],
    brake: { kind: "none" },
  };
  return [insertAfter(specification, lineupId, point, afterId), point];
}

/** Copies a drive point; the copy stands right after it and runs in scenarios as the original does. */
export function copyPoint(specification: Specification, id: string): [Specification, DrivePoint] | undefined {
  const lineup = specification.lineups.find((l) => l.drivePoints.some((p) => p.id === id));
  const original = findPoint(specification, id);
  if (!lineup || !original) {
    return undefined;
  }
  const copy: DrivePoint = {
    ...original,
    ...freshName(specification, `${original.name} copy`.slice(0, 80)),
    // A copy belongs to no group.
    converter: original.converter.kind === "of-group" ? { kind: "not-chosen" } : original.converter,
  };
  const scenarios = specification.scenarios.map((s) => {
    const state = s.states.find((x) => x.drivePointId === id);
    return state ? { ...s, states: [...s.states, { ...state, drivePointId: copy.id }] } : s;
  });
  return [insertAfter({ ...specification, scenarios }, lineup.id, copy, id), copy];
}

/** Removes drive points, from the scenarios too. */
export function removePoints(specification: Specification, ids: readonly string[]): Specification {
  const without = changeLineups(specification, (lineup) =>
    lineup.drivePoints.some((p) => ids.includes(p.id))
      ? {
          ...lineup,
          ...withoutPoints(lineup, ids),
          dcBuses: dcBusesWithout(lineup.dcBuses, ids),
        }
      : lineup,
  );
  return {
    ...without,
    scenarios: without.scenarios.map((s) => ({ ...s, states: s.states.filter((x) => !ids.includes(x.drivePointId)) })),
  };
}

/** Adds an empty lineup on the bus of the last one. */
export function addLineup(specification: Specification): Specification {
  const ids = new Set(specification.lineups.flatMap((l) => [l.id, l.tag.toLowerCase()]));
  let number = specification.lineups.length + 1;
  while (ids.has(`l${number}`)) {
    number++;
  }
  const busId = specification.lineups.at(-1)?.busId ?? specification.distribution.buses.at(-1)?.id ?? "";
  const lineup: Lineup = {
    id: `l${number}`,
    tag: `L${number}`,
    name: "New lineup",
    busId,
    drivePoints: [],
    dcBuses: [],
    arrangements: [],
    variantName: "",
    reason: "",
    setAside: [],
  };
  return { ...specification, lineups: [...specification.lineups, lineup] };
}

/** Changes one lineup. */
export function changeLineup(specification: Specification, id: string, part: Partial<Lineup>): Specification {
  return changeLineups(specification, (l) => (l.id === id ? { ...l, ...part } : l));
}

/** Removes a lineup with its drive points. */
export function removeLineup(specification: Specification, id: string): Specification {
  const points = specification.lineups.find((l) => l.id === id)?.drivePoints.map((p) => p.id) ?? [];
  const without = removePoints(specification, points);
  return { ...without, lineups: without.lineups.filter((l) => l.id !== id) };
}

/** Moves a lineup by so many places; unchanged at the ends. */
export function moveLineup(specification: Specification, id: string, by: number): Specification {
  const from = specification.lineups.findIndex((l) => l.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= specification.lineups.length) {
    return specification;
  }
  const lineups = [...specification.lineups];
  lineups.splice(to, 0, ...lineups.splice(from, 1));
  return { ...specification, lineups };
}

/** Moves a drive point by so many places within its lineup; unchanged at the ends. */
export function movePoint(specification: Specification, id: string, by: number): Specification {
  return changeLineups(specification, (lineup) => {
    const from = lineup.drivePoints.findIndex((p) => p.id === id);
    const to = from + by;
    if (from < 0 || to < 0 || to >= lineup.drivePoints.length) {
      return lineup;
    }
    const points = [...lineup.drivePoints];
    points.splice(to, 0, ...points.splice(from, 1));
    return { ...lineup, drivePoints: points };
  });
}

function changeLineups(specification: Specification, change: (lineup: Lineup) => Lineup): Specification {
  return { ...specification, lineups: specification.lineups.map(change) };
}

function insertAfter(
  specification: Specification,
  lineupId: string,
  point: DrivePoint,
  afterId?: string,
): Specification {
  return changeLineups(specification, (lineup) => {
    if (lineup.id !== lineupId) {
      return lineup;
    }
    const index = afterId === undefined ? -1 : lineup.drivePoints.findIndex((p) => p.id === afterId);
    const points = [...lineup.drivePoints];
    points.splice(index < 0 ? points.length : index + 1, 0, point);
    return { ...lineup, drivePoints: points };
  });
}

// The next free number in the plant's own way of tagging, DP-01, DP-02, …
function freshName(specification: Specification, name: string): { id: string; tag: string; name: string } {
  const points = specification.lineups.flatMap((l) => [...l.drivePoints, ...l.setAside.flatMap((v) => v.drivePoints)]);
  const numbers = points.map((p) => Number(/(\d+)$/.exec(p.tag)?.[1] ?? 0));
  let next = Math.max(0, ...numbers) + 1;
  const ids = new Set(points.map((p) => p.id));
  while (ids.has(`dp-${String(next).padStart(2, "0")}`)) {
    next++;
  }
  const label = String(next).padStart(2, "0");
  return { id: `dp-${label}`, tag: `DP-${label}`, name };
}
