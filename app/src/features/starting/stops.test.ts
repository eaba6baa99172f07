import { describe, expect, it } from "vitest";
import type { StopWay } from "../../api/client";
import { stopRows, stopWords } from "./stops";

const moment = (timeS: number, speedRpm: number) => ({ timeS, speedRpm, brakingNm: 0, linkV: 560, returnedKw: 0 });
const way = (id: string, timeS: number, end = "stopped"): StopWay =>
  ({ id, end, timeS, trace: [moment(0, 1000), moment(timeS, 0)] }) as unknown as StopWay;

describe("stops on one time axis", () => {
  it("draws straight between the moments and nothing after the end", () => {
    const rows = stopRows([way("losses", 10), way("resistor", 4)], "speedRpm", 10);
    expect(rows.map((r) => r.timeS)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
    expect(rows[5]).toEqual({ timeS: 5, losses: 500, resistor: undefined });
    expect(rows[2]?.["resistor"]).toBe(500);
  });

  it("cuts the axis at six times the shortest stop", () => {
    expect(stopRows([way("coast", 900), way("resistor", 5)], "speedRpm", 2).map((r) => r.timeS)).toEqual([0, 15, 30]);
  });

  it("says how a stop ended", () => {
    expect(stopWords(way("losses", 12.34))).toBe("12.3 s");
    expect(stopWords(way("resistor", 1.5, "link-trips"))).toBe("trips, 1.50 s");
    expect(stopWords(way("coast", 1, "never-stops"))).toBe("never");
  });
});
