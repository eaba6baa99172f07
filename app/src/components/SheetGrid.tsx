import { useVirtualizer } from "@tanstack/react-virtual";
import {
  useEffect,
  useMemo,
  useRef,
  useState,
  type ClipboardEvent,
  type KeyboardEvent,
  type ReactNode,
  type RefObject,
} from "react";
import type { Outcome } from "./draft";
import { fromClipboard, places, rangeOf, toClipboard, type Place, type Range } from "./sheetRange";

/** A cell to be written. */
export interface Written extends Place {
  readonly text: string;
}

interface Props {
  readonly label: string;
  readonly rows: readonly {
    readonly id: string;
    readonly heading: ReactNode;
    readonly name: string;
    /** Rows of one group stand under its name, where it changes. */
    readonly group?: string | undefined;
  }[];
  readonly columns: readonly {
    readonly id: string;
    readonly heading: ReactNode;
    readonly name: string;
    readonly width?: string;
    readonly right?: boolean;
  }[];
  readonly textAt: (place: Place) => string;
  /** True for cells that say something out of the usual. */
  readonly strong: (place: Place) => boolean;
  /** Writes cells as one edit; all or none. */
  readonly onWrite: (cells: readonly Written[]) => Promise<Outcome>;
  readonly footer?: ReactNode;
  /** Height of the part in view; rows beyond it are drawn when they come into it. */
  readonly scrolls?: number;
}

/** Height of a row, px. */
const rowHeight = 25;

/**
 * A sheet of short texts: arrows move, Shift selects, typing replaces, F2 or Enter edits, Delete clears; copy and paste
 * exchange blocks with any spreadsheet, Ctrl-D fills down, Ctrl-R fills to the right.
 */
