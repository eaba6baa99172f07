import { describe, expect, it } from "vitest";
import type { Catalogue, DrivePoint, Specification } from "../api/client";
import { changeDcBus, dcBusesWithout, dissolveDcBus, joinOnDcBus } from "./dcBus";

const item = (family: string, ratedKw: number) => ({ id: `${family}-${ratedKw}`, family, ratedKw });
const catalogue = {
  converters: [
    ...[5.5, 7.5, 11].map((kw) => item("six-pulse-choke", kw)),
    ...[5.5, 7.5, 11].map((kw) => item("inverter-module", kw)),
  ],
  supplyModules: [
    { id: "supply-diode-11", kind: "diode", ratedKw: 11 },
    { id: "supply-diode-15", kind: "diode", ratedKw: 15 },
    { id: "supply-active-11", kind: "active", ratedKw: 11 },
  ],
} as unknown as Catalogue;

const point = (id: string, itemId: string): DrivePoint =>
  ({ id, converter: { kind: "catalogue", itemId, braking: { kind: "nothing" } } }) as unknown as DrivePoint;
const plant = {
  lineups: [
    {
      id: "l1",
      drivePoints: [
        point("a", "six-pulse-choke-7.5"),
        point("b", "six-pulse-choke-11"),
        point("c", "six-pulse-choke-5.5"),
      ],
      dcBuses: [],
      arrangements: [],
      setAside: [],
    },
  ],
} as unknown as Specification;

const itemOf = (s: Specification, id: string) => {
  const converter = s.lineups[0]?.drivePoints.find((p) => p.id === id)?.converter;
  return converter?.kind === "catalogue" ? converter.itemId : undefined;
};

const joinedOf = (ids: readonly string[], from = plant): Specification => {
  const joined = joinOnDcBus(from, catalogue, ids);
  if (!joined) {
    throw new Error("They could not be joined.");
  }
  return joined;
};

describe("a common DC bus", () => {
  it("takes selected drive points, with modules of their size", () => {
    const joined = joinedOf(["a", "b"]);
    expect(joined.lineups[0]?.dcBuses).toMatchObject([
      { id: "dc-1", memberIds: ["a", "b"], supplyModuleId: "supply-diode-11" },
    ]);
    expect([itemOf(joined, "a"), itemOf(joined, "b"), itemOf(joined, "c")]).toEqual([
      "inverter-module-7.5",
      "inverter-module-11",
      "six-pulse-choke-5.5",
    ]);
  });

  it("needs two, and none that is on one already", () => {
    expect(joinOnDcBus(plant, catalogue, ["a"])).toBeUndefined();
    expect(joinOnDcBus(joinedOf(["a", "b"]), catalogue, ["b", "c"])).toBeUndefined();
  });

  it("is dissolved into single drives", () => {
    const back = dissolveDcBus(joinedOf(["a", "b"]), catalogue, "dc-1");
    expect(back.lineups[0]?.dcBuses).toEqual([]);
    expect(itemOf(back, "b")).toBe("six-pulse-choke-11");
  });

  it("is changed by its key and loses members that go", () => {
    const joined = changeDcBus(joinedOf(["a", "b"]), "dc-1", { name: "film bus" });
    const buses = joined.lineups[0]?.dcBuses ?? [];
    expect(buses[0]?.name).toBe("film bus");
    expect(dcBusesWithout(buses, ["a"])[0]?.memberIds).toEqual(["b"]);
    expect(dcBusesWithout(buses, ["a", "b"])).toEqual([]);
  });
});
