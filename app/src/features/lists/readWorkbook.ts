import type { CsvTable } from "../../lib/csv";

/** Rows of a workbook's first sheet, its first row the heads; or why it can't be read. */
export async function readWorkbook(file: File): Promise<CsvTable | string> {
  const response = await fetch("/api/tables/xlsx", {
    method: "POST",
    headers: { "Content-Type": "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet" },
    body: file,
  });
  if (!response.ok) {
    return ((await response.json()) as { detail?: string }).detail ?? "The workbook can't be read.";
  }
  const [heads = [], ...rows] = (await response.json()) as string[][];
  return { heads, rows };
}
