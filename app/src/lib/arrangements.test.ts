import { describe, expect, it } from "vitest";
import type { Catalogue, DrivePoint, Specification } from "../api/client";
import {
  changeArrangement,
  dissolveArrangement,
  findArrangement,
  joinable,
  joinFollower,
  joinGroup,
  joinShaft,
  pointsOf,
  splitOnShaft,
  type MotorGroup,
} from "./arrangements";
import { removePoints } from "./specification";

const converter = (kw: number) => ({
  id: `six-pulse-choke-${kw}`,
  family: "six-pulse-choke",
  ratedKw: kw,
  ownName: "",
  lightCurrentA: 2.2 * kw,
  heavyCurrentA: 1.8 * kw,
});
const catalogue = {
  converters: [1.5, 2.2, 4, 7.5, 11].map(converter),
  motors: [{ id: "m", plate: { ratedCurrentA: 3 } }],
} as unknown as Catalogue;

const train = { gearRatio: 20, gearEfficiency: 0.9, inertiaKgM2: 2, startTimeS: 4 };
const point = (id: string, load: object = { kind: "constant-torque", torqueNm: 100, train }): DrivePoint =>
  ({
    id,
    tag: id.toUpperCase(),
    name: id,
    converter: {
      kind: "catalogue",
      itemId: "six-pulse-choke-2.2",
      duty: "light",
      control: "vector",
      braking: { kind: "nothing" },
    },
    motor: { kind: "catalogue", itemId: "m" },
    load,
  }) as unknown as DrivePoint;

const plant = {
  scenarios: [],
  motors: [],
  lineups: [
    {
      id: "l1",
      drivePoints: [
        point("dp-01"),
        point("dp-02"),
        point("dp-03"),
        point("dp-04", { kind: "conveyor", drumDiameterM: 0.2, train }),
        point("dp-05", { kind: "dosing-pump", displacementCm3PerRev: 90, train }),
      ],
      dcBuses: [{ id: "dc-1", memberIds: ["dp-04"], control: { kind: "none" } }],
      arrangements: [],
      setAside: [],
    },
    { id: "l2", drivePoints: [point("dp-09")], dcBuses: [], arrangements: [], setAside: [] },
  ],
} as unknown as Specification;

const must = <T>(value: T | undefined): T => {
  if (value === undefined) {
    throw new Error("It could not be joined.");
  }
  return value;
};
const of = (s: Specification, id: string) => must(s.lineups[0]?.drivePoints.find((p) => p.id === id));

describe("a group on one converter", () => {
  const joined = must(joinGroup(plant, catalogue, ["dp-01", "dp-02", "dp-03"]));

  it("takes the first one's converter, large enough for all, under scalar control", () => {
    // 1.25 times three times 3 A asks for 11.25 A: 7.5 kW.
    expect(of(joined, "dp-01").converter).toMatchObject({ itemId: "six-pulse-choke-7.5", control: "scalar" });
    expect(of(joined, "dp-02").converter).toEqual({ kind: "of-group" });
    expect(findArrangement(joined, "group-1")).toMatchObject({ name: "Group 1", reason: "" });
  });

  it("gives every motor a converter of its own again", () => {
    const single = dissolveArrangement(joined, catalogue, "group-1");
    expect(of(single, "dp-01").converter).toMatchObject({ itemId: "six-pulse-choke-1.5" });
    expect(of(single, "dp-03").converter).toMatchObject({ kind: "catalogue", itemId: "six-pulse-choke-1.5" });
    expect(single.lineups[0]?.arrangements).toEqual([]);
  });

  it("passes its converter on when the first one goes, and ends with its last", () => {
    const without = removePoints(joined, ["dp-01"]);
    expect(of(without, "dp-02").converter).toMatchObject({ itemId: "six-pulse-choke-7.5" });
    expect(must(findArrangement(without, "group-1")).kind).toBe("motor-group");
    expect(pointsOf(must(findArrangement(without, "group-1")))).toEqual(["dp-02", "dp-03"]);
    expect(removePoints(joined, ["dp-01", "dp-02", "dp-03"]).lineups[0]?.arrangements).toEqual([]);
  });

  it("says why it can't be", () => {
    expect(joinable(plant, ["dp-01", "dp-09"])["motor-group"]).toContain("different lineups");
    expect(joinable(plant, ["dp-03", "dp-04"])["motor-group"]).toContain("common DC bus");
    expect(joinable(joined, ["dp-01", "dp-02"])["motor-group"]).toContain("in a group");
    expect(joinGroup(joined, catalogue, ["dp-01", "dp-02"])).toBeUndefined();
  });

  it("changes one of its entries", () => {
    const changed = changeArrangement<MotorGroup>(joined, "group-1", { simultaneityPct: 80 });
    expect(findArrangement(changed, "group-1")).toMatchObject({ simultaneityPct: 80 });
  });
});

describe("a shared shaft", () => {
  it("joins units with a droop, and keeps at least two", () => {
    const joined = must(joinShaft(plant, ["dp-01", "dp-02", "dp-03"]));
    expect(findArrangement(joined, "shaft-1")).toMatchObject({
      method: { kind: "droop" },
      coupling: { kind: "rigid" },
    });
    expect(joinable(joined, ["dp-01", "dp-02"])["shared-shaft"]).not.toBe("");
    expect(removePoints(joined, ["dp-01"]).lineups[0]?.arrangements).toHaveLength(1);
    expect(removePoints(joined, ["dp-01", "dp-02"]).lineups[0]?.arrangements).toEqual([]);
  });

  it("splits one drive point in two, each with half of its load", () => {
    const split = must(splitOnShaft(plant, "dp-01"));
    const halves = must(findArrangement(split, "shaft-1"));
    expect(pointsOf(halves)).toEqual(["dp-01", "dp-10"]);
    for (const id of pointsOf(halves)) {
      expect(of(split, id).load).toMatchObject({ torqueNm: 50, train: { inertiaKgM2: 1 } });
    }
  });
});

describe("a ratio follower", () => {
  it("takes gears, drum and displacement from the loads", () => {
    const joined = must(joinFollower(plant, ["dp-04", "dp-05"]));
    expect(findArrangement(joined, "ratio-1")).toMatchObject({
      leader: { pointId: "dp-04", gearRatio: 20, unitsPerMachineTurn: 0.6283, unit: "m" },
      follower: { pointId: "dp-05", unitsPerMachineTurn: 0.09, unit: "L" },
      wantedRatio: null,
    });
    expect(joinFollower(plant, ["dp-01", "dp-02", "dp-03"])).toBeUndefined();
    expect(removePoints(joined, ["dp-05"]).lineups[0]?.arrangements).toEqual([]);
  });
});
