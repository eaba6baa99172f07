import { describe, expect, it } from "vitest";
import type { Specification } from "../api/client";
import { changeElement, hangingOn, removeElement } from "./distribution";

const plant = (): Specification =>
  ({
    source: { busId: "mv" },
    pcc: { busId: "mv" },
    distribution: {
      buses: [
        { id: "mv", name: "20 kV", nominalVoltageV: 20000, withstandKa: null },
        { id: "bus-1", name: "A", nominalVoltageV: 400, withstandKa: null },
      ],
      transformers: [{ id: "t1", name: "T1", fromBusId: "mv", toBusId: "bus-1" }],
      links: [],
      capacitorBanks: [],
      loads: [{ kind: "linear", id: "oven", name: "oven", busId: "bus-1", powerKw: 10, powerFactor: 1 }],
    },
    scenarios: [
      {
        id: "s",
        name: "s",
        states: [],
        loadStates: [{ loadId: "oven", levelPu: 0.5 }],
        switches: [{ elementId: "t1", closed: false }],
        bankStates: [],
      },
    ],
    lineups: [
      {
        id: "l1",
        tag: "L1",
        name: "",
        busId: "bus-1",
        drivePoints: [],
        dcBuses: [],
        arrangements: [],
        variantName: "",
        reason: "",
        setAside: [],
      },
    ],
  }) as unknown as Specification;

describe("elements of the supply", () => {
  it("are changed without touching others", () => {
    const before = plant();
    const named = changeElement(before, "buses", "bus-1", (b) => ({ ...b, name: "B" }));
    expect(named.distribution.buses[1]?.name).toBe("B");
    expect(named.distribution.buses[0]).toBe(before.distribution.buses[0]);
  });

  it("are removed with what scenarios say of them", () => {
    const without = removeElement(removeElement(plant(), "loads", "oven"), "transformers", "t1");
    expect(without.distribution.loads).toEqual([]);
    expect(without.scenarios[0]).toMatchObject({ loadStates: [], switches: [] });
  });

  it("name what still hangs on a bus", () => {
    expect(hangingOn(plant(), "bus-1")).toEqual(["T1", "oven", "lineup L1"]);
    expect(hangingOn(plant(), "mv")).toEqual(["the source", "the point of common coupling", "T1"]);
  });
});
