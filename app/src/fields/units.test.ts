import { describe, expect, it } from "vitest";
import { openIn, parseQuantity, quantityIn, showQuantity, type Quantity, type UnitSystem } from "./units";
import { unitsOf } from "./useUnits";
import { unitTable } from "./unitTable";

const read = (text: string, quantity: Quantity) => {
  const parsed = parseQuantity(text, quantity);
  return parsed.ok ? parsed.value : parsed.message;
};

describe("numbers typed with units", () => {
  it.each([
    ["75", "kW", 75],
    ["75 kW", "kW", 75],
    ["100 hp", "kW", 74.5699872],
    ["1.5 mm2", "mm²", 1.5],
    ["1,5 mm²", "mm²", 1.5],
    ["12 AWG", "mm²", 3.31],
    ["#12", "mm²", 3.31],
    ["4/0", "mm²", 107.2],
    ["250 kcmil", "mm²", 126.7],
    ["96 m3/h", "m³/s", 96 / 3600],
    ["96", "m³/s/liquid", 96 / 3600],
    ["1000 gpm", "m³/s/liquid", 0.0630901964],
    ["100 °F", "°C", 340 / 9],
    ["20 kV", "V", 20000],
    ["22", "%/part", 0.22],
    ["-5", "°C", -5],
    [" 2.9 kPa ", "Pa", 2900],
    ["12 inWC", "Pa", 2989.06692],
    ["50 lb·ft²", "kg·m²", 2.107005505],
  ])("%s", (text, kept, value) => expect(read(text, quantityIn("si", kept))).toBeCloseTo(value, 9));

  it.each([
    ["100", "kW", "hp", 74.5699872],
    ["100 kW", "kW", "hp", 100],
    ["104", "°C", undefined, 40],
    ["40 °C", "°C", undefined, 40],
    ["300", "m", undefined, 91.44],
    ["300 m", "m", undefined, 300],
    ["150", "m³/s/liquid", undefined, 0.00946352946],
    ["2.5 mm²", "mm²", undefined, 2.5],
    ["12 AWG", "mm²", undefined, 3.31],
  ])("US customary: %s", (text, kept, us, value) =>
    expect(read(text, quantityIn("us-customary", kept, us))).toBeCloseTo(value, 9),
  );

  it.each(["", "kW", "1.2.3", "NaN", "1e", "--3"])("refuses %j", (text) =>
    expect(read(text, quantityIn("si", "kW"))).toMatch(/no number|not known/),
  );

  it("does not guess between gauge and square millimetres", () =>
    expect(read("12", quantityIn("us-customary", "mm²"))).toMatch(/12 of what\? Say 12 AWG/));

  it.each(["2x95", "3 × 95 mm²", "2 x (3x95)"])("does not guess between cables and cores, %s", (text) =>
    expect(read(text, quantityIn("si", "mm²"))).toMatch(/cables or cores: say the section of one conductor/),
  );

  it("names an unknown unit and what is allowed", () =>
    expect(read("5 apples", quantityIn("us-customary", "m"))).toBe(
      "The unit “apples” is not known here; allowed: ft or a unit like it.",
    ));

  it.each<UnitSystem>(["si", "us-customary"])("comes back unchanged from what it shows, %s", (system) => {
    for (const { kept } of unitTable) {
      const quantity = quantityIn(system, kept);
      expect(
        (quantity.unnamed ?? quantity.unit) === "" ||
          (quantity.unnamed ?? quantity.unit) in quantity.accepts ||
          quantity.unit.toLowerCase() in quantity.accepts,
        kept,
      ).toBe(true);
      for (const value of [0.001, 0.22, 1, 41, 1480, 20000]) {
        expect(Number(read(showQuantity(value, quantity), quantity)) / value, `${value} ${kept}`).toBeCloseTo(1, 5);
      }
    }
  });
});

describe("what is said in other units", () => {
  const us = unitsOf("us-customary");

  it("says figures with their units", () => {
    expect(us.say(91.44, "m")).toBe("300 ft");
    expect(us.say(40, "°C")).toBe("104 °F");
    expect(us.say(3.31, "mm²")).toBe("12 AWG");
    expect(us.entered(6, "mm²")).toBe("6 mm²");
    expect(us.entered(91.44, "m")).toBe("300 ft");
    expect(us.say(74.57, "kW", 3, "hp")).toBe("100 hp");
    expect(us.say(74.57, "kW")).toBe("74.6 kW");
    expect(us.say(12, "A")).toBe("12.0 A");
    expect(us.say(null, "m")).toBe("–");
  });

  it("turns sentences of the server, not their formulae", () => {
    expect(us.sentence("Relief: at most 50 m of cable, 40 °C.")).toBe("Relief: at most 164 ft of cable, 104 °F.");
    expect(us.sentence("0 to 2000 m")).toBe("0 to 6562 ft");
    expect(us.sentence("takes 5 min at 480 V, 15 kW, 1480 rpm")).toBe("takes 5 min at 480 V, 15 kW, 1480 rpm");
    expect(us.sentence("200 Nm·2π/60")).toBe("200 Nm·2π/60");
    expect(unitsOf("si").sentence("50 m")).toBe("50 m");
  });

  it("say what an open entry is taken as in the unit shown", () => {
    expect(openIn("2000", quantityIn("us-customary", "mm"))).toBe("78.74");
    expect(openIn("2000", quantityIn("si", "mm"))).toBe("2000");
    expect(openIn("none", quantityIn("us-customary", "mm"))).toBe("none");
    expect(openIn(undefined, quantityIn("si", "mm"))).toBeUndefined();
  });
});
