import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import { SheetGrid, type Written } from "../../components/SheetGrid";
import { Empty } from "../../components/States";
import { useUnits } from "../../fields/useUnits";
import { changePoints } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";
import { useItems } from "../../project/useCatalogue";
import type { Check, DrivePoint } from "../../api/client";
import { filtered, sorted, type Sorting } from "./arrange";
import { ColumnChooser } from "./ColumnChooser";
import { ImportSheet } from "./ImportSheet";
import { columnsOf, usualColumns, type ListColumn, type ListRow } from "./listColumns";

const kept = "cuadrilla.list.columns";
const storedColumns = (): readonly string[] => {
  try {
    return JSON.parse(localStorage.getItem(kept) ?? "") as string[];
  } catch {
    return usualColumns;
  }
};

/** All drive points as a sheet, every entry and main figure a column: the board's data, read and written. */
export function ListPage({ onCell }: { readonly onCell: (point: string) => void }) {
  const { project, edit } = useProject();
  const units = useUnits();
  const items = useItems();
  const [search, setSearch] = useSearchParams();
  const [filter, setFilter] = useState("");
  const [sorting, setSorting] = useState<Sorting>();
  const [group, setGroup] = useState("");
  const [wanted, setWanted] = useState<readonly string[]>(storedColumns);
  const { specification, assessment } = project;
  const all = useMemo<readonly ListRow[]>(() => {
    const figures = new Map(assessment.drivePoints.map((f) => [f.drivePointId, f]));
    const checks = new Map<string, Check[]>();
    for (const check of assessment.checks) {
      const own = checks.get(check.drivePointId);
      if (own) {
        own.push(check);
      } else {
        checks.set(check.drivePointId, [check]);
      }
    }
    return specification.lineups.flatMap((l) =>
      l.drivePoints.map((point) => ({
        point,
        lineup: `${l.tag} ${l.name}`,
        figures: figures.get(point.id),
        checks: checks.get(point.id) ?? [],
      })),
    );
  }, [specification, assessment]);
  const places = specification.routes?.places;
  const known = useMemo(
    () =>
      columnsOf(
        all.map((r) => r.point),
        items,
        units,
        places,
      ),
    [all, items, units, places],
  );
  const columns = useMemo(() => known.filter((c) => wanted.includes(c.id)), [known, wanted]);
  const rows = useMemo(
    () => sorted(filtered(all, columns, filter), known, sorting, group === "" ? undefined : group),
    [all, columns, known, filter, sorting, group],
  );
  const grouping = known.find((c) => c.id === group);
  const write = async (cells: readonly Written[]) => {
    const result = applyCells(rows, columns, cells);
    return typeof result === "string"
      ? result
      : edit(labelOf(cells, rows, columns), (s) => changePoints(s, [...result.keys()], (p) => result.get(p.id) ?? p));
  };
  const sortBy = (column: string) =>
    setSorting((s) => (s?.column !== column ? { column, down: false } : s.down ? undefined : { column, down: true }));
  const importing = search.has("import");
  const close = () => setSearch({}, { replace: true });
  return (
    <div className="flex h-full flex-col p-4">
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <h2 className="mr-2 text-[17px] font-bold">Drive list</h2>
        <input
          type="search"
          className="entry w-56"
          placeholder="filter: pump 75 fails -spare"
          aria-label="Filter the drive list"
          value={filter}
          onChange={(e) => setFilter(e.target.value)}
        />
        <label className="flex items-center gap-1 text-soft">
          Group by
          <select className="entry w-auto" value={group} onChange={(e) => setGroup(e.target.value)}>
            <option value="">nothing</option>
            {["lineup", "load", "motor", "converter", "verdict"].map((id) => (
              <option key={id} value={id}>
                {known.find((c) => c.id === id)?.name.toLowerCase() ?? id}
              </option>
            ))}
          </select>
        </label>
        <ColumnChooser
          columns={known}
          shown={wanted}
          onChange={(ids) => {
            setWanted(ids);
            localStorage.setItem(kept, JSON.stringify(ids));
          }}
        />
        <button type="button" className="button" onClick={() => setSearch({ import: "" })}>
          Import a list …
        </button>
        <span className="text-soft">
          {rows.length === all.length ? `${all.length} drive points` : `${rows.length} of ${all.length} drive points`}
        </span>
      </div>
      {all.length === 0 ? (
        <Empty>No drive point yet: import a list, or add one on the board.</Empty>
      ) : rows.length === 0 ? (
        <Empty>No drive point holds “{filter}” in the columns shown.</Empty>
      ) : (
        <SheetGrid
          label="Drive list"
          scrolls={Math.max(320, window.innerHeight - 240)}
          rows={rows.map((r) => ({
            id: r.point.id,
            name: r.point.tag,
            group: grouping ? grouping.text(r) : undefined,
            heading: (
              <button type="button" tabIndex={-1} className="text-left" onClick={() => onCell(r.point.id)}>
                <span className="font-semibold text-plum underline">{r.point.tag}</span>{" "}
                <span className="inline-block max-w-44 truncate align-bottom">{r.point.name}</span>
              </button>
            ),
          }))}
          columns={columns
            .filter((c) => c.id !== "tag" && c.id !== "name")
            .concat(columns.filter((c) => c.id === "tag" || c.id === "name"))
            .map((c) => ({
              id: c.id,
              name: c.name,
              width: "min-w-24",
              right: isNumber(c, rows),
              heading: (
                <button
                  type="button"
                  className="flex w-full items-end gap-1 text-left text-[12px] leading-4"
                  aria-label={`Sort by ${c.name}`}
                  onClick={() => sortBy(c.id)}
                >
                  <span>
                    {c.name}
                    {c.unit && <span className="text-soft">, {c.unit}</span>}
                    {!c.apply && <span className="sr-only">, computed</span>}
                  </span>
                  {sorting?.column === c.id && <span aria-hidden>{sorting.down ? "▾" : "▴"}</span>}
                </button>
              ),
            }))}
          textAt={({ row, column }) => {
            const r = rows[row];
            const c = ordered(columns)[column];
            return r && c ? c.text(r) : "";
          }}
          strong={({ column }) => ordered(columns)[column]?.apply !== undefined}
          onWrite={(cells) => write(cells)}
        />
      )}
      <p className="mt-1 text-[12px] text-soft">
        Bold cells are written: type, paste a block from a spreadsheet, Ctrl-D fills down. Every change is one step
        back.
      </p>
      {importing && <ImportSheet onClose={close} />}
    </div>
  );
}

