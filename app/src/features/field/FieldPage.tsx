import { Button } from "../../components/Button";
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from "react";
import type { Verdict } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { verdictWords, worst } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";
import { columnIds, rows, type Row, type Selection } from "../board/selection";
import { assumedOf, fieldOf, type FieldColumn } from "./fieldOf";

/** Sizes of a shape, px: from the whole plant at once to a column that can be read. */
const sizes = [9, 12, 16, 22] as const;

/** The whole plant as one picture: a column of five shapes for each drive point, in the order of the board's bands. */
export function FieldPage({
  selection,
  onSelect,
  onCell,
}: {
  readonly selection: Selection | undefined;
  readonly onSelect: (selection: Selection) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project } = useProject();
  const { specification, assessment } = project;
  const ids = useMemo(() => columnIds(specification), [specification]);
  const [zoom, setZoom] = useState(() => (ids.length > 150 ? 0 : ids.length > 60 ? 1 : ids.length > 24 ? 2 : 3));
  const [only, setOnly] = useState<Verdict | "assumed">();
  const frame = useRef<HTMLDivElement>(null);
  const columns = useMemo(() => fieldOf(assessment.checks), [assessment.checks]);
  const assumed = useMemo(() => assumedOf(assessment.drivePoints), [assessment.drivePoints]);
  const size = sizes[zoom] ?? sizes[1];
  const named = zoom >= 2;
  const zoomBy = (by: number) => setZoom((z) => Math.min(Math.max(z + by, 0), sizes.length - 1));
  useEffect(() => {
    frame.current?.querySelector<HTMLElement>("[tabindex='0']")?.focus();
  }, []);

  // The wheel zooms with Ctrl, as it does in pictures elsewhere; without it scrolls.
  useEffect(() => {
    const element = frame.current;
    const onWheel = (event: WheelEvent) => {
      if (event.ctrlKey) {
        event.preventDefault();
        zoomBy(event.deltaY < 0 ? 1 : -1);
      }
    };
    element?.addEventListener("wheel", onWheel, { passive: false });
    return () => element?.removeEventListener("wheel", onWheel);
  }, []);

  const at = selection?.point ?? ids[0];
  const row: Row = selection?.row ?? "converter";
  const go = (point: string | undefined, to: Row) => {
    if (point !== undefined) {
      onSelect({ point, row: to, columns: [point] });
      requestAnimationFrame(() => document.getElementById(`field-${point}`)?.focus());
    }
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const place = at === undefined ? -1 : ids.indexOf(at);
    const band = rows.indexOf(row);
    const steps: Record<string, () => void> = {
      ArrowRight: () => go(ids[Math.min(place + 1, ids.length - 1)], row),
      ArrowLeft: () => go(ids[Math.max(place - 1, 0)], row),
      ArrowDown: () => go(at, rows[Math.min(band + 1, rows.length - 1)] ?? row),
      ArrowUp: () => go(at, rows[Math.max(band - 1, 0)] ?? row),
      Home: () => go(ids[0], row),
      End: () => go(ids.at(-1), row),
      Enter: () => at !== undefined && onCell({ point: at, row, columns: [at] }),
      "+": () => zoomBy(1),
      "-": () => zoomBy(-1),
    };
    const step = steps[event.key];
    if (step && !event.ctrlKey && !event.altKey) {
      event.preventDefault();
      step();
    }
  };
  const counts = (["fails", "tight", "needs-data", "holds"] as const).map(
    (v) => [v, ids.filter((id) => columns.get(id)?.worst === v).length] as const,
  );
  return (
    <div ref={frame} className="p-4" onKeyDown={onKeyDown}>
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <h2 className="mr-2 text-[17px] font-bold">The field</h2>
        {counts.map(([v, count]) => (
          <button
            key={v}
            type="button"
            className={`button flex items-center gap-1.5 ${only === v ? "button-main" : ""}`}
            aria-pressed={only === v}
            title={`Show only drive points whose worst is “${verdictWords[v]}”`}
            onClick={() => setOnly(only === v ? undefined : v)}
          >
            <VerdictMark verdict={v} size={11} /> {count} {verdictWords[v].toLowerCase()}
          </button>
        ))}
        <button
          type="button"
          className={`button ${only === "assumed" ? "button-main" : ""}`}
          aria-pressed={only === "assumed"}
          title="Show only drive points with usual values that nobody has confirmed"
          onClick={() => setOnly(only === "assumed" ? undefined : "assumed")}
        >
          <span className="border-b-2 border-dashed border-tight">{assumed.size} on assumed values</span>
        </button>
        <span className="ml-auto flex items-center gap-1 text-soft">
          <Button aria-label="Smaller" why={zoom === 0 && "This is the smallest."} onClick={() => zoomBy(-1)}>
            −
          </Button>
          <Button
            aria-label="Larger"
            why={zoom === sizes.length - 1 && "This is the largest."}
            onClick={() => zoomBy(1)}
          >
            +
          </Button>
          {ids.length} drive points; top to bottom: {rows.join(", ")}
        </span>
      </div>
      {specification.lineups.map((lineup) => (
        <section key={lineup.id} aria-label={`${lineup.tag} ${lineup.name}`} className="mb-3">
          <h3 className="border-b-4 border-ink pb-0.5 text-[13px]">
            <strong>{lineup.tag}</strong> {lineup.name}
          </h3>
          <div className="flex flex-wrap gap-x-1 gap-y-2 pt-1">
            {lineup.drivePoints.map((p) => {
              const column = columns.get(p.id);
              return (
                <Column
                  key={p.id}
                  id={p.id}
                  tag={p.tag}
                  name={p.name}
                  column={column}
                  size={size}
                  named={named}
                  assumed={assumed.get(p.id) ?? 0}
                  faded={only !== undefined && (only === "assumed" ? !assumed.has(p.id) : column?.worst !== only)}
                  row={p.id === at ? row : undefined}
                  onPick={(to) => onCell({ point: p.id, row: to, columns: [p.id] })}
                />
              );
            })}
          </div>
        </section>
      ))}
    </div>
  );
}

