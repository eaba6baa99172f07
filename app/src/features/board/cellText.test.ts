import { unitsOf } from "../../fields/useUnits";
import { describe, expect, it } from "vitest";
import type { ConverterItem, DrivePoint, DrivePointFigures, MotorItem } from "../../api/client";
import { cellText, type Items } from "./cellText";

const empty: DrivePoint = {
  id: "dp-01",
  tag: "DP-01",
  name: "New drive point",
  feeder: { kind: "on-busbar" },
  converter: { kind: "not-chosen" },
  cable: { lengthM: null, crossSectionMm2: null, parallelRuns: 1, material: "copper", screened: true },
  motor: { kind: "not-chosen" },
  load: { kind: "unspecified" },
  skipBands: [],
  brake: { kind: "none" },
};
const items: Items = {
  motors: new Map([
    [
      "m",
      {
        efficiencyClass: "IE4",
        poles: 4,
        plate: { technology: "cage-induction", ratedPowerW: 160000, ratedCurrentA: 276.1 },
      } as MotorItem,
    ],
  ]),
  converters: new Map([["c", { chokePct: 4, ratedKw: 160, ownName: "", family: "six-pulse-choke" } as ConverterItem]]),
};
const figures = { lineCurrentA: 248.3, thdiPct: 38.99, cableLossW: 2193.2, siteCurrentA: 275 } as DrivePointFigures;
const full: DrivePoint = {
  ...empty,
  feeder: { kind: "by-cable", lengthM: 14, crossSectionMm2: 95, parallelRuns: 2, material: "copper" },
  cable: { lengthM: 62, crossSectionMm2: 120, parallelRuns: 1, material: "copper", screened: true },
  motor: {
    kind: "catalogue",
    itemId: "m",
    cooling: "own-fan",
    riseUsed: "f",
    connection: "fitting",
    insulatedBearing: true,
    thermistorTrips: false,
    reason: "",
  },
  converter: {
    kind: "catalogue",
    itemId: "c",
    duty: "light",
    switchingKhz: 4,
    reason: "",
    braking: { kind: "nothing" },
    filter: "none",
    feed: "three-phase",
    control: "vector",
    wiring: "separate-windings",
    lightLoadFlux: "constant",
    modules: 1,
  },
};

describe("what a cell says", () => {
  it("asks for what is open", () => {
    expect(cellText("motor", empty, undefined, items, unitsOf("si")).choice).toBe("choose …");
    expect(cellText("cable", empty, undefined, items, unitsOf("si"))).toEqual({
      choice: "size open · length open",
      detail: "screened",
    });
    expect(cellText("supply", empty, undefined, items, unitsOf("si"))).toEqual({
      choice: "on the busbar",
      detail: "line current open",
    });
    expect(cellText("load", empty, undefined, items, unitsOf("si")).choice).toBe("enter …");
  });

  it("shows choice and figure in two lines", () => {
    expect(cellText("supply", full, figures, items, unitsOf("si"))).toEqual({
      choice: "2 × 95 mm² · 14 m",
      detail: "248 A · THDi 39 %",
    });
    expect(cellText("supply", full, { ...figures, linePhase: "B" }, items, unitsOf("si"))).toEqual({
      choice: "2 × 95 mm² · 14 m",
      detail: "248 A · THDi 39 %",
      more: "both of phase B, the most loaded",
    });
    expect(cellText("converter", full, figures, items, unitsOf("si"))).toEqual({
      choice: "6-pulse, 4 % choke",
      detail: "160 kW light · 275 A",
    });
    expect(cellText("cable", full, figures, items, unitsOf("si")).detail).toBe("loses 2193 W");
    const byTrays = { ...full, cable: { ...full.cable, lengthM: null } };
    expect(cellText("cable", byTrays, { ...figures, cableM: 41.5 }, items, unitsOf("si")).choice).toContain("41.5 m");
    expect(cellText("motor", full, figures, items, unitsOf("si"))).toEqual({
      choice: "IE4 cage 160 kW",
      detail: "4-pole · 276 A · cl. F",
    });
  });

  it("names an item that the catalogue does not hold", () => {
    const lost = { ...full, motor: { ...full.motor, itemId: "gone" } as DrivePoint["motor"] };
    expect(cellText("motor", lost, figures, items, unitsOf("si"))).toEqual({
      choice: "gone",
      detail: "not in the catalogue",
    });
  });

  it("tells the sun from the busbar, and a transformer ahead of a cable", () => {
    const sunny = { ...full, sun: { module: { peakW: 450 }, strings: { inSeries: 14, inParallel: 3 } } } as DrivePoint;
    expect(cellText("supply", sunny, figures, items, unitsOf("si"))).toEqual({
      choice: "sun, 3 × 14",
      detail: "array 18.9 kW",
    });
    expect(cellText("supply", { ...full, sun: {} }, figures, items, unitsOf("si")).choice).toBe("sun, strings open");
    const deep = { ...full, stepUp: { transformer: { tapV: 470 } } } as DrivePoint;
    expect(cellText("cable", deep, figures, items, unitsOf("si")).more).toContain("tap 470 V");
  });
});
