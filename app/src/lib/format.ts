const narrow = "\u202f";

/** A number with so many significant digits, thousands apart, no exponent. */
export function n(value: number | null | undefined, significant = 3): string {
  if (value === null || value === undefined || !Number.isFinite(value)) {
    return "–";
  }
  // Less than its last decimal shows: rounding of sums that cancel.
  if (Math.abs(value) < 5e-7) {
    return "0";
  }
  const whole = Math.floor(Math.log10(Math.abs(value))) + 1;
  const decimals = Math.min(Math.max(significant - whole, 0), 6);
  const [integer = "", fraction] = Math.abs(value).toFixed(decimals).split(".");
  const grouped = integer.length > 4 ? integer.replace(/\B(?=(\d{3})+$)/g, narrow) : integer;
  return (value < 0 ? "−" : "") + grouped + (fraction ? `.${fraction}` : "");
}

/** A figure and what it is held against, with so many digits that unequal ones look unequal. */
export function pair(figure: number, limit: number): [string, string] {
  for (let digits = 3; digits < 6; digits++) {
    if (n(figure, digits) !== n(limit, digits)) {
      return [n(figure, digits), n(limit, digits)];
    }
  }
  return [n(figure), n(limit)];
}

/** Whole units of money. */
export function money(value: number | null | undefined): string {
  return value === null || value === undefined ? "–" : n(Math.round(value), 1);
}

/** A number with its unit. */
export function withUnit(value: number | null | undefined, unit: string, significant = 3): string {
  return value === null || value === undefined
    ? "–"
    : unit === ""
      ? n(value, significant)
      : `${n(value, significant)} ${unit}`;
}

/** A time of the history in the reader's own zone. */
export function when(utc: string): string {
  const date = new Date(utc);
  return date.toLocaleString(undefined, { dateStyle: "medium", timeStyle: "short" });
}
