import type { StartTrace, StartWay } from "../../api/client";

/** A quantity of a start that is drawn over time. */
export type Drawn = Exclude<keyof StartTrace, "timeS">;

/** A row of a picture: a time, and each way's value there; absent once a way has ended. */
export type TraceRow = Readonly<Record<string, number | undefined>> & { readonly timeS: number };

/** Value of a trace at a time, between its moments in a straight line; undefined after its end. */
export function valueAt<K extends string>(
  trace: readonly Readonly<Record<K | "timeS", number>>[],
  timeS: number,
  what: K,
): number | undefined {
  const last = trace.at(-1);
  if (!last || timeS > last.timeS) {
    return undefined;
  }
  const after = trace.findIndex((m) => m.timeS >= timeS);
  const to = trace[after];
  const from = trace[after - 1];
  if (!to || !from || to.timeS === from.timeS) {
    return to?.[what];
  }
  return from[what] + ((to[what] - from[what]) * (timeS - from.timeS)) / (to.timeS - from.timeS);
}

/** When what is drawn of a way ends, s. */
export const endOf = (way: StartWay): number => way.trace.at(-1)?.timeS ?? 0;

/** One time axis for all ways that can be, up to a time, in so many steps. */
export function rowsOf(ways: readonly StartWay[], what: Drawn, untilS: number, steps = 160): TraceRow[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const timeS = (untilS * i) / steps;
    const row: Record<string, number | undefined> = {};
    for (const way of ways) {
      row[way.id] = valueAt(way.trace, timeS, what);
    }
    return { ...row, timeS };
  });
}

/** How a way ended, in words. */
export function endWords(way: StartWay): string {
  switch (way.end) {
    case "reached":
      return `${way.timeS < 10 ? way.timeS.toFixed(2) : way.timeS.toFixed(1)} s`;
    case "sticks":
      return `sticks, ${Math.round(way.endRpm)} rpm`;
    case "too-long":
      return "not in 600 s";
    default:
      return "can’t be";
  }
}
