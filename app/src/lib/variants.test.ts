import { describe, expect, it } from "vitest";
import type { Specification } from "../api/client";
import { addVariant, adopt, dropVariant, exchange, setAside } from "./variants";

const plant = {
  scenarios: [{ id: "s", states: [{ drivePointId: "a" }, { drivePointId: "b" }] }],
  lineups: [
    {
      id: "l1",
      drivePoints: [{ id: "a" }, { id: "b" }],
      dcBuses: [],
      arrangements: [],
      variantName: "",
      reason: "",
      setAside: [],
    },
  ],
} as unknown as Specification;
const other = { drivePoints: [{ id: "a" }], dcBuses: [{ id: "dc-1" }], arrangements: [] } as never;
const lineup = (s: Specification | undefined) => s?.lineups[0];

describe("ways to build a lineup", () => {
  it("are set aside and put on the board again", () => {
    const two = setAside(plant, "l1", "single drives");
    expect(lineup(two)?.setAside).toMatchObject([{ id: "way-1", name: "single drives" }]);
    const changed = addVariant(plant, "l1", "on one bus", other);
    const onBoard = changed && exchange(changed, "l1", "way-1");
    expect(lineup(onBoard)).toMatchObject({
      drivePoints: [{ id: "a" }],
      variantName: "on one bus",
      setAside: [{ id: "way-1", name: "before", drivePoints: [{ id: "a" }, { id: "b" }] }],
    });
    expect(lineup(onBoard && exchange(onBoard, "l1", "way-1"))?.drivePoints).toEqual([{ id: "a" }, { id: "b" }]);
  });

  it("keep at most three beside the one in force", () => {
    let now: Specification | undefined = plant;
    for (const name of ["one", "two", "three"]) {
      now = now && setAside(now, "l1", name);
    }
    expect(new Set(lineup(now)?.setAside.map((v) => v.id)).size).toBe(3);
    expect(now && setAside(now, "l1", "four")).toBeUndefined();
  });

  it("are adopted with a reason; scenarios forget what is gone", () => {
    const two = addVariant(plant, "l1", "on one bus", other);
    const adopted = two && adopt(two, "l1", "way-1", "cheaper over ten years");
    expect(lineup(adopted)).toMatchObject({
      variantName: "on one bus",
      reason: "cheaper over ten years",
      setAside: [],
    });
    expect(adopted?.scenarios[0]?.states).toEqual([{ drivePointId: "a" }]);
    const kept = two && adopt(two, "l1", "", "simple");
    expect(lineup(kept)).toMatchObject({ reason: "simple", setAside: [], drivePoints: [{ id: "a" }, { id: "b" }] });
    expect(kept?.scenarios[0]?.states).toHaveLength(2);
  });

  it("are dropped; unknown keys change nothing", () => {
    const two = setAside(plant, "l1", "x");
    expect(lineup(two && dropVariant(two, "l1", "way-1"))?.setAside).toEqual([]);
    expect(exchange(plant, "l1", "nothing")).toBeUndefined();
    expect(adopt(plant, "nowhere", "", "r")).toBeUndefined();
  });
});
