import type { ListColumn, ListRow } from "./listColumns";

/** How the list is sorted. */
export interface Sorting {
  readonly column: string;
  readonly down: boolean;
}

/** Rows that hold every word of a filter somewhere in the columns shown, or in the load, motor or verdict. */
export function filtered(rows: readonly ListRow[], columns: readonly ListColumn[], filter: string): readonly ListRow[] {
  const words = filter
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== "");
  return words.length === 0
    ? rows
    : rows.filter((row) => {
        const text = columns.map((c) => c.text(row).toLowerCase()).join(" | ");
        return words.every((w) => (w.startsWith("-") && w.length > 1 ? !text.includes(w.slice(1)) : text.includes(w)));
      });
}

/** Rows in order: by the grouping column first, then by the sorting one; equal ones as on the board. */
export function sorted(
  rows: readonly ListRow[],
  columns: readonly ListColumn[],
  sorting: Sorting | undefined,
  group: string | undefined,
): readonly ListRow[] {
  const by = columns.find((c) => c.id === sorting?.column);
  const first = columns.find((c) => c.id === group);
  return [...rows].sort(
    (a, b) =>
      (first ? compare(first.order(a), first.order(b)) : 0) ||
      (by ? compare(by.order(a), by.order(b)) * (sorting?.down ? -1 : 1) : 0),
  );
}

function compare(a: number | string, b: number | string): number {
  return typeof a === "number" && typeof b === "number"
    ? a - b || 0
    : String(a).localeCompare(String(b), undefined, { numeric: true });
}
