import type { DrivePoint, Lineup } from "../../api/client";

/** Something with its place across. */
export interface Placed<T> {
  readonly point: T;
  readonly x: number;
}

/** A lineup's busbar and its branches. */
export interface PlacedLineup {
  readonly lineup: Lineup;
  readonly fromX: number;
  readonly toX: number;
  readonly feedX: number;
  readonly points: readonly Placed<DrivePoint>[];
}

const pitch = 92;
const gap = 28;
const left = 120;

/** Where everything stands in the single-line diagram: lineups side by side, their drive points below. */
export function layout(lineups: readonly Lineup[]): {
  readonly width: number;
  readonly height: number;
  readonly lineups: readonly PlacedLineup[];
} {
  let x = left;
  const placed = lineups.map((lineup) => {
    const fromX = x;
    const points = lineup.drivePoints.map((point, i) => ({ point, x: fromX + pitch * (i + 0.5) }));
    const toX = fromX + Math.max(1, points.length) * pitch;
    x = toX + gap;
    return { lineup, fromX, toX, feedX: (fromX + toX) / 2, points };
  });
  return { width: Math.max(640, x), height: 286, lineups: placed };
}
