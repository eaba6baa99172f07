import { describe, expect, it } from "vitest";
import type { Specification } from "../api/client";
import { changesOf, plain } from "./changesOf";

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

describe("a specification as JSON has it", () => {
  it("is what was known wherever it is equal, without what is undefined", () => {
    const known = { site: { altitudeM: 5, name: "x" }, lineups: [{ id: "a" }, { id: "b" }] };
    const next = {
      site: { altitudeM: 6, name: "x", more: undefined },
      lineups: [{ id: "a" }, { id: "b", tag: undefined }],
    };
    const made = plain<unknown>(next, known) as typeof known;
    expect(JSON.stringify(made)).toBe(JSON.stringify(next));
    expect(made.lineups).toBe(known.lineups);
    expect("more" in made.site).toBe(false);
    expect(plain<unknown>({ ...known, site: { ...known.site } }, known)).toBe(known);
  });

  it("tells lists from objects, nothing from what is absent, and shorter from longer", () => {
    expect(plain<unknown>([], {})).toEqual([]);
    expect(plain<unknown>({}, [])).toEqual({});
    expect(plain<unknown>({ a: null }, {})).toEqual({ a: null });
    expect(plain<unknown>({ a: 1 }, { a: 1, b: 2 })).toEqual({ a: 1 });
    expect(plain<unknown>([1], [1, 2])).toEqual([1]);
    expect(plain<unknown>([undefined], [null])).toEqual([null]);
  });
});
