/** A column that a schedule is sorted by. */
export interface Order {
  readonly key: string;
  readonly falling: boolean;
}

const gravity: Readonly<Record<string, number>> = { fails: 0, "needs-data": 1, tight: 2, holds: 3 };

const text = (value: unknown) => (typeof value === "string" ? value : JSON.stringify(value));

/** Rows sorted by a column: what is open comes last, verdicts by how grave they are, tags as people count. */
export function arranged<T extends object>(rows: readonly T[], order: Order | undefined): readonly T[] {
  if (!order) {
    return rows;
  }
  const value = (row: T) => {
    const found = (row as Readonly<Record<string, unknown>>)[order.key];
    return order.key === "verdict" ? (gravity[String(found)] ?? 4) : found;
  };
  const isOpen = (v: unknown) => v === null || v === undefined || v === "";
  return [...rows].sort((one, other) => {
    const [a, b] = [value(one), value(other)];
    if (isOpen(a) || isOpen(b)) {
      return Number(isOpen(a)) - Number(isOpen(b));
    }
    const rising =
      typeof a === "number" && typeof b === "number" ? a - b : text(a).localeCompare(text(b), "en", { numeric: true });
    return order.falling ? -rising : rising;
  });
}
