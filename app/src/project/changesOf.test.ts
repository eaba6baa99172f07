import { describe, expect, it } from "vitest";
import type { Specification } from "../api/client";
import { changesOf } from "./changesOf";

const plant = (hours: readonly number[], tag = "a") => ({ name: tag, hours }) as unknown as Specification;

describe("changes of a specification", () => {
  it("are told field by field", () =>
    expect(changesOf(plant([1, 2]), plant([1, 3], "b"))).toEqual(
      expect.arrayContaining([
        { op: "replace", path: "/hours/1", value: 3 },
        { op: "replace", path: "/name", value: "b" },
      ]),
    ));

  it("take a year by hours as one, coming and going", () => {
    const hours = Array.from({ length: 8760 }, (_, i) => i);
    expect(changesOf(plant([]), plant(hours, "b"))).toEqual([
      { op: "replace", path: "/hours", value: hours },
      { op: "replace", path: "/name", value: "b" },
    ]);
    expect(changesOf(plant(hours), plant([]))).toEqual([{ op: "replace", path: "/hours", value: [] }]);
  });
});
