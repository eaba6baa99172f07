import type { Assessment, Check, DrivePointFigures } from "../../api/client";
import { once } from "../../lib/once";
import { checkKey, usage } from "../../lib/verdict";
import type { Row } from "./selection";

const none: readonly Check[] = [];

// Every lineup's board asks: worked out once for all of them.
const cellsOf = once((assessment: Assessment) => {
  const cells = new Map<string, Check[]>();
  for (const check of assessment.checks) {
    const key = `${check.drivePointId}/${check.row}`;
    const list = cells.get(key);
    if (list) {
      list.push(check);
    } else {
      cells.set(key, [check]);
    }
  }
  return cells;
});

/** Checks of a cell, nearest to failing first. */
export const cellChecks = (assessment: Assessment, point: string, row: Row): readonly Check[] =>
  cellsOf(assessment).get(`${point}/${row}`) ?? none;

/** How much of its limit each check uses, by key. */
export const usedBy = once(
  (assessment: Assessment) =>
    new Map<string, number | undefined>(assessment.checks.map((c) => [checkKey(c), usage(c)])),
);

/** Figures by drive point. */
export const figuresOf = once(
  (assessment: Assessment) =>
    new Map<string, DrivePointFigures>(assessment.drivePoints.map((d) => [d.drivePointId, d])),
);
