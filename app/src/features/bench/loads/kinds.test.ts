import { describe, expect, it } from "vitest";
import type { Load } from "../../../api/client";
import { fieldsOf, kindNames, levelName, ofKind } from "./kinds";

const unspecified: Load = { kind: "unspecified" };

describe("kinds of load", () => {
  it("start with every entry open", () => {
    for (const kind of Object.keys(kindNames) as Load["kind"][]) {
      const load = ofKind(kind, unspecified) as unknown as Record<string, unknown>;
      expect(load["kind"]).toBe(kind);
      const described = kind in fieldsOf ? fieldsOf[kind as keyof typeof fieldsOf] : {};
      for (const [key, field] of Object.entries(described)) {
        expect(load[key]).toEqual(
          field.kind === "number" ? null : field.kind === "switch" ? false : expect.any(String),
        );
      }
      expect(levelName(kind)).not.toBe("");
    }
  });

  it("keep gear and hours from one mechanical kind to another", () => {
    const hoist = ofKind("hoist", unspecified);
    const train = { gearRatio: 30, gearEfficiency: 0.95, inertiaKgM2: 2, startTimeS: 1 };
    const duty = [{ levelPu: 1, hoursPerYear: 2000 }];
    const winder = ofKind("winder", { ...hoist, train, duty } as Load);
    expect(winder).toMatchObject({ kind: "winder", train, duty, unwinds: false, tensionN: null });
  });

  it("keep what fans and pumps share, but no vanes on a pump", () => {
    const fan = ofKind("fan", unspecified);
    if (fan.kind !== "fan") {
      throw new Error("no fan");
    }
    const withVanes: Load = {
      ...fan,
      common: { ...fan.common, ratedSpeedRpm: 1480, presentControl: "inlet-vanes" },
    };
    expect(ofKind("pump", withVanes)).toMatchObject({
      kind: "pump",
      common: { ratedSpeedRpm: 1480, presentControl: "not-stated" },
    });
  });

  it("leave a load of the same kind alone", () => {
    const fan = ofKind("fan", unspecified);
    expect(ofKind("fan", fan)).toBe(fan);
  });
});
