/** A table read from text: the names of its columns and the cells below them. */
export interface CsvTable {
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/**
 * Reads a table of semicolons, tabs or commas, whichever its first line has most of; quoted cells may hold them. The first line
 * names the columns when it holds no number.
 */
export function readCsv(text: string): CsvTable {
  const lines = text
    .replace(/^\uFEFF/, "")
    .split(/\r\n|\n|\r/)
    .filter((line) => line.trim() !== "");
  const first = lines[0] ?? "";
  const separator = [";", "\t", ","].reduce((best, s) => (first.split(s).length > first.split(best).length ? s : best));
  const cells = lines.map((line) => split(line, separator));
  const named = cells[0]?.every((cell) => readNumber(cell) === undefined) ?? false;
  const width = Math.max(0, ...cells.map((c) => c.length));
  return {
    heads: named ? (cells[0] ?? []) : Array.from({ length: width }, (_, i) => `column ${i + 1}`),
    rows: named ? cells.slice(1) : cells,
  };
}

/** A number with a decimal point or comma; undefined for anything else. */
export function readNumber(text: string): number | undefined {
  const trimmed = text.trim().replace(/[\u00a0\u202f ]/g, "");
  return /^[-+]?(\d+([.,]\d*)?|[.,]\d+)([eE][-+]?\d+)?$/.test(trimmed) ? Number(trimmed.replace(",", ".")) : undefined;
}

function split(line: string, separator: string): string[] {
  const cells: string[] = [];
  let cell = "";
  let quoted = false;
  for (let i = 0; i < line.length; i++) {
    const c = line[i] ?? "";
    if (c === '"') {
      if (quoted && line[i + 1] === '"') {
        cell += '"';
        i++;
      } else {
        quoted = !quoted;
      }
    } else if (c === separator && !quoted) {
      cells.push(cell.trim());
      cell = "";
    } else {
      cell += c;
    }
  }
  cells.push(cell.trim());
  return cells;
}
