import { describe, expect, it } from "vitest";
import type { Scenario } from "../../api/client";
import { apply, isUnusual, textOf, type SheetRow } from "./scenarioSheet";

const usual: Scenario = { id: "s", name: "s", states: [], loadStates: [], switches: [], bankStates: [] };
const fan: SheetRow = { kind: "point", id: "p", tag: "DP-01", name: "Fan" };
const oven: SheetRow = { kind: "load", id: "l", name: "Oven" };
const tie: SheetRow = { kind: "switch", id: "k", name: "Coupler", normally: false };
const bank: SheetRow = { kind: "bank", id: "c", name: "Bank", steps: 6 };

const after = (row: SheetRow, text: string, from = usual): Scenario => {
  const result = apply(from, row, text);
  if (!result.ok) {
    throw new Error(result.problem);
  }
  return result.scenario;
};

describe("scenario sheet", () => {
  it.each<[SheetRow, string, string]>([
    [fan, "80", "80 %"],
    [fan, "82.5 %", "82.5 %"],
    [fan, "80 x 90", "80 % × 90 %"],
    [fan, "100 @ 50%", "100 % × 50 %"],
    [fan, "OFF", "off"],
    [fan, "0 %", "off"],
    [fan, "100", "on"],
    [oven, "15 %", "15 %"],
    [oven, "off", "off"],
    [tie, "closed", "closed"],
    [bank, "2", "2 of 6"],
    [bank, "off", "0 of 6"],
  ])("understands what is typed", (row, typed, shown) => {
    const scenario = after(row, typed);
    expect(textOf(scenario, row)).toBe(shown);
    // What is shown, copied and pasted gives the same again.
    expect(after(row, shown)).toEqual(scenario);
    expect(after(row, shown, scenario)).toEqual(scenario);
  });

  it("goes back to the usual when cleared, and keeps no entry for it", () => {
    for (const [row, typed] of [
      [fan, "80"],
      [oven, "off"],
      [tie, "closed"],
      [bank, "1"],
    ] as const) {
      const changed = after(row, typed);
      expect(isUnusual(changed, row)).toBe(true);
      expect(after(row, "", changed)).toEqual(usual);
      expect(isUnusual(usual, row)).toBe(false);
    }
  });

  it.each<[SheetRow, string, RegExp]>([
    [fan, "130", /120 %/],
    [fan, "80 x 200", /150 %/],
    [fan, "fast", /level/],
    [oven, "-5", /200 %/],
    [tie, "half", /open or closed/],
    [bank, "7", /0 to 6/],
    [bank, "2.5", /steps/],
  ])("names what is allowed", (row, typed, allowed) => {
    const result = apply(usual, row, typed);
    expect(result.ok).toBe(false);
    expect(!result.ok && result.problem).toMatch(allowed);
  });
});
