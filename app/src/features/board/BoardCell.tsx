import { memo } from "react";
import type { Check, DrivePoint, DrivePointFigures } from "../../api/client";
import { usage } from "../../lib/verdict";
import type { Units } from "../../fields/useUnits";
import { CellFace, type Extend } from "./CellFace";
import { cellText, type Items } from "./cellText";
import type { Row } from "./selection";

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

/** One cell. What it says is worked out here: of a thousand cells few change at an edit. */
export const BoardCell = memo(function BoardCell({ point, row, figures, items, units, check, before, ...rest }: Props) {
  const { choice, detail, more } = cellText(row, point, figures, items, units);
  const used = check && usage(check);
  return (
    <CellFace
      point={point.id}
      tag={point.tag}
      row={row}
      choice={choice}
      detail={detail}
      more={more}
      verdict={check?.verdict}
      title={check?.title}
      used={used === undefined ? undefined : seen(used)}
      before={before === undefined || used === undefined || seen(before) === seen(used) ? undefined : seen(before)}
      {...rest}
    />
  );
});

// Currents of all drive points move in their last digit when one is changed; no bar shows less than this.
const seen = (part: number): number => Math.round(part * 1000) / 1000;
