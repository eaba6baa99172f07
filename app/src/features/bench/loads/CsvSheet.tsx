import { Button } from "../../../components/Button";
import { useState } from "react";
import { Sheet } from "../../../components/Sheet";
import type { Outcome } from "../../../components/draft";
import { readCsv, readNumber, type CsvTable } from "../../../lib/csv";

/** A column that is wanted. */
export interface WantedColumn {
  readonly key: string;
  readonly name: string;
}

const previewed = 8;

/** Reads a CSV: a file or pasted text, which column is which, a preview, and the rows that can't be read named. */
export function CsvSheet({
  title,
  columns,
  onTake,
  onClose,
}: {
  readonly title: string;
  readonly columns: readonly WantedColumn[];
  readonly onTake: (rows: Readonly<Record<string, number>>[]) => Promise<Outcome>;
  readonly onClose: () => void;
}) {
  const [text, setText] = useState("");
  const [chosen, setChosen] = useState<Readonly<Record<string, number>>>({});
  const [refused, setRefused] = useState<Outcome>();
  const table: CsvTable = readCsv(text);
  const at = (key: string, position: number) => chosen[key] ?? position;
  const read = table.rows.map((row, i) => {
    const values: Record<string, number> = {};
    const bad: string[] = [];
    columns.forEach((column, position) => {
      const cell = row[at(column.key, position)] ?? "";
      const value = readNumber(cell);
      if (value === undefined) {
        bad.push(`row ${i + 1}: ${column.name} is “${cell}”`);
      } else {
        values[column.key] = value;
      }
    });
    return { values, bad };
  });
  const problems = read.flatMap((r) => r.bad);
  return (
    <Sheet title={title} onClose={onClose} size="wide">
      <div className="flex items-center gap-3">
        <label className="button">
          Choose a file …
          <input
            type="file"
            accept=".csv,.txt,text/csv"
            aria-label="CSV file"
            className="sr-only"
            onChange={(e) => void e.target.files?.[0]?.text().then(setText)}
          />
        </label>
        <span className="text-soft">or paste rows below; decimal point or comma, any separator</span>
      </div>
      <textarea
        className="entry mt-2 h-24 w-full font-mono text-[12px]"
        aria-label="Rows"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setRefused(undefined);
        }}
      />
      {table.rows.length > 0 && (
        <>
          <div className="mt-2 flex flex-wrap gap-4">
            {columns.map((column, position) => (
              <label key={column.key} className="flex items-center gap-2">
                {column.name}
                <select
                  className="entry w-44"
                  value={at(column.key, position)}
                  onChange={(e) => setChosen({ ...chosen, [column.key]: Number(e.target.value) })}
                >
                  {table.heads.map((head, i) => (
                    <option key={i} value={i}>
                      {head}
                    </option>
                  ))}
                </select>
              </label>
            ))}
          </div>
          <table className="table mt-2">
            <caption className="text-left text-soft">
              {table.rows.length} rows{table.rows.length > previewed ? `, the first ${previewed} shown` : ""}
            </caption>
            <thead>
              <tr>
                {columns.map((c) => (
                  <th key={c.key} className="num">
                    {c.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {read.slice(0, previewed).map((r, i) => (
                <tr key={i}>
                  {columns.map((c) => (
                    <td key={c.key} className="num">
                      {r.values[c.key] ?? "?"}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {problems.length > 0 && (
        <p role="alert" className="mt-2 text-fails">
          {problems.slice(0, 3).join("; ")}
          {problems.length > 3 ? `; and ${problems.length - 3} more` : ""}. Nothing is taken until every row can be
          read.
        </p>
      )}
      {refused !== undefined && (
        <p role="alert" className="mt-2 text-fails">
          {refused}
        </p>
      )}
      <div className="mt-4 flex gap-2">
        <Button
          isMain
          why={
            table.rows.length === 0 ? "No rows were read." : problems.length > 0 && "Some rows are wrong: see above."
          }
          onClick={() => {
            void onTake(read.map((r) => r.values)).then((outcome) => {
              setRefused(outcome);
              if (outcome === undefined) {
                onClose();
              }
            });
          }}
        >
          Take {table.rows.length} rows
        </Button>
        <button type="button" className="button" onClick={onClose}>
          Leave it
        </button>
      </div>
    </Sheet>
  );
}
