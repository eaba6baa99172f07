import { describe, expect, it } from "vitest";
import { money, n, pair, withUnit } from "./format";

describe("numbers as they are shown", () => {
  it("keeps significant digits and never an exponent", () => {
    expect(n(0.000012345)).toBe("0.000012");
    expect(n(12.345)).toBe("12.3");
    expect(n(123456.7)).toBe("123\u202f457");
    expect(n(1234)).toBe("1234");
    expect(n(-0.5)).toBe("−0.500");
    expect(n(0)).toBe("0");
    expect(n(-3e-14)).toBe("0");
  });

  it("shows a dash for what is not known", () => {
    expect(n(null)).toBe("–");
    expect(n(Number.NaN)).toBe("–");
    expect(withUnit(undefined, "A")).toBe("–");
  });

  it("tells a figure from its limit where they differ", () => {
    expect(pair(110.25, 110)).toEqual(["110.3", "110.0"]);
    expect(pair(50, 100)).toEqual(["50.0", "100"]);
    expect(pair(100, 100)).toEqual(["100", "100"]);
  });

  it("rounds money to whole units", () => {
    expect(money(65928.94)).toBe("65\u202f929");
    expect(money(0.4)).toBe("0");
    expect(money(9.7)).toBe("10");
    expect(money(-1520.1)).toBe("−1520");
  });

  it("adds the unit where there is one", () => {
    expect(withUnit(41, "m³/s", 2)).toBe("41 m³/s");
    expect(withUnit(0.9, "")).toBe("0.900");
  });
});
