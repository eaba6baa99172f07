import { describe, expect, it } from "vitest";
import { editOf, quantityOf, rangeOf, type Field } from "./field";
import { fields } from "./table";
import { unitsOf } from "./useUnits";

const all = Object.entries(fields).flatMap(([record, of]) =>
  Object.entries(of as Readonly<Record<string, Field>>).map(([key, field]) => ({ at: `${record}.${key}`, field })),
);

describe("the table of entries", () => {
  it("has a name and a sentence of help for each, and its own help where it may stay open", () => {
    expect(all.length).toBeGreaterThan(300);
    for (const { at, field } of all) {
      expect(field.name, at).not.toBe("");
      expect(field.help, at).toMatch(/[.…]$/);
      expect(field.help, at).not.toContain("or null");
    }
  });

  it("shows every unit that an engineer writes in a quantity that understands it", () => {
    for (const { at, field } of all) {
      if (
        field.kind === "number" &&
        /^[A-Za-z°Ωµ·²³/]{1,8}$/.test(field.unit) &&
        !["kg/kWh", "a", "pu", "points", "1/h", "1/kVA", "1/kW"].includes(field.unit)
      ) {
        expect(Object.keys(quantityOf(field).accepts), at).not.toEqual([]);
      }
    }
  });

  it("says ranges in the unit shown", () => {
    expect(rangeOf(fields.LoadHoistLoad.drumDiameterM)).toBe("20 to 10000 mm");
    expect(rangeOf(fields.FluidMachine.ratedEfficiency)).toBe("5 to 95 %");
    expect(rangeOf(fields.CapacitorBank.stepKvar)).toBe("above 0 to 10000 kvar");
    expect(rangeOf(fields.Tariff.freePowerFactor)).toBe("0.5 to 1");
    expect(rangeOf(fields.Site.ambientMaxC, unitsOf("us-customary"))).toBe("-40 to 140 °F");
    expect(rangeOf(fields.OwnMotor.ratedPowerKw, unitsOf("us-customary"))).toBe("above 0 to 26820.4 hp");
    expect(editOf(fields.CommonDcBus.resistorOhm)).toBe("brake resistor");
  });
});
