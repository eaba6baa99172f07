import { describe, expect, it } from "vitest";
import { matrixVerdict, peakOf, settledWords, spoiledBy, storyOf } from "./harmonicWords";

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

  it("says what spoils a front end by leaving it out", () => {
    const front = {
      tag: "DP-27",
      pulses: 18,
      thdiPct: 9.27,
      withoutUnbalancePct: 3.1,
      withoutDistortionPct: null,
      withoutMismatchPct: null,
      idealPct: 3.1,
      thirdA: 12,
      unbalancePct: 2,
      distortionPct: 0,
    };
    expect(spoiledBy(front)).toBe(
      "DP-27, 18-pulse: THDi 9.27 %; it would be 3.10 % without the 2.0 % unbalance. The unbalance draws 12 A of the third order.",
    );
    expect(spoiledBy({ ...front, withoutMismatchPct: 8.5 })).toContain(
      "8.50 % with equal leakages, 3.10 % without all of it",
    );
    expect(spoiledBy({ ...front, withoutUnbalancePct: null })).toContain("nothing spoils it");
  });

  it("says whether waveforms and network settled, and what is left", () => {
    expect(settledWords({ rounds: 8, residualPu: 6e-10, residualOrder: 41, settled: true })).toBe(
      "Waveforms and network agree on all orders after 8 rounds, to 6e-10 of nominal voltage at order 41.",
    );
    expect(settledWords({ rounds: 60, residualPu: 0.002, residualOrder: 7, settled: false })).toContain(
      "they contradict each other by 2e-3 of nominal voltage at order 7",
    );
  });
});
