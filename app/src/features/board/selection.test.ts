import { describe, expect, it } from "vitest";
import type { Specification } from "../../api/client";
import { moved, validSelection, withColumn, type Selection } from "./selection";

const plant = {
  lineups: [{ drivePoints: [{ id: "a" }, { id: "b" }] }, { drivePoints: [{ id: "c" }] }],
} as unknown as Specification;
const at = (point: string, row: Selection["row"] = "motor", columns = [point]): Selection => ({ point, row, columns });

describe("walking the board", () => {
  it("goes across lineups and stops at the edges", () => {
    expect(moved(plant, at("b"), 1, 0, false)).toEqual(at("c"));
    expect(moved(plant, at("c"), 1, 0, false)).toEqual(at("c"));
    expect(moved(plant, at("a"), -5, 0, false)).toEqual(at("a"));
    expect(moved(plant, at("a", "supply"), 0, -1, false).row).toBe("supply");
    expect(moved(plant, at("a"), 0, 9, false).row).toBe("load");
  });

  it("extends and shrinks a selection from its anchor", () => {
    const two = moved(plant, at("a"), 1, 0, true);
    expect(two).toEqual(at("b", "motor", ["a", "b"]));
    const three = moved(plant, two, 1, 0, true);
    expect(three.columns).toEqual(["a", "b", "c"]);
    expect(moved(plant, three, -1, 0, true).columns).toEqual(["a", "b"]);
    expect(moved(plant, at("b"), -1, 0, true).columns).toEqual(["a", "b"]);
  });

  it("keeps a selection only while its columns exist", () => {
    expect(validSelection(plant, at("gone", "cable"))).toEqual(at("a", "cable"));
    expect(validSelection(plant, at("b", "cable", ["b", "gone"]))).toEqual(at("b", "cable"));
    expect(validSelection(plant, undefined)).toEqual(at("a", "converter"));
    expect(validSelection({ lineups: [] } as unknown as Specification, at("a"))).toBeUndefined();
  });
});

describe("columns picked one by one", () => {
  it("adds one, takes one, keeps one at least", () => {
    const two = withColumn(at("a"), "c", "motor");
    expect(two).toEqual(at("c", "motor", ["a", "c"]));
    expect(withColumn(two, "c", "motor")).toEqual(at("a", "motor", ["a"]));
    expect(withColumn(at("a"), "a", "load")).toEqual(at("a", "load", ["a"]));
  });
});
