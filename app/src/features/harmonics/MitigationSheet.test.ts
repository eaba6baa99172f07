import { describe, expect, it } from "vitest";
import type { Mitigation, Specification } from "../../api/client";
import { applyWay } from "./MitigationSheet";

type Way = Mitigation["ways"][number];
const plant = {
  distribution: {
    capacitorBanks: [
      { id: "a", detuningPct: null },
      { id: "b", detuningPct: 14 },
    ],
  },
  lineups: [
    {
      drivePoints: [
        { id: "p", converter: { kind: "catalogue", itemId: "x", braking: { kind: "nothing" } } },
        { id: "q", converter: { kind: "catalogue", itemId: "x", braking: { kind: "to-line" } } },
        { id: "r", converter: { kind: "not-chosen" } },
      ],
    },
  ],
} as unknown as Specification;
const way = (id: string, choices: Way["choices"]): Way => ({ id, choices }) as Way;

describe("a way of mitigating on the board", () => {
  it("changes the converters that it names and where their energy goes", () => {
    const tried = applyWay(
      plant,
      way("active", [
        { drivePointId: "p", itemId: "active-11", returnsToLine: true },
        { drivePointId: "r", itemId: "active-11", returnsToLine: true },
      ]),
    );
    expect(tried.lineups[0]?.drivePoints).toMatchObject([
      { converter: { itemId: "active-11", braking: { kind: "to-line" } } },
      { converter: { itemId: "x" } },
      { converter: { kind: "not-chosen" } },
    ]);
    const back = applyWay(plant, way("six-pulse-choke", [{ drivePointId: "q", itemId: "y", returnsToLine: false }]));
    expect(back.lineups[0]?.drivePoints[1]).toMatchObject({ converter: { itemId: "y", braking: { kind: "nothing" } } });
  });

  it("hangs a lineup from another bus, or moves a drive point into another lineup", () => {
    const two = {
      ...plant,
      lineups: [
        { id: "l1", busId: "a", drivePoints: [{ id: "p" }, { id: "q" }] },
        { id: "l2", busId: "b", drivePoints: [{ id: "r" }] },
      ],
    } as unknown as Specification;
    const moved = (move: NonNullable<Way["move"]>) =>
      applyWay(two, { ...way("move", []), move }).lineups.map((l) => [
        l.busId,
        l.drivePoints.map((p) => p.id).join(""),
      ]);
    expect(moved({ lineupId: "l1", busId: "b", drivePointId: "", toLineupId: "" })).toEqual([
      ["b", "pq"],
      ["b", "r"],
    ]);
    expect(moved({ lineupId: "", busId: "b", drivePointId: "q", toLineupId: "l2" })).toEqual([
      ["a", "p"],
      ["b", "rq"],
    ]);
  });

  it("adds a central active filter, once", () => {
    const filter = { id: "active-filter", name: "Active filter", busId: "a", ratedCurrentA: 120 };
    const once = applyWay(plant, { ...way("active-filter", []), filter });
    const twice = applyWay(once, { ...way("active-filter", []), filter: { ...filter, ratedCurrentA: 150 } });
    expect(twice.distribution.activeFilters).toEqual([{ ...filter, ratedCurrentA: 150 }]);
  });

  it("puts a reactor in front of the banks that have none", () => {
    expect(applyWay(plant, way("detuned", [])).distribution.capacitorBanks.map((b) => b.detuningPct)).toEqual([7, 14]);
  });
});
