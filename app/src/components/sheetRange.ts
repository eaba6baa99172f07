/** A place in a sheet. */
export interface Place {
  readonly row: number;
  readonly column: number;
}

/** A rectangle of cells, both ends within. */
export interface Range {
  readonly top: number;
  readonly left: number;
  readonly bottom: number;
  readonly right: number;
}

/** The rectangle between two places. */
export function rangeOf(a: Place, b: Place): Range {
  return {
    top: Math.min(a.row, b.row),
    left: Math.min(a.column, b.column),
    bottom: Math.max(a.row, b.row),
    right: Math.max(a.column, b.column),
  };
}

/** Every place of a rectangle, by rows. */
export function places({ top, left, bottom, right }: Range): Place[] {
  const found: Place[] = [];
  for (let row = top; row <= bottom; row++) {
    for (let column = left; column <= right; column++) {
      found.push({ row, column });
    }
  }
  return found;
}

/** Cells as a spreadsheet puts them on the clipboard: tabs between columns, line feeds between rows. */
export function toClipboard(range: Range, textAt: (place: Place) => string): string {
  const lines: string[] = [];
  for (let row = range.top; row <= range.bottom; row++) {
    const cells: string[] = [];
    for (let column = range.left; column <= range.right; column++) {
      cells.push(textAt({ row, column }));
    }
    lines.push(cells.join("\t"));
  }
  return lines.join("\n");
}

/**
 * What a paste writes where: the block from the upper left corner of the selection, repeated when the selection is a
 * multiple of it, cut off at the edges of the sheet.
 */
export function fromClipboard(
  text: string,
  selection: Range,
  rows: number,
  columns: number,
): (Place & { readonly text: string })[] {
  const block = text
    .replace(/\r\n?/g, "\n")
    .replace(/\n$/, "")
    .split("\n")
    .map((line) => line.split("\t"));
  const height = block.length;
  const width = Math.max(...block.map((line) => line.length));
  const tall = selection.bottom - selection.top + 1;
  const wide = selection.right - selection.left + 1;
  const bottom = selection.top + (tall % height === 0 ? tall : height) - 1;
  const right = selection.left + (wide % width === 0 ? wide : width) - 1;
  return places({
    top: selection.top,
    left: selection.left,
    bottom: Math.min(bottom, rows - 1),
    right: Math.min(right, columns - 1),
  }).map((p) => ({
    ...p,
    text: block[(p.row - selection.top) % height]?.[(p.column - selection.left) % width] ?? "",
  }));
}
