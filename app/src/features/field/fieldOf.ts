import type { Check, DrivePointFigures, Verdict } from "../../api/client";
import { worst } from "../../lib/verdict";
import { rows, type Row } from "../board/selection";

/** What the field shows of a drive point. */
export interface FieldColumn {
  /** Worst verdict of each band; absent where nothing is judged there. */
  readonly bands: Readonly<Partial<Record<Row, Verdict>>>;
  readonly worst: Verdict | undefined;
  /** Band and title of the check that matters most. */
  readonly row: Row | undefined;
  readonly title: string | undefined;
}

/** Verdicts by drive point and band; checks come with what matters most first. */
export function fieldOf(checks: readonly Check[]): ReadonlyMap<string, FieldColumn> {
  const own = new Map<string, Check[]>();
  for (const check of checks) {
    if (check.drivePointId !== "" && check.verdict !== "not-applicable") {
      const list = own.get(check.drivePointId);
      if (list) {
        list.push(check);
      } else {
        own.set(check.drivePointId, [check]);
      }
    }
  }
  return new Map([...own].map(([id, list]) => [id, columnOf(list)]));
}

function columnOf(list: readonly Check[]): FieldColumn {
  const bands = Object.fromEntries(
    rows.flatMap((row) => {
      const verdict = worst(list.filter((c) => c.row === row).map((c) => c.verdict));
      return verdict === undefined ? [] : [[row, verdict]];
    }),
  ) as FieldColumn["bands"];
  const [first] = list;
  return {
    bands,
    worst: worst(list.map((c) => c.verdict)),
    row: rows.find((r) => r === first?.row),
    title: first?.title,
  };
}

/** How many entries nobody has confirmed, of each drive point that has any. */
export const assumedOf = (figures: readonly DrivePointFigures[]): ReadonlyMap<string, number> =>
  new Map(figures.filter((f) => f.assumedEntries > 0).map((f) => [f.drivePointId, f.assumedEntries]));
