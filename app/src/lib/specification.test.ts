import { describe, expect, it } from "vitest";
import type { DrivePoint, Specification } from "../api/client";
import { columnIds, moved, validSelection } from "../features/board/selection";
import { changeLineup, changePoints, findPoint, moveLineup, movePoint } from "./specification";

const empty = {
  lineups: [
    {
      id: "l1",
      tag: "L1",
      name: "one",
      busId: "bus-1",
      drivePoints: [],
      dcBuses: [],
      arrangements: [],
      variantName: "",
      reason: "",
      setAside: [],
    },
  ],
  scenarios: [],
} as unknown as Specification;
const withPoints = (...ids: string[]): Specification => ({
  ...empty,
  lineups: empty.lineups.map((l) => ({
    ...l,
    drivePoints: ids.map((id) => ({ id, tag: id.toUpperCase(), name: id })) as unknown as DrivePoint[],
  })),
});
const three = () => withPoints("dp-01", "dp-02", "dp-03");

describe("drive points", () => {
  it("move and stop at the ends", () => {
    expect(columnIds(movePoint(three(), "dp-01", 1))).toEqual(["dp-02", "dp-01", "dp-03"]);
    expect(columnIds(movePoint(three(), "dp-01", -1))).toEqual(["dp-01", "dp-02", "dp-03"]);
  });

  it("change without touching their neighbours", () => {
    const before = three();
    const after = changePoints(before, ["dp-02"], (p) => ({ ...p, name: "fan" }));
    expect(findPoint(after, "dp-02")?.name).toBe("fan");
    expect(findPoint(after, "dp-01")).toBe(findPoint(before, "dp-01"));
  });
});

describe("lineups", () => {
  it("are moved, and changed without touching the others", () => {
    const one = three();
    const two = { ...one, lineups: [...one.lineups, ...empty.lineups.map((l) => ({ ...l, id: "l2", tag: "L2" }))] };
    expect(moveLineup(two, "l2", -1).lineups.map((l) => l.id)).toEqual(["l2", "l1"]);
    expect(moveLineup(two, "l2", 1)).toBe(two);
    expect(changeLineup(two, "l2", { name: "Packing" }).lineups[0]).toBe(two.lineups[0]);
  });
});

describe("selection", () => {
  const at = { point: "dp-02", row: "motor", columns: ["dp-02"] } as const;
  it("walks and is held at the edges", () => {
    expect(moved(three(), at, 1, 0, false)).toEqual({ point: "dp-03", row: "motor", columns: ["dp-03"] });
    expect(moved(three(), at, 9, 9, false)).toMatchObject({ point: "dp-03", row: "load" });
    expect(moved(three(), at, -9, -9, false)).toMatchObject({ point: "dp-01", row: "supply" });
  });

  it("extends from its anchor and shrinks again", () => {
    const two = moved(three(), at, 1, 0, true);
    expect(two.columns).toEqual(["dp-02", "dp-03"]);
    expect(moved(three(), two, -1, 0, true).columns).toEqual(["dp-02"]);
  });

  it("falls back when its drive point is gone", () => {
    expect(validSelection(withPoints("dp-01", "dp-03"), at)?.point).toBe("dp-01");
    expect(validSelection(empty, at)).toBeUndefined();
  });
});