export function SheetGrid({ label, rows, columns, textAt, strong, onWrite, footer, scrolls }: Props) {
  const [focus, setFocus] = useState<Place>({ row: 0, column: 0 });
  const [anchor, setAnchor] = useState<Place>(focus);
  const [editing, setEditing] = useState<string>();
  const [problem, setProblem] = useState<Outcome>();
  const grid = useRef<HTMLTableElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const lines = useMemo(() => linesOf(rows), [rows]);
  // eslint-disable-next-line react-hooks/incompatible-library -- its answers are read while drawing, never remembered
  const drawn = useVirtualizer({
    count: lines.length,
    enabled: scrolls !== undefined,
    getScrollElement: () => frame.current,
    estimateSize: () => rowHeight,
    overscan: 12,
  });
  const ending = useRef(false);
  const range = rangeOf(anchor, focus);

  const write = async (cells: readonly Written[]): Promise<boolean> => {
    const outcome = cells.length > 0 ? await onWrite(cells) : undefined;
    setProblem(outcome);
    return outcome === undefined;
  };
  const go = (to: Place, extend: boolean) => {
    const held = {
      row: Math.min(Math.max(to.row, 0), rows.length - 1),
      column: Math.min(Math.max(to.column, 0), columns.length - 1),
    };
    setFocus(held);
    if (!extend) {
      setAnchor(held);
    }
    focusCell(held);
  };
  // A row that is out of view is drawn first.
  const focusCell = (place: Place) => {
    const find = () => grid.current?.querySelector<HTMLElement>(`[data-place="${place.row}/${place.column}"]`);
    const cell = find();
    if (cell) {
      cell.focus();
      return;
    }
    drawn.scrollToIndex(lines.findIndex((l) => l.row === place.row));
    requestAnimationFrame(() => requestAnimationFrame(() => find()?.focus()));
  };
  // Leaving the entry and moving on by a key both end it: the first of the two writes.
  const finish = async (then: Place | undefined) => {
    if (editing === undefined || ending.current) {
      return;
    }
    ending.current = true;
    const written = editing === textAt(focus) || (await write([{ ...focus, text: editing }]));
    if (written) {
      setEditing(undefined);
      if (then) {
        go(then, false);
      }
    }
    ending.current = false;
  };

  const onKeyDown = (event: KeyboardEvent) => {
    if (editing !== undefined) {
      editKey(event, focus, finish, () => {
        setEditing(undefined);
        setProblem(undefined);
        go(focus, false);
      });
      return;
    }
    const step = arrows[event.key];
    const command = event.ctrlKey || event.metaKey;
    if (step && !command && !event.altKey) {
      go({ row: focus.row + step[0], column: focus.column + step[1] }, event.shiftKey);
    } else if (event.key === "F2" || event.key === "Enter") {
      setEditing(textAt(focus));
    } else if (event.key === "Delete" || event.key === "Backspace") {
      void write(places(range).map((p) => ({ ...p, text: "" })));
    } else if (command && event.key.toLowerCase() === "a") {
      setAnchor({ row: 0, column: 0 });
      go({ row: rows.length - 1, column: columns.length - 1 }, true);
    } else if (command && event.key.toLowerCase() === "d") {
      void write(fill(range, "down", textAt));
    } else if (command && event.key.toLowerCase() === "r") {
      void write(fill(range, "right", textAt));
    } else if (!command && !event.altKey && event.key.length === 1 && event.key !== " ") {
      setEditing(event.key);
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  };
  const onCopy = (event: ClipboardEvent) => {
    if (editing === undefined) {
      event.preventDefault();
      event.clipboardData.setData("text/plain", toClipboard(range, textAt));
    }
  };
  const onPaste = (event: ClipboardEvent) => {
    if (editing === undefined) {
      event.preventDefault();
      const cells = fromClipboard(event.clipboardData.getData("text/plain"), range, rows.length, columns.length);
      void write(cells);
    }
  };

  const shown = scrolls === undefined ? lines.map((_, index) => ({ index, start: 0 })) : drawn.getVirtualItems();
  const below = scrolls === undefined ? 0 : drawn.getTotalSize() - (drawn.getVirtualItems().at(-1)?.end ?? 0);
  return (
    <div onKeyDown={onKeyDown} onCopy={onCopy} onPaste={onPaste}>
      {problem && (
        <p role="alert" className="text-fails">
          {problem}
        </p>
      )}
      <div ref={frame} className="overflow-auto" style={scrolls === undefined ? undefined : { maxHeight: scrolls }}>
        <table
          ref={grid}
          role="grid"
          aria-label={label}
          aria-multiselectable
          aria-rowcount={rows.length + 1}
          className="border-separate border-spacing-0"
        >
          <thead className={scrolls === undefined ? undefined : "sticky top-0 z-20 bg-ground"}>
            <tr>
              <td className={`min-w-52 ${scrolls === undefined ? "" : "sticky left-0 z-20 bg-ground"}`} />
              {columns.map((c) => (
                <th key={c.id} scope="col" className={`p-1 text-left font-normal ${c.width ?? "min-w-36"}`}>
                  {c.heading}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {gap(shown[0]?.start ?? 0)}
            {shown.map(({ index }) => {
              const line = lines[index];
              if (!line) {
                return null;
              }
              if (line.row === undefined) {
                return (
                  <tr key={`group ${line.group}`}>
                    <th
                      colSpan={columns.length + 1}
                      scope="rowgroup"
                      className="sticky left-0 h-[25px] border-b-2 border-ink text-left text-plum"
                    >
                      {line.group}
                    </th>
                  </tr>
                );
              }
              const { row } = line;
              const r = rows[row];
              return r ? (
                <tr key={r.id} aria-rowindex={row + 2}>
                  <th
                    scope="row"
                    className={`border-b border-rule py-0.5 pr-3 text-left font-normal whitespace-nowrap ${scrolls === undefined ? "" : "sticky left-0 z-10 bg-ground"}`}
                  >
                    {r.heading}
                  </th>
                  {columns.map((c, column) => (
                    <Cell
                      key={c.id}
                      place={{ row, column }}
                      name={`${r.name}, ${c.name}`}
                      text={textAt({ row, column })}
                      strong={strong({ row, column })}
                      right={c.right === true}
                      selected={
                        row >= range.top && row <= range.bottom && column >= range.left && column <= range.right
                      }
                      focused={focus.row === row && focus.column === column}
                      editing={focus.row === row && focus.column === column ? editing : undefined}
                      onEditing={setEditing}
                      onLeave={() => void finish(undefined)}
                      onPick={(extend) => go({ row, column }, extend)}
                      onSweep={() => go({ row, column }, true)}
                    />
                  ))}
                </tr>
              ) : null;
            })}
            {gap(below)}
          </tbody>
          {footer && <tfoot>{footer}</tfoot>}
        </table>
      </div>
    </div>
  );
}

/** What is drawn in order: rows, and the names of groups before their first. */
function linesOf(rows: Props["rows"]): readonly { readonly row?: number; readonly group?: string }[] {
  return rows.flatMap((r, row) =>
    r.group !== undefined && r.group !== rows[row - 1]?.group ? [{ group: r.group }, { row }] : [{ row }],
  );
}

const gap = (height: number) =>
  height > 0 ? (
    <tr aria-hidden>
      <td style={{ height }} />
    </tr>
  ) : null;

const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-10, 0],
  PageDown: [10, 0],
  Home: [0, -999],
  End: [0, 999],
};

function editKey(event: KeyboardEvent, at: Place, finish: (then: Place) => Promise<void>, cancel: () => void): void {
  const then: Readonly<Record<string, Place>> = {
    Enter: { row: at.row + (event.shiftKey ? -1 : 1), column: at.column },
    Tab: { row: at.row, column: at.column + (event.shiftKey ? -1 : 1) },
  };
  const next = then[event.key];
  if (next) {
    event.preventDefault();
    void finish(next);
  } else if (event.key === "Escape") {
    event.preventDefault();
    cancel();
  }
  event.stopPropagation();
}

function fill(range: Range, way: "down" | "right", textAt: (place: Place) => string): Written[] {
  return places(range)
    .filter((p) => (way === "down" ? p.row > range.top : p.column > range.left))
    .map((p) => ({
      ...p,
      text: textAt(way === "down" ? { row: range.top, column: p.column } : { row: p.row, column: range.left }),
    }));
}

function Cell({
  place,
  name,
  text,
  strong,
  right,
  selected,
  focused,
  editing,
  onEditing,
  onLeave,
  onPick,
  onSweep,
}: {
  readonly place: Place;
  readonly name: string;
  readonly text: string;
  readonly strong: boolean;
  readonly right: boolean;
  readonly selected: boolean;
  readonly focused: boolean;
  readonly editing: string | undefined;
  readonly onEditing: (text: string) => void;
  readonly onLeave: () => void;
  readonly onPick: (extend: boolean) => void;
  readonly onSweep: () => void;
}) {
  const entry: RefObject<HTMLInputElement | null> = useRef(null);
  const open = editing !== undefined;
  useEffect(() => {
    if (open) {
      entry.current?.focus();
      entry.current?.setSelectionRange(entry.current.value.length, entry.current.value.length);
    }
  }, [open]);
  return (
    <td
      role="gridcell"
      data-place={`${place.row}/${place.column}`}
      aria-label={`${name}: ${text}`}
      aria-selected={selected}
      tabIndex={focused && !open ? 0 : -1}
      className={`max-w-72 truncate border-r border-b border-rule px-2 py-0.5 font-mono text-[12.5px] select-none ${right ? "text-right" : ""} ${selected ? "bg-plum-wash" : "bg-card"} ${strong ? "font-bold" : "text-soft"}`}
      onMouseDown={(e) => {
        if (!open) {
          e.preventDefault();
          onPick(e.shiftKey);
        }
      }}
      onMouseEnter={(e) => e.buttons === 1 && onSweep()}
      onDoubleClick={() => onEditing(text)}
    >
      {open ? (
        <input
          ref={entry}
          aria-label={name}
          className="entry font-mono font-normal text-ink select-text"
          value={editing}
          onChange={(e) => onEditing(e.target.value)}
          onBlur={onLeave}
        />
      ) : (
        text
      )}
    </td>
  );
}
