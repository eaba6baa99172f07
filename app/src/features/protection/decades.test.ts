import { describe, expect, it } from "vitest";
import { decades, span } from "./decades";

describe("logarithmic axes", () => {
  it("cover all values by whole decades", () => {
    expect(span([34, 2500, 0, Number.POSITIVE_INFINITY])).toEqual([10, 10_000]);
    expect(span([])).toEqual([1, 10]);
    expect(span([100])).toEqual([100, 100].map((v) => v));
  });
  it("have a tick at each power of ten", () => {
    expect(decades(0.01, 10_000)).toEqual([0.01, 0.1, 1, 10, 100, 1000, 10_000]);
  });
});
