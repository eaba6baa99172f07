import type { KeyboardEvent } from "react";

/**
 * Keys of a column of buttons that is one stop of the Tab key: ↑ ↓, Home and End walk it. Its buttons carry `data-line`; the chosen one
 * has tabIndex 0, the others −1.
 */
export function lineKeys(event: KeyboardEvent<HTMLElement>) {
  const lines = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-line]")];
  const at = lines.indexOf(document.activeElement as HTMLElement);
  const to = {
    ArrowDown: Math.min(at + 1, lines.length - 1),
    ArrowUp: Math.max(at - 1, 0),
    Home: 0,
    End: lines.length - 1,
  }[event.key];
  if (at >= 0 && to !== undefined && !event.altKey && !event.ctrlKey && !event.metaKey) {
    event.preventDefault();
    lines[to]?.focus();
  }
}
