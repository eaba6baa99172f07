/** Powers of ten that cover some values, with room at both ends. */
export function span(values: readonly number[]): [number, number] {
  const known = values.filter((v) => v > 0 && Number.isFinite(v));
  if (known.length === 0) {
    return [1, 10];
  }
  return [10 ** Math.floor(Math.log10(Math.min(...known))), 10 ** Math.ceil(Math.log10(Math.max(...known)))];
}

/** Powers of ten from one to another, both with it. */
export function decades(from: number, to: number): number[] {
  const first = Math.round(Math.log10(from));
  return Array.from({ length: Math.round(Math.log10(to)) - first + 1 }, (_, i) =>
    Number((10 ** (first + i)).toPrecision(3)),
  );
}