// Tag and name lead the rows; as columns of their own, to be written, they stand last.
const ordered = (columns: readonly ListColumn[]): readonly ListColumn[] => [
  ...columns.filter((c) => c.id !== "tag" && c.id !== "name"),
  ...columns.filter((c) => c.id === "tag" || c.id === "name"),
];

const isNumber = (column: ListColumn, rows: readonly ListRow[]) =>
  rows.slice(0, 20).some((r) => typeof column.order(r) === "number") && !["motor", "verdict"].includes(column.id);

function applyCells(
  rows: readonly ListRow[],
  columns: readonly ListColumn[],
  cells: readonly Written[],
): ReadonlyMap<string, DrivePoint> | string {
  const changed = new Map<string, DrivePoint>();
  for (const { row, column, text } of cells) {
    const r = rows[row];
    const c = ordered(columns)[column];
    if (!r || !c || c.text(r) === text) {
      continue;
    }
    if (!c.apply) {
      return `${c.name} is computed or chosen on the board; it can’t be written here.`;
    }
    const result = c.apply(changed.get(r.point.id) ?? r.point, text);
    if (!result.ok) {
      return result.problem;
    }
    changed.set(r.point.id, result.point);
  }
  return changed;
}

function labelOf(cells: readonly Written[], rows: readonly ListRow[], columns: readonly ListColumn[]): string {
  const [only] = cells;
  const names = new Set(cells.map((c) => ordered(columns)[c.column]?.name ?? ""));
  const tags = new Set(cells.map((c) => rows[c.row]?.point.tag ?? ""));
  const what = names.size === 1 ? [...names][0] : `${names.size} columns`;
  return only && tags.size === 1
    ? `${[...tags][0]}: ${what?.toLowerCase()}`
    : `List: ${what?.toLowerCase()} of ${tags.size} drive points`;
}