function Column({
  id,
  tag,
  name,
  column,
  assumed,
  size,
  named,
  faded,
  row,
  onPick,
}: {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
  readonly column: FieldColumn | undefined;
  /** Entries that nobody has confirmed. */
  readonly assumed: number;
  readonly size: number;
  readonly named: boolean;
  readonly faded: boolean;
  readonly row: Row | undefined;
  readonly onPick: (row: Row) => void;
}) {
  const verdict = worst(rows.flatMap((r) => column?.bands[r] ?? []));
  const open = assumed === 0 ? "" : `${assumed} ${assumed === 1 ? "entry" : "entries"} assumed, not confirmed`;
  return (
    <button
      id={`field-${id}`}
      type="button"
      tabIndex={row === undefined ? -1 : 0}
      aria-label={`${tag} ${name}: ${row === undefined ? "" : `${row}, `}${verdict ? verdictWords[verdict] : "no checks"}${column?.title ? `, ${column.title}` : ""}${open && `; ${open}`}`}
      title={`${tag} ${name}\n${column?.title ?? "no checks"}${open && `\n${open}`}`}
      className={`flex flex-col items-center rounded-sm border p-0.5 outline-none ${row === undefined ? "border-transparent" : "border-plum ring-2 ring-plum"} ${faded ? "opacity-20" : ""}`}
      onClick={(e) => {
        const place = (e.target as HTMLElement).closest<HTMLElement>("[data-row]")?.dataset["row"];
        onPick((place as Row | undefined) ?? column?.row ?? "converter");
      }}
    >
      {named && <span className="max-w-16 truncate text-[11px] font-semibold text-plum">{tag}</span>}
      {rows.map((r) => (
        <span key={r} data-row={r} className={`block p-px ${row === r ? "bg-plum-wash" : ""}`}>
          {column?.bands[r] ? (
            <VerdictMark verdict={column.bands[r]} size={size} />
          ) : (
            <span className="block" style={{ width: size, height: size }} />
          )}
        </span>
      ))}
      <span
        className={`mt-px block self-stretch border-b-2 ${open ? "border-dashed border-tight" : "border-transparent"}`}
      />
    </button>
  );
}
