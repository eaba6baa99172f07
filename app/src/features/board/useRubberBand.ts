import { useEffect, useRef, useState, type PointerEvent } from "react";
import type { Row, Selection } from "./selection";

/** A rectangle on the page, px. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** A cell of the board and where it is. */
export interface PlacedCell extends Box {
  readonly point: string;
  readonly row: Row;
}

/** The columns that a box touches, in the order of the cells; the row is the cell's in which it began, else the first touched. */
export function caught(cells: readonly PlacedCell[], box: Box, begin: { x: number; y: number }): Selection | undefined {
  const touched = cells.filter(
    (c) => c.left < box.right && c.right > box.left && c.top < box.bottom && c.bottom > box.top,
  );
  const [first] = touched;
  if (!first) {
    return undefined;
  }
  const at = touched.find((c) => c.left <= begin.x && c.right >= begin.x && c.top <= begin.y && c.bottom >= begin.y);
  const { point, row } = at ?? first;
  return { point, row, columns: [...new Set(touched.map((c) => c.point))] };
}

// Less than that is a click with an unsteady hand.
const leastPx = 6;

/** Drawing a box over the board selects the columns that it touches. */
export function useRubberBand(onSelect: (selection: Selection) => void) {
  const [box, setBox] = useState<Box>();
  const latest = useRef(onSelect);
  useEffect(() => {
    latest.current = onSelect;
  });
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    const frame = event.currentTarget;
    const on = event.target as HTMLElement;
    const control = on.closest("button, input, select, a, textarea");
    if (
      event.button !== 0 ||
      event.pointerType === "touch" ||
      event.shiftKey ||
      event.ctrlKey ||
      event.metaKey ||
      (control !== null && control.getAttribute("role") !== "gridcell")
    ) {
      return;
    }
    const begin = { x: event.clientX, y: event.clientY };
    let now: Box | undefined;
    const move = (e: globalThis.PointerEvent) => {
      if (now || Math.hypot(e.clientX - begin.x, e.clientY - begin.y) >= leastPx) {
        now = {
          left: Math.min(begin.x, e.clientX),
          top: Math.min(begin.y, e.clientY),
          right: Math.max(begin.x, e.clientX),
          bottom: Math.max(begin.y, e.clientY),
        };
        setBox(now);
        window.getSelection()?.removeAllRanges();
      }
    };
    const end = () => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", end);
      window.removeEventListener("pointercancel", end);
      setBox(undefined);
      const found = now && caught(cellsOf(frame), now, begin);
      if (found) {
        // The click that may follow would select one cell alone.
        const swallow = (e: MouseEvent) => e.stopPropagation();
        window.addEventListener("click", swallow, { capture: true, once: true });
        setTimeout(() => window.removeEventListener("click", swallow, { capture: true }), 0);
        latest.current(found);
      }
    };
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", end);
    window.addEventListener("pointercancel", end);
  };
  return { box, onPointerDown };
}

function cellsOf(frame: HTMLElement): PlacedCell[] {
  return [...frame.querySelectorAll<HTMLElement>("[role=gridcell]")].map((cell) => {
    const { left, top, right, bottom } = cell.getBoundingClientRect();
    return { left, top, right, bottom, point: cell.dataset.point ?? "", row: cell.dataset.row as Row };
  });
}
