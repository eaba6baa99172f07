import { describe, expect, it } from "vitest";
import type { Specification } from "../../api/client";
import { entriesOf, leftEdges, withCabinets, withPin, withSplit } from "./cabinets";

describe("cabinets of a lineup", () => {
  it("ask for what their cooling needs, and for nothing else", () => {
    const heat = (cooling: "closed" | "forced" | "cooled") => entriesOf({ cooling })[1]?.[1] ?? [];
    expect(heat("forced")).toContain("fanM3PerH");
    expect(heat("closed")).toContain("factorK");
    expect(heat("closed")).not.toContain("fanM3PerH");
    expect(heat("cooled")).toEqual(["cooling", "coolerW", "cooledC", "humidityPct", "permittedC", "sinksOutside"]);
    expect(entriesOf({})[1]?.[1]).toContain("mats");
  });

  it("ask for a DC busbar where there is a common DC bus", () => {
    expect(entriesOf({}, true)[0]?.[1]).toContain("dcBusbarA");
    expect(entriesOf({})[0]?.[1]).not.toContain("dcBusbarA");
  });

  it("are parted behind a section, and no longer", () => {
    const parted = withSplit(withSplit({}, 2), 4);
    expect(parted.splits).toEqual([{ behind: 2 }, { behind: 4 }]);
    expect(withSplit(parted, 2).splits).toEqual([{ behind: 4 }]);
  });

  it("put a unit once, take it back, and leave other lineups alone", () => {
    const put = withPin(withPin({ pins: [{ unitId: "b", section: 2 }] }, "a", 3), "a", 4);
    expect(put.pins).toEqual([
      { unitId: "b", section: 2 },
      { unitId: "a", section: 4 },
    ]);
    expect(withPin(put, "a", null).pins).toEqual([{ unitId: "b", section: 2 }]);
    const plant = { lineups: [{ id: "l1" }, { id: "l2" }] } as Specification;
    const changed = withCabinets("l2", (c) => ({ ...c, depthMm: 800 }))(plant);
    expect(changed.lineups[0]).toBe(plant.lineups[0]);
    expect(changed.lineups[1]?.cabinets).toEqual({ depthMm: 800 });
  });

  it("stand side by side", () => {
    expect(leftEdges([{ widthMm: 400 }, { widthMm: 800 }, { widthMm: 600 }])).toEqual([0, 400, 1200]);
  });
});
