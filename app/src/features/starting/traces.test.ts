import { describe, expect, it } from "vitest";
import type { StartWay } from "../../api/client";
import { endOf, endWords, rowsOf, valueAt } from "./traces";

const moment = (timeS: number, speedRpm: number) => ({
  timeS,
  speedRpm,
  torqueNm: 0,
  loadNm: 0,
  currentA: 0,
  busVoltageV: 400,
});
const way = (id: string, end: string, seconds: number): StartWay =>
  ({
    id,
    end,
    timeS: seconds,
    endRpm: 612.4,
    trace: [moment(0, 0), moment(seconds, 1480)],
  }) as unknown as StartWay;

describe("traces of starts", () => {
  it("run in straight lines between moments and end with their start", () => {
    const trace = [moment(0, 0), moment(2, 100), moment(4, 300)];
    expect(valueAt(trace, 1, "speedRpm")).toBe(50);
    expect(valueAt(trace, 3, "speedRpm")).toBe(200);
    expect(valueAt(trace, 4, "speedRpm")).toBe(300);
    expect(valueAt(trace, 4.1, "speedRpm")).toBeUndefined();
    expect(valueAt([], 0, "speedRpm")).toBeUndefined();
  });

  it("share one time axis up to a time", () => {
    const ways = [way("a", "reached", 2), way("b", "reached", 8)];
    expect(ways.map(endOf)).toEqual([2, 8]);
    expect(rowsOf(ways, "speedRpm", 2, 4).at(-1)).toMatchObject({ timeS: 2, a: 1480, b: 370 });
    const rows = rowsOf(ways, "speedRpm", 8, 8);
    expect(rows).toHaveLength(9);
    expect(rows.at(-1)).toMatchObject({ timeS: 8, b: 1480, a: undefined });
    expect(rows[1]).toMatchObject({ timeS: 1, a: 740 });
  });

  it("say how they ended", () => {
    expect(endWords(way("a", "reached", 3.456))).toBe("3.46 s");
    expect(endWords(way("a", "reached", 34.56))).toBe("34.6 s");
    expect(endWords(way("a", "sticks", 30))).toBe("sticks, 612 rpm");
    expect(endWords(way("a", "none", 0))).toBe("can’t be");
  });
});
