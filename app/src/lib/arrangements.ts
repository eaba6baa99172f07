import type { Lineup, Specification } from "../api/client";

export type Arrangement = Lineup["arrangements"][number];
export type MotorGroup = Extract<Arrangement, { kind: "motor-group" }>;
export type SharedShaft = Extract<Arrangement, { kind: "shared-shaft" }>;
export type RatioFollower = Extract<Arrangement, { kind: "ratio-follower" }>;

/** Drive points that an arrangement joins, the leading one first. */
export function pointsOf(arrangement: Arrangement): readonly string[] {
  switch (arrangement.kind) {
    case "motor-group":
      return arrangement.members.map((m) => m.pointId);
    case "shared-shaft":
      return arrangement.units.map((u) => u.pointId);
    case "ratio-follower":
      return [arrangement.leader.pointId, arrangement.follower.pointId];
  }
}

/** An arrangement of a plant. */
export function findArrangement(specification: Specification, id: string): Arrangement | undefined {
  return specification.lineups.flatMap((l) => l.arrangements).find((a) => a.id === id);
}

/** Changes one arrangement. */
export function changeArrangement<T extends Arrangement>(
  specification: Specification,
  id: string,
  part: Partial<T> | ((now: T) => Partial<T>),
): Specification {
  return {
    ...specification,
    lineups: specification.lineups.map((l) =>
      l.arrangements.some((a) => a.id === id)
        ? {
            ...l,
            arrangements: l.arrangements.map((a) =>
              a.id === id ? { ...a, ...(typeof part === "function" ? part(a as T) : part) } : a,
            ),
          }
        : l,
    ),
  };
}
