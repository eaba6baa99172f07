import { Button } from "../../components/Button";
import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { Failed, Loading } from "../../components/States";
import { useUnits } from "../../fields/useUnits";
import { readCsv, type CsvTable } from "../../lib/csv";
import { useProject } from "../../project/ProjectContext";
import { problemText } from "../../project/useProjectAccess";
import { readWorkbook } from "../lists/readWorkbook";
import { JudgedRows } from "./JudgedRows";

type Columns = Readonly<Record<string, number>>;

const kept = (heads: readonly string[]) => `cuadrilla.columns.drive-list.${heads.join("|")}`;
const remembered = (heads: readonly string[]): Columns | undefined => {
  const text = localStorage.getItem(kept(heads));
  return text === null ? undefined : (JSON.parse(text) as Columns);
};

/** A drive list from a spreadsheet: columns mapped, rows judged one by one, then taken as one edit. */
export function ImportSheet({ onClose }: { readonly onClose: () => void }) {
  const [table, setTable] = useState<CsvTable>();
  const [problem, setProblem] = useState<string>();
  const take = (next: CsvTable | string) => {
    if (typeof next === "string") {
      setProblem(next);
    } else if (next.rows.length === 0) {
      setProblem("There is no row below the heads.");
    } else {
      setProblem(undefined);
      setTable(next);
    }
  };
  return (
    <Sheet title="Import a drive list" onClose={onClose} size="full">
      {!table && (
        <>
          <p>
            A list as CSV or XLSX, heads in its first row, a row for each drive. Units in heads or cells are understood
            (<span className="font-mono">Power [hp]</span>, <span className="font-mono">30 m</span>), so are the usual
            words for machines and starters. Nothing is changed before you have seen every row.
          </p>
          <label className="button mt-2 inline-block">
            Choose a file …
            <input
              type="file"
              accept=".csv,.txt,.tsv,.xlsx"
              aria-label="Drive list"
              className="sr-only"
              onChange={(e) => {
                const file = e.target.files?.[0];
                if (file) {
                  void (
                    file.name.toLowerCase().endsWith(".xlsx") ? readWorkbook(file) : file.text().then(readCsv)
                  ).then(take);
                }
              }}
            />
          </label>
          <label className="mt-3 block">
            <span className="text-soft">or paste rows copied from a spreadsheet, with their heads</span>
            <textarea
              className="entry h-24 font-mono text-[12px]"
              aria-label="Rows pasted"
              onPaste={(e) => {
                e.preventDefault();
                take(readCsv(e.clipboardData.getData("text/plain")));
              }}
              onChange={(e) => take(readCsv(e.target.value))}
              value=""
            />
          </label>
        </>
      )}
      {problem && (
        <p role="alert" className="mt-2 text-fails">
          {problem}
        </p>
      )}
      {table && <Judged table={table} onClose={onClose} onOther={() => setTable(undefined)} />}
    </Sheet>
  );
}

function Judged({
  table,
  onClose,
  onOther,
}: {
  readonly table: CsvTable;
  readonly onClose: () => void;
  readonly onOther: () => void;
}) {
  const { project, takeList } = useProject();
  const units = useUnits();
  const heads = [...table.heads];
  const rows = table.rows.map((r) => [...r]);
  const [columns, setColumns] = useState<Columns | undefined>(() => remembered(heads));
  const [sized, setSized] = useState(true);
  const judged = useQuery({
    queryKey: ["drive-list", project.id, project.edit, heads, columns ?? null, rows.length, rows[0] ?? null],
    placeholderData: (before) => before,
    queryFn: async () => {
      const { data, error } = await api.POST("/api/projects/{id}/drive-list/judge", {
        params: { path: { id: project.id } },
        body: { heads, rows, ...(columns ? { columns } : {}) },
      });
      if (!data) {
        throw new Error(problemText(error));
      }
      return data;
    },
  });
  const taking = useMutation({
    mutationFn: () => takeList({ heads, rows, sized, columns: judged.data?.columns ?? {} }),
    onSuccess: (refused) => {
      if (refused === undefined) {
        localStorage.setItem(kept(heads), JSON.stringify(judged.data?.columns ?? {}));
        onClose();
      }
    },
  });
  if (judged.isPending) {
    return <Loading what="rows" />;
  }
  if (judged.isError) {
    return <Failed what="The list could not be judged." detail={judged.error.message} retry={onOther} />;
  }
  const { known, columns: mapped, rows: found } = judged.data;
  const map = (key: string, at: number) => {
    const others = Object.fromEntries(Object.entries(mapped).filter(([k]) => k !== key));
    // A column is one thing: what stood there before gives it up.
    const free = Object.fromEntries(Object.entries(others).filter(([, place]) => place !== at));
    setColumns(at < 0 ? others : { ...free, [key]: at });
  };
  const good = found.filter((r) => r.outcome === "new" || r.outcome === "changes");
  const bad = found.filter((r) => r.outcome === "refused");
  return (
    <>
      <details open={remembered(heads) === undefined}>
        <summary className="font-bold">Columns</summary>
        <div className="mt-1 grid grid-cols-4 gap-x-6 gap-y-1">
          {known.map((c) => (
            <label key={c.key} className="flex items-center justify-between gap-2 text-[12.5px]">
              <span>
                {c.name}
                {c.unit && <span className="text-soft">, {c.unit}</span>}
              </span>
              <select
                className="entry w-32"
                value={mapped[c.key] ?? -1}
                onChange={(e) => map(c.key, Number(e.target.value))}
              >
                <option value={-1}>–</option>
                {heads.map((head, i) => (
                  <option key={i} value={i}>
                    {head}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </div>
      </details>
      <JudgedRows rows={found} />
      {taking.data !== undefined && (
        <p role="alert" className="mt-2 text-fails">
          {units.sentence(taking.data)}
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <Button
          isMain
          why={good.length === 0 ? "No row says anything new." : taking.isPending ? "They are being taken." : ""}
          onClick={() => taking.mutate()}
        >
          {taking.isPending
            ? "Taking …"
            : bad.length === 0
              ? `Take ${good.length} ${good.length === 1 ? "row" : "rows"}`
              : `Take the ${good.length} good ${good.length === 1 ? "row" : "rows"}`}
        </Button>
        <label className="flex items-center gap-1.5">
          <input type="checkbox" className="accent-plum" checked={sized} onChange={(e) => setSized(e.target.checked)} />
          choose the best motor and converter where the list names none
        </label>
        <button type="button" className="button" onClick={onOther}>
          Another list
        </button>
      </div>
    </>
  );
}
