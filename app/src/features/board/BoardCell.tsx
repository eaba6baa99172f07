import { memo, type MouseEvent } from "react";
import type { Check, DrivePoint, DrivePointFigures } from "../../api/client";
import { MarginBar } from "../../components/MarginBar";
import { VerdictMark } from "../../components/VerdictMark";
import { usage, verdictWords } from "../../lib/verdict";
import type { Units } from "../../fields/useUnits";
import { cellText, type Items } from "./cellText";
import type { Row } from "./selection";

/** How a click widens the selection: to this column, by this one, or not at all. */
export type Extend = "to" | "one" | undefined;

interface Props {
  readonly point: DrivePoint;
  readonly row: Row;
  readonly figures: DrivePointFigures | undefined;
  readonly items: Items;
  readonly units: Units;
  readonly check: Check | undefined;
  readonly before: number | undefined;
  readonly focused: boolean;
  readonly selected: boolean;
  readonly onPick: (point: string, row: Row, extend: Extend) => void;
}

/** One cell: the choice in two lines, the tightest margin as a bar, its verdict as a shape. */
export const BoardCell = memo(function BoardCell({
  point,
  row,
  figures,
  items,
  units,
  check,
  before,
  focused,
  selected,
  onPick,
}: Props) {
  // Worked out here: of a thousand cells few change at an edit.
  const { choice, detail, more } = cellText(row, point, figures, items, units);
  const ring = focused ? "border-plum ring-2 ring-plum" : selected ? "border-plum bg-plum-wash" : "border-rule";
  const verdict = check ? `${verdictWords[check.verdict]}: ${check.title}` : undefined;
  return (
    <div className="w-[140px] shrink-0 pr-1.5 pl-0.5">
      <button
        type="button"
        role="gridcell"
        id={cellId(point.id, row)}
        data-point={point.id}
        data-row={row}
        tabIndex={focused ? 0 : -1}
        aria-selected={selected}
        aria-label={`${point.tag} ${row}: ${[choice, detail, more, verdict].filter(Boolean).join(", ")}`}
        title={[more && `${detail}: ${more}`, verdict].filter(Boolean).join("\n") || undefined}
        onClick={(event: MouseEvent) =>
          onPick(point.id, row, event.shiftKey ? "to" : event.ctrlKey || event.metaKey ? "one" : undefined)
        }
        className={`block h-[50px] w-full rounded border bg-card px-2 py-1 text-left outline-none ${ring}`}
      >
        <span className="block truncate text-[12.5px] font-semibold leading-4">{choice}</span>
        <span className="block truncate text-[11.5px] leading-4 text-soft">{detail}</span>
        <span className="mt-[3px] flex items-center gap-1.5">
          {check ? (
            <>
              <MarginBar verdict={check.verdict} used={usage(check)} before={before} />
              <VerdictMark verdict={check.verdict} size={9} />
            </>
          ) : (
            <span className="h-[3px]" />
          )}
        </span>
      </button>
    </div>
  );
});

/** Element id of a cell. */
export function cellId(point: string, row: Row): string {
  return `cell-${point}-${row}`;
}
