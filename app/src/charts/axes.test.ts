import { describe, expect, it } from "vitest";
import { roundTicks, timeAxis } from "./axes";

describe("ticks", () => {
  it.each([
    [1863, 6, [0, 500, 1000, 1500]],
    [2270, 5, [0, 500, 1000, 1500, 2000]],
    [1, 5, [0, 0.2, 0.4, 0.6, 0.8, 1]],
    [0.37, 4, [0, 0.1, 0.2, 0.3]],
    [0, 6, [0]],
    [NaN, 6, [0]],
  ])("up to %d are round", (to, most, ticks) => expect(roundTicks(to, most)).toEqual(ticks));

  it.each([
    [0.02, "ms", "5"],
    [2, "s", "0.5"],
    [40, "s", "10"],
    [1800, "min", "5"],
    [90_000, "h", "5"],
  ])("a time of %d s is told in fitting units", (end, unit, first) => {
    const axis = timeAxis([{ timeS: 0 }, { timeS: end }]);
    expect(axis.label.value).toBe(`time, ${unit}`);
    expect(axis.tickFormatter(axis.ticks[1] ?? 0)).toBe(first);
    expect(axis.ticks.at(-1)).toBeLessThanOrEqual(end);
  });
});
