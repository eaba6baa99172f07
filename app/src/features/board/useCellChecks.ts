import { useMemo } from "react";
import type { Assessment, Check } from "../../api/client";
import type { Row } from "./selection";

/** Checks by drive point and band, nearest to failing first. */
export function useCellChecks(assessment: Assessment): (point: string, row: Row) => readonly Check[] {
  return useMemo(() => {
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
    const none: readonly Check[] = [];
    return (point, row) => cells.get(`${point}/${row}`) ?? none;
  }, [assessment]);
}
