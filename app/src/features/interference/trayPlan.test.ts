import { describe, expect, it } from "vitest";
import { drawnTrays, extentOf, scaleBarM, zoomed } from "./trayPlan";

const place = (id: string, rightM: number, downM: number) => ({ id, name: id, rightM, downM });
const tray = (id: string, fromPlaceId: string, toPlaceId: string) => ({
  id,
  name: id,
  fromPlaceId,
  toPlaceId,
  lengthM: null,
  widthMm: null,
  kind: "perforated" as const,
  use: "all" as const,
  divider: false,
  heightMm: null,
  besideId: "",
  gapMm: null,
});

describe("the plan of trays", () => {
  it("shows all places with a margin", () => {
    const all = extentOf([place("a", 0, 0), place("b", 30, 10)]);
    expect(all).toEqual({ left: -6, top: -6, width: 42, height: 22 });
    expect(extentOf([]).width).toBe(40);
  });

  it("draws trays between the same places beside each other, from whichever end they were entered", () => {
    const drawn = drawnTrays(
      { places: [place("a", 0, 0), place("b", 10, 0)], segments: [tray("t", "a", "b"), tray("s", "b", "a")] },
      2,
    );
    expect(drawn[0]?.from).toMatchObject({ downM: -1 });
    expect(drawn[1]?.from.downM).toBeCloseTo(1);
    expect(drawn[1]?.to.downM).toBeCloseTo(1);
  });

  it("leaves out a tray whose place is gone", () => {
    expect(drawnTrays({ places: [place("a", 0, 0)], segments: [tray("t", "a", "b")] }, 1)).toEqual([]);
  });

  it("keeps the point under the pointer when it zooms", () => {
    const before = { left: 0, top: 0, width: 40, height: 20 };
    const after = zoomed(before, 2, { rightM: 10, downM: 5 });
    expect((10 - after.left) / after.width).toBeCloseTo((10 - before.left) / before.width);
    expect(after.width).toBe(20);
  });

  it("has a scale of 1, 2 or 5", () => {
    expect([42, 120, 9, 2600].map(scaleBarM)).toEqual([5, 20, 1, 500]);
  });
});
