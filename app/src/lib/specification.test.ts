import { describe, expect, it } from "vitest";
import type { Specification } from "../api/client";
import { columnIds, moved, validSelection } from "../features/board/selection";
import {
  addLineup,
  addPoint,
  changeLineup,
  changePoints,
  copyPoint,
  findPoint,
  moveLineup,
  movePoint,
  removeLineup,
  removePoints,
} from "./specification";

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
const usual = { id: "s", name: "s", states: [], loadStates: [], switches: [], bankStates: [] };

const three = () => addPoint(addPoint(addPoint(empty, "l1")[0], "l1")[0], "l1")[0];

describe("drive points", () => {
  it("are added with the next free tag, after the one named", () => {
    expect(columnIds(three())).toEqual(["dp-01", "dp-02", "dp-03"]);
    const [next, point] = addPoint(three(), "l1", "dp-01");
    expect(point.tag).toBe("DP-04");
    expect(columnIds(next)).toEqual(["dp-01", "dp-04", "dp-02", "dp-03"]);
  });

  it("are copied with their state in scenarios", () => {
    const states = [{ drivePointId: "dp-02", running: false, levelPu: 1, loadPu: 1 }];
    const start = { ...three(), scenarios: [{ ...usual, states }] };
    const result = copyPoint(start, "dp-02");
    expect(result?.[1].name).toBe("New drive point copy");
    expect(result && columnIds(result[0])).toEqual(["dp-01", "dp-02", "dp-04", "dp-03"]);
    expect(result?.[0].scenarios[0]?.states.map((s) => s.drivePointId)).toEqual(["dp-02", "dp-04"]);
  });

  it("move and stop at the ends", () => {
    expect(columnIds(movePoint(three(), "dp-01", 1))).toEqual(["dp-02", "dp-01", "dp-03"]);
    expect(columnIds(movePoint(three(), "dp-01", -1))).toEqual(["dp-01", "dp-02", "dp-03"]);
  });

  it("are removed from the scenarios too", () => {
    const states = [{ drivePointId: "dp-02", running: false, levelPu: 1, loadPu: 1 }];
    const left = removePoints({ ...three(), scenarios: [{ ...usual, states }] }, ["dp-02"]);
    expect(columnIds(left)).toEqual(["dp-01", "dp-03"]);
    expect(left.scenarios[0]?.states).toEqual([]);
  });

  it("change without touching their neighbours", () => {
    const before = three();
    const after = changePoints(before, ["dp-02"], (p) => ({ ...p, name: "fan" }));
    expect(findPoint(after, "dp-02")?.name).toBe("fan");
    expect(findPoint(after, "dp-01")).toBe(findPoint(before, "dp-01"));
  });
});

describe("lineups", () => {
  it("are added with a free tag, moved and removed with their drive points", () => {
    const one = { ...three(), scenarios: [{ ...usual, states: [] }] };
    const two = addLineup(one);
    expect(two.lineups.map((l) => l.tag)).toEqual(["L1", "L2"]);
    expect(two.lineups[1]?.busId).toBe(one.lineups[0]?.busId);
    expect(moveLineup(two, "l2", -1).lineups.map((l) => l.id)).toEqual(["l2", "l1"]);
    expect(moveLineup(two, "l2", 1)).toBe(two);
    expect(changeLineup(two, "l2", { name: "Packing" }).lineups[0]).toBe(two.lineups[0]);
    const left = removeLineup(two, "l1");
    expect(left.lineups.map((l) => l.id)).toEqual(["l2"]);
    expect(columnIds(left)).toEqual([]);
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
    expect(validSelection(removePoints(three(), ["dp-02"]), at)?.point).toBe("dp-01");
    expect(validSelection(empty, at)).toBeUndefined();
  });
});
