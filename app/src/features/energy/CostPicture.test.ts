import { describe, expect, it } from "vitest";
import { roundRange } from "./CostPicture";

describe("round numbers that hold a range", () => {
  it("are few, round and reach beyond both ends", () => {
    expect(roundRange([600, 945])).toEqual([500, 600, 700, 800, 900, 1000]);
    expect(roundRange([618.3, 880])).toEqual([600, 700, 800, 900]);
    expect(roundRange([-3, 7])).toEqual([-5, 0, 5, 10]);
  });

  it("are there where all are alike", () => {
    const ticks = roundRange([50, 50]);
    expect(ticks.length).toBeGreaterThan(1);
    expect(ticks[0]).toBeLessThanOrEqual(50);
    expect(ticks.at(-1)).toBeGreaterThan(50);
  });
});
