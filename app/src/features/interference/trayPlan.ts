import type { Routes } from "../../api/client";

/** A point on the plan, m. */
export interface Spot {
  readonly rightM: number;
  readonly downM: number;
}

/** A piece of tray with its ends, moved aside where several run between the same places. */
export interface DrawnTray {
  readonly id: string;
  readonly from: Spot;
  readonly to: Spot;
  /** Side of its line that is free: 1 or −1. */
  readonly side: 1 | -1;
}

/** What the plan shows, m. */
export interface Extent {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

const edgeM = 6;

/** Everything with a margin; 40 × 24 m while nothing stands there. */
export function extentOf(places: readonly Spot[]): Extent {
  if (places.length === 0) {
    return { left: -4, top: -4, width: 40, height: 24 };
  }
  const [left, right] = [Math.min(...places.map((p) => p.rightM)), Math.max(...places.map((p) => p.rightM))];
  const [top, bottom] = [Math.min(...places.map((p) => p.downM)), Math.max(...places.map((p) => p.downM))];
  return {
    left: left - edgeM,
    top: top - edgeM,
    width: Math.max(16, right - left + 2 * edgeM),
    height: Math.max(10, bottom - top + 2 * edgeM),
  };
}

/** Trays as they are drawn: those between the same two places side by side, a gap apart. */
export function drawnTrays({ places, segments }: Pick<Routes, "places" | "segments">, gapM: number): DrawnTray[] {
  const at = new Map(places.map((p) => [p.id, p]));
  const ends = (s: Routes["segments"][number]) => [s.fromPlaceId, s.toPlaceId].sort().join("|");
  const bundles = new Map<string, string[]>();
  for (const s of segments) {
    bundles.set(ends(s), [...(bundles.get(ends(s)) ?? []), s.id]);
  }
  return segments.flatMap((s) => {
    const [a, b] = [at.get(s.fromPlaceId), at.get(s.toPlaceId)];
    if (!a || !b) {
      return [];
    }
    const bundle = bundles.get(ends(s)) ?? [];
    const aside = (bundle.indexOf(s.id) - (bundle.length - 1) / 2) * gapM;
    // The same side whichever end it was drawn from.
    const turned = s.fromPlaceId > s.toPlaceId ? -1 : 1;
    const length = Math.hypot(b.rightM - a.rightM, b.downM - a.downM) || 1;
    const [nx, ny] = [
      (-(b.downM - a.downM) / length) * aside * turned,
      ((b.rightM - a.rightM) / length) * aside * turned,
    ];
    return [
      {
        id: s.id,
        side: aside * turned > 0 ? 1 : -1,
        from: { rightM: a.rightM + nx, downM: a.downM + ny },
        to: { rightM: b.rightM + nx, downM: b.downM + ny },
      },
    ];
  });
}

/** A round length of 1, 2 or 5 times a power of ten, about a fifth of the width. */
export function scaleBarM(widthM: number): number {
  const wanted = widthM / 5;
  const power = 10 ** Math.floor(Math.log10(wanted));
  return [5, 2, 1].map((k) => k * power).find((m) => m <= wanted) ?? power;
}

/** The extent zoomed about its middle or a point. */
export function zoomed(extent: Extent, factor: number, about?: Spot): Extent {
  const at = about ?? { rightM: extent.left + extent.width / 2, downM: extent.top + extent.height / 2 };
  return {
    left: at.rightM - (at.rightM - extent.left) / factor,
    top: at.downM - (at.downM - extent.top) / factor,
    width: extent.width / factor,
    height: extent.height / factor,
  };
}
