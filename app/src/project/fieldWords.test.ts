import { describe, expect, it } from "vitest";
import { unitsOf } from "../fields/useUnits";
import { placeInWords, valueInWords } from "./fieldWords";

const us = unitsOf("us-customary");

describe("changes in words of the screen", () => {
  it("name the entry and where it stands", () => {
    expect(placeInWords("site › altitudeM")).toBe("site: altitude");
    expect(placeInWords("lineups › L1 › drivePoints › DP-01 › cable › lengthM")).toBe("DP-01, cable: length");
    expect(placeInWords("lineups › L1 › drivePoints › DP-01 › load › common › staticFraction")).toBe(
      "DP-01, load: static share",
    );
    expect(placeInWords("lineups › L1 › drivePoints › DP-09")).toBe("DP-09");
    expect(placeInWords("lineups › L1 › name")).toBe("L1: name");
    expect(placeInWords("distribution › transformers › transformer 1 › ukPct")).toBe(
      "transformer 1: short-circuit impedance",
    );
    expect(placeInWords("lineups › L1 › drivePoints › order")).toBe("order");
  });

  it("say values with their units, in those of the project", () => {
    expect(valueInWords("site › altitudeM", 640)).toBe("640 m");
    expect(valueInWords("site › altitudeM", 640, us)).toBe("2099.74 ft");
    expect(valueInWords("lineups › L1 › drivePoints › DP-01 › load › common › staticFraction", 0.22)).toBe("22 %");
    expect(valueInWords("lineups › L1 › drivePoints › DP-01 › load › common › presentControl", "inlet-vanes")).toBe(
      "inlet vanes",
    );
    expect(valueInWords("lineups › L1 › drivePoints › DP-01 › cable › lengthM", null)).toBe("not known");
    expect(valueInWords("lineups › L1 › drivePoints › DP-01 › cable › screened", true)).toBe("yes");
    expect(valueInWords("x", [1, 2])).toBe("2 entries");
    expect(valueInWords("x", { kind: "catalogue", itemId: "a" })).toBe("catalogue a");
  });
});
