import type { DrivePoint, Lineup, Specification } from "../api/client";

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

/** Changes one lineup. */
export function changeLineup(specification: Specification, id: string, part: Partial<Lineup>): Specification {
  return changeLineups(specification, (l) => (l.id === id ? { ...l, ...part } : l));
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
