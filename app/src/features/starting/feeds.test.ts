import { describe, expect, it } from "vitest";
import type { Catalogue, MotorItem } from "../../api/client";
import { feedOf } from "./feeds";

const catalogue = {
  softStarters: [
    { id: "soft-60", ratedCurrentA: 60 },
    { id: "soft-100", ratedCurrentA: 100 },
  ],
  startPresets: [{ application: "pump", settings: { mode: "voltage-ramp" }, trip: "class10" }],
} as unknown as Catalogue;
const motor = (ratedCurrentA: number) => ({ plate: { ratedCurrentA } }) as unknown as MotorItem;

describe("ways of feeding", () => {
  it("take the smallest soft starter that carries the motor, or the largest there is", () => {
    expect(feedOf("soft-starter", motor(80), catalogue)).toMatchObject({ itemId: "soft-100", trip: "class10" });
    expect(feedOf("soft-starter", motor(20), catalogue)).toMatchObject({ itemId: "soft-60" });
    expect(feedOf("soft-starter", motor(900), catalogue)).toMatchObject({ itemId: "soft-100" });
    expect(feedOf("soft-starter", motor(900), undefined)).toBeUndefined();
  });

  it("have values to start from", () => {
    expect(feedOf("star-delta", undefined, catalogue)).toMatchObject({ changeOverS: 5 });
    expect(feedOf("across-the-line", undefined, catalogue)).toMatchObject({ trip: "class10" });
    expect(feedOf("catalogue", undefined, catalogue)).toEqual({ kind: "not-chosen" });
  });
});
