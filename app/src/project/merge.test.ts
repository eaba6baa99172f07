import { describe, expect, it } from "vitest";
import { changes, merge } from "./merge";

const base = {
  site: { ambientMaxC: 38, altitudeM: 640 },
  lineups: [
    {
      id: "l1",
      tag: "L1",
      drivePoints: [
        { id: "a", tag: "DP-01", name: "fan", load: { kind: "fan", flow: 1 } },
        { id: "b", tag: "DP-02", name: "pump", load: { kind: "pump", flow: 2 } },
      ],
    },
  ],
};
type Plant = typeof base;
const changed = (change: (plant: Plant) => void): Plant => {
  const copy = structuredClone(base);
  change(copy);
  return copy;
};
const point = (plant: Plant, index: number) => plant.lineups[0]?.drivePoints[index];

describe("merge by field", () => {
  it("keeps both sides' fields", () => {
    const mine = changed((p) => void (p.site.ambientMaxC = 42));
    const theirs = changed((p) => void (p.site.altitudeM = 900));
    const { value, conflicts } = merge(base, mine, theirs);
    expect(value.site).toEqual({ ambientMaxC: 42, altitudeM: 900 });
    expect(conflicts).toEqual([]);
  });

  it("lists a field that both changed, and lets either count", () => {
    const mine = changed((p) => void (p.site.ambientMaxC = 42));
    const theirs = changed((p) => void (p.site.ambientMaxC = 30));
    expect(merge(base, mine, theirs).value.site.ambientMaxC).toBe(42);
    expect(merge(base, mine, theirs, "theirs").value.site.ambientMaxC).toBe(30);
    expect(merge(base, mine, theirs).conflicts).toEqual([{ path: "site › ambientMaxC", mine: 42, theirs: 30 }]);
  });

  it("matches drive points by id, not by place", () => {
    const mine = changed((p) => p.lineups[0]?.drivePoints.reverse());
    const theirs = changed((p) => {
      const b = point(p, 1);
      if (b) b.name = "slip pump";
    });
    const { value, conflicts } = merge(base, mine, theirs);
    expect(value.lineups[0]?.drivePoints.map((d) => d.name)).toEqual(["slip pump", "fan"]);
    expect(conflicts).toEqual([]);
  });

  it("keeps an added and drops a removed drive point", () => {
    const mine = changed((p) =>
      p.lineups[0]?.drivePoints.push({ id: "c", tag: "DP-03", name: "new", load: { kind: "fan", flow: 3 } }),
    );
    const theirs = changed((p) => p.lineups[0]?.drivePoints.shift());
    expect(merge(base, mine, theirs).value.lineups[0]?.drivePoints.map((d) => d.id)).toEqual(["b", "c"]);
  });

  it("names a removal of what the other side changed", () => {
    const mine = changed((p) => {
      const a = point(p, 0);
      if (a) a.name = "other";
    });
    const theirs = changed((p) => p.lineups[0]?.drivePoints.shift());
    const result = merge(base, mine, theirs);
    expect(result.conflicts).toEqual([
      { path: "lineups › L1 › drivePoints › DP-01", mine: "changed", theirs: "removed" },
    ]);
    expect(result.value.lineups[0]?.drivePoints).toHaveLength(2);
    expect(merge(base, mine, theirs, "theirs").value.lineups[0]?.drivePoints).toHaveLength(1);
  });
});

describe("changes", () => {
  it("names fields by tag", () => {
    const after = changed((p) => {
      const a = point(p, 0);
      if (a) a.load.flow = 5;
    });
    expect(changes(base, after)).toMatchObject([
      { path: "lineups › L1 › drivePoints › DP-01 › load › flow", before: 1, after: 5 },
    ]);
  });

  it("finds nothing between equals", () => expect(changes(base, structuredClone(base))).toEqual([]));
});
