import { describe, expect, it } from "vitest";
import type { DrivePoint } from "../../api/client";
import { unitsOf } from "../../fields/useUnits";
import { columnsOf } from "./listColumns";

const point = { id: "dp-1", tag: "DP-1", load: { kind: "unspecified" } } as unknown as DrivePoint;
const places = [
  { id: "p1", name: "Panel room", rightM: 0, downM: 0 },
  { id: "p2", name: "Mill", rightM: 8, downM: 0 },
];
const items = { motors: new Map(), converters: new Map() };
const column = (id: string) => {
  const found = columnsOf([point], items, unitsOf("si"), places).find((c) => c.id === id);
  if (!found?.apply) {
    throw new Error(`There is no column ${id} that can be written.`);
  }
  return { ...found, apply: found.apply };
};

describe("columns of the list", () => {
  it("write a place by its name, and refuse one that is not on the plan", () => {
    const motorAt = column("interference.motorPlaceId");
    const moved = motorAt.apply(point, " mill ");
    expect(moved).toMatchObject({ ok: true, point: { interference: { motorPlaceId: "p2", placeId: "" } } });
    expect(motorAt.apply(point, "Nowhere")).toMatchObject({ ok: false });
    expect(motorAt.apply(point, "")).toMatchObject({ ok: true, point: { interference: { motorPlaceId: "" } } });
    if (moved.ok) {
      expect(motorAt.text({ point: moved.point, lineup: "", figures: undefined, checks: [] })).toBe("Mill");
    }
  });

  it("write filter, device and earth of a drive point that states nothing yet", () => {
    expect(column("interference.filter").apply(point, "for C2")).toMatchObject({
      ok: true,
      point: { interference: { filter: "for-c2", linksOpen: false } },
    });
    expect(column("interference.residual.ratedMa").apply(point, "300")).toMatchObject({
      ok: true,
      point: { interference: { residual: { kind: "not-stated", ratedMa: 300 } } },
    });
    expect(column("interference.earthDouble").apply(point, "yes")).toMatchObject({
      ok: true,
      point: { interference: { earthDouble: true } },
    });
    expect(column("interference.filter").apply(point, "purple")).toMatchObject({ ok: false });
  });
});
