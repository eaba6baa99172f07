import { describe, expect, it } from "vitest";
import { parseQuantity, quantities, showQuantity, type Quantity } from "./units";

const read = (text: string, quantity: Quantity) => {
  const parsed = parseQuantity(text, quantity);
  return parsed.ok ? parsed.value : parsed.message;
};

describe("numbers typed with units", () => {
  it.each([
    ["75", quantities.powerKw, 75],
    ["75 kW", quantities.powerKw, 75],
    ["100 hp", quantities.powerKw, 74.5699872],
    ["1.5 mm2", quantities.crossSectionMm2, 1.5],
    ["1,5 mm²", quantities.crossSectionMm2, 1.5],
    ["96 m3/h", quantities.flowM3PerS, 96 / 3600],
    ["96", quantities.flowM3PerH, 96 / 3600],
    ["100 °F", quantities.temperatureC, 340 / 9],
    ["20 kV", quantities.voltageKv, 20000],
    ["22", quantities.fractionPercent, 0.22],
    ["-5", quantities.temperatureC, -5],
    [" 2.9 kPa ", quantities.pressurePa, 2900],
  ])("%s", (text, quantity, value) => expect(read(text, quantity)).toBeCloseTo(value, 9));

  it.each(["", "kW", "1.2.3", "NaN", "1e", "--3"])("refuses %j", (text) =>
    expect(read(text, quantities.powerKw)).toMatch(/no number|not known/),
  );

  it("names an unknown unit and what is allowed", () =>
    expect(read("5 apples", quantities.lengthM)).toBe(
      "The unit “apples” is not known here; allowed: m or a unit like it.",
    ));

  it("comes back unchanged from what it shows", () => {
    for (const quantity of Object.values<Quantity>(quantities)) {
      for (const value of [0.001, 0.22, 1, 41, 1480, 20000]) {
        expect(read(showQuantity(value, quantity), quantity)).toBeCloseTo(value, 6);
      }
    }
  });
});
