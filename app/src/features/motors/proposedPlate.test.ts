import { describe, expect, it } from "vitest";
import type { Specification } from "../../api/client";
import { proposedPlate } from "./proposedPlate";

const plant = (nominalVoltageV: number, frequencyHz: number) =>
  ({
    source: { frequencyHz },
    distribution: { buses: [{ id: "b", nominalVoltageV }] },
    lineups: [{ busId: "b" }],
  }) as unknown as Specification;

describe("what a plate probably says", () => {
  it("follows the plant's frequency and the voltage that its motors are rated for", () => {
    expect(proposedPlate(plant(480, 60))).toEqual({ ratedVoltageV: "460", ratedFrequencyHz: "60", poles: "4" });
    expect(proposedPlate(plant(400, 50))).toMatchObject({ ratedVoltageV: "400", ratedFrequencyHz: "50" });
    expect(proposedPlate(plant(690, 60))).toMatchObject({ ratedVoltageV: "690" });
  });

  it("leaves open what it can't know", () => {
    expect(proposedPlate({ ...plant(400, 50), lineups: [] })).toMatchObject({ ratedVoltageV: "" });
    expect(proposedPlate(plant(13_800, 60))).toMatchObject({ ratedVoltageV: "" });
  });
});
