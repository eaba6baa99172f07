import { memo, type MouseEvent } from "react";
import type { Verdict } from "../../api/client";
import { MarginBar } from "../../components/MarginBar";
import { VerdictMark } from "../../components/VerdictMark";
import { verdictWords } from "../../lib/verdict";
import { cellId, type Row } from "./selection";

/** How a click widens the selection: to this column, by this one, or not at all. */
export type Extend = "to" | "one" | undefined;

interface Props {
  readonly point: string;
  readonly tag: string;
  readonly row: Row;
  readonly choice: string;
  readonly detail: string;
  readonly more: string | undefined;
  readonly verdict: Verdict | undefined;
  readonly title: string | undefined;
  readonly used: number | undefined;
  readonly before: number | undefined;
  readonly focused: boolean;
  readonly selected: boolean;
  readonly onPick: (point: string, row: Row, extend: Extend) => void;
}

/** A cell as it is drawn: the choice in two lines, the tightest margin as a bar, its verdict as a shape. Drawn again when one of these
 * changes, not when a figure behind them does. */
export const CellFace = memo(function CellFace({
  point,
  tag,
  row,
  choice,
  detail,
  more,
  verdict,
  title,
  used,
  before,
  focused,
  selected,
  onPick,
}: Props) {
  const ring = focused ? "border-plum ring-2 ring-plum" : selected ? "border-plum bg-plum-wash" : "border-rule";
  const judged = verdict && `${verdictWords[verdict]}: ${title ?? ""}`;
  return (
    <div className="w-[140px] shrink-0 pr-1.5 pl-0.5">
      <button
        type="button"
        role="gridcell"
        id={cellId(point, row)}
        data-point={point}
        data-row={row}
        tabIndex={focused ? 0 : -1}
        aria-selected={selected}
        aria-label={`${tag} ${row}: ${[choice, detail, more, judged].filter(Boolean).join(", ")}`}
        title={[more && `${detail}: ${more}`, judged].filter(Boolean).join("\n") || undefined}
        onClick={(event: MouseEvent) =>
          onPick(point, row, event.shiftKey ? "to" : event.ctrlKey || event.metaKey ? "one" : undefined)
        }
        className={`block h-[50px] w-full rounded border bg-card px-2 py-1 text-left outline-none ${ring}`}
      >
        <span className="block truncate text-[12.5px] font-semibold leading-4">{choice}</span>
        <span className="block truncate text-[11.5px] leading-4 text-soft">{detail}</span>
        <span className="mt-[3px] flex items-center gap-1.5">
          {verdict ? (
            <>
              <MarginBar verdict={verdict} used={used} before={before} />
              <VerdictMark verdict={verdict} size={9} />
            </>
          ) : (
            <span className="h-[3px]" />
          )}
        </span>
      </button>
    </div>
  );
});
