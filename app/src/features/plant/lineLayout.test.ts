import { describe, expect, it } from "vitest";
import type { Lineup } from "../../api/client";
import { layout } from "./lineLayout";

const lineup = (id: string, count: number) =>
  ({ id, drivePoints: Array.from({ length: count }, (_, i) => ({ id: `${id}-${i}` })) }) as unknown as Lineup;

describe("single-line diagram", () => {
  it("puts every branch under its own busbar, none above another", () => {
    const plan = layout([lineup("a", 5), lineup("b", 6), lineup("c", 0)]);
    const xs = plan.lineups.flatMap((l) => l.points.map((p) => p.x));
    expect(xs).toEqual([...new Set(xs)].sort((p, q) => p - q));
    for (const l of plan.lineups) {
      expect(l.points.every((p) => p.x > l.fromX && p.x < l.toX)).toBe(true);
      expect(l.feedX).toBeGreaterThan(l.fromX);
      expect(l.toX).toBeLessThan(plan.width);
    }
    expect(plan.lineups[1]?.fromX).toBeGreaterThan(plan.lineups[0]?.toX ?? 0);
  });

  it("stands for an empty plant too", () => {
    expect(layout([]).width).toBeGreaterThan(0);
  });
});
