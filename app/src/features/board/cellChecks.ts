import type { Assessment, Check, DrivePointFigures } from "../../api/client";
import { once } from "../../lib/once";
import { isSame, usage } from "../../lib/verdict";
import type { Row } from "./selection";

const none: readonly Check[] = [];

// Every lineup's board asks: worked out once for all of them.
const cellsOf = once((assessment: Assessment) => {
  const points = new Map<string, Map<string, Check[]>>();
  for (const check of assessment.checks) {
    let cells = points.get(check.drivePointId);
    if (!cells) {
      cells = new Map<string, Check[]>();
      points.set(check.drivePointId, cells);
    }
    const list = cells.get(check.row);
    if (list) {
      list.push(check);
    } else {
      cells.set(check.row, [check]);
    }
  }
  return points;
});

/** Checks of a cell, nearest to failing first. */
export const cellChecks = (assessment: Assessment, point: string, row: Row): readonly Check[] =>
  cellsOf(assessment).get(point)?.get(row) ?? none;

/** How much of its limit a cell's check used in another assessment. */
export function usedIn(assessment: Assessment, point: string, row: Row, check: Check): number | undefined {
  const same = cellChecks(assessment, point, row).find((c) => isSame(c, check));
  return same && usage(same);
}

/** Figures by drive point. */
export const figuresOf = once(
  (assessment: Assessment) =>
    new Map<string, DrivePointFigures>(assessment.drivePoints.map((d) => [d.drivePointId, d])),
);
