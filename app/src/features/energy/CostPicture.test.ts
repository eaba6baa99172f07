import { describe, expect, it } from "vitest";
import { roomAround } from "./CostPicture";

describe("room around points", () => {
  it("is a part of their range, and begins at nothing where that is near", () => {
    expect(roomAround([100, 200])).toEqual([85, 215]);
    expect(roomAround([2, 100])).toEqual([0, 114.7]);
  });

  it("is there where all are alike", () => {
    const [low, high] = roomAround([50, 50]);
    expect(low).toBeLessThan(50);
    expect(high).toBeGreaterThan(50);
  });
});
