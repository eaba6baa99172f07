import type { StopWay } from "../../api/client";
import { valueAt, type TraceRow } from "./traces";

/** A quantity of a stop that is drawn over time. */
export type StopDrawn = Exclude<keyof StopWay["trace"][number], "timeS">;

/** One time axis for all ways; the longest stops are cut at six times the shortest so that the others can be seen. */
export function stopRows(ways: readonly StopWay[], what: StopDrawn, steps = 160): TraceRow[] {
  const ends = ways.map((w) => w.trace.at(-1)?.timeS ?? 0).filter((t) => t > 0);
  const longest = Math.max(0.1, Math.min(Math.max(0, ...ends), 6 * Math.min(...ends)));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const timeS = (longest * i) / steps;
    const row: Record<string, number | undefined> = {};
    for (const way of ways) {
      row[way.id] = valueAt(way.trace, timeS, what);
    }
    return { ...row, timeS };
  });
}

/** How a stop ended, in words. */
export function stopWords(way: StopWay): string {
  switch (way.end) {
    case "stopped":
      return way.timeS === null ? "–" : `${way.timeS < 10 ? way.timeS.toFixed(2) : way.timeS.toFixed(1)} s`;
    case "link-trips":
      return `trips, ${way.timeS === null ? "" : way.timeS.toFixed(2)} s`;
    case "never-stops":
      return "never";
    default:
      return "can’t be";
  }
}
