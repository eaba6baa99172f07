import { describe, expect, it } from "vitest";
import { matrixVerdict, peakOf, storyOf } from "./harmonicWords";

describe("harmonics in words", () => {
  it("judges a figure, tight within a tenth", () => {
    expect([4, 4.6, 5.1].map((f) => matrixVerdict(f, 5))).toEqual(["holds", "tight", "fails"]);
  });

  it("says who cancels, or that all add", () => {
    const story = {
      order: 5,
      arithmeticA: 4,
      vectorA: 1,
      firstTag: "DP-01",
      secondTag: "DP-11",
      apartDeg: 170,
      cancelledA: 3,
    };
    expect(storyOf(story)).toContain("DP-01 and DP-11 cancel most: 170° apart");
    expect(storyOf(story)).toContain("25.0 %");
    expect(storyOf({ ...story, vectorA: 4, cancelledA: 0.001 })).toContain("All add.");
  });

  it("says whether a resonance meets an order that is drawn", () => {
    const peak = { order: 7.2, mohm: 90, withoutBanksMohm: 10 };
    expect(peakOf(peak, [5, 7, 11])).toContain("order 7 is drawn there");
    expect(peakOf({ ...peak, order: 9 }, [5, 7, 11])).toContain("no order that is drawn");
    expect(peakOf(peak, [])).toContain("lifts the impedance 9.0 times");
  });
});
