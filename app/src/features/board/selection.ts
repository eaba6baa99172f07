import type { Specification } from "../../api/client";

/** Bands of the board in the direction of power. */
export const rows = ["supply", "converter", "cable", "motor", "load"] as const;

/** A band of the board. */
export type Row = (typeof rows)[number];

/** The cell in focus, and the columns selected with it. */
export interface Selection {
  readonly point: string;
  readonly row: Row;
  /** Columns that a change applies to; holds the cell's own. */
  readonly columns: readonly string[];
}

/** All columns in the order of the board. */
export function columnIds(specification: Specification): string[] {
  return specification.lineups.flatMap((l) => l.drivePoints.map((p) => p.id));
}

/** A selection that exists in a specification; undefined when there are no columns. */
export function validSelection(specification: Specification, wanted: Selection | undefined): Selection | undefined {
  const ids = columnIds(specification);
  const first = ids[0];
  if (first === undefined) {
    return undefined;
  }
  if (!wanted || !ids.includes(wanted.point)) {
    return { point: first, row: wanted?.row ?? "converter", columns: [first] };
  }
  const columns = wanted.columns.filter((c) => ids.includes(c));
  return { ...wanted, columns: columns.includes(wanted.point) ? columns : [wanted.point] };
}

/** The cell so many columns and rows away, held at the edges; with `extend` the columns between stay selected. */
export function moved(
  specification: Specification,
  from: Selection,
  across: number,
  down: number,
  extend: boolean,
): Selection {
  const ids = columnIds(specification);
  const at = Math.max(0, ids.indexOf(from.point));
  const to = Math.min(Math.max(at + across, 0), ids.length - 1);
  const row = rows[Math.min(Math.max(rows.indexOf(from.row) + down, 0), rows.length - 1)] ?? from.row;
  const point = ids[to] ?? from.point;
  if (!extend) {
    return { point, row, columns: [point] };
  }
  // The far end of the selection is the anchor.
  const indices = from.columns.map((c) => ids.indexOf(c)).filter((i) => i >= 0);
  const anchor = indices.length === 0 ? at : at === Math.min(...indices) ? Math.max(...indices) : Math.min(...indices);
  return { point, row, columns: ids.slice(Math.min(anchor, to), Math.max(anchor, to) + 1) };
}

/** The selection with one more column, or without one that it has; one at least stays. */
export function withColumn(from: Selection, point: string, row: Row): Selection {
  const columns = from.columns.includes(point) ? from.columns.filter((c) => c !== point) : [...from.columns, point];
  const [first = point] = columns;
  return { point: columns.includes(point) ? point : first, row, columns: columns.length === 0 ? [point] : columns };
}

/** Element id of a cell. */
export const cellId = (point: string, row: Row): string => `cell-${point}-${row}`;
