import { useEffect, useRef } from "react";
import type { Outcome } from "./draft";

/**
 * A list whose entries are typed faster than they are saved: each change builds on the one before, not on what the screen
 * showed when it began; one that is refused is taken back.
 */
export function useList<T>(list: readonly T[], onChange: (list: T[]) => Promise<Outcome>) {
  const now = useRef(list);
  const shown = useRef(list);
  const pending = useRef(0);
  useEffect(() => {
    shown.current = list;
    if (pending.current === 0) {
      now.current = list;
    }
  }, [list]);
  return async (change: (list: readonly T[]) => readonly T[]): Promise<Outcome> => {
    now.current = change(now.current);
    pending.current++;
    try {
      const outcome = await onChange([...now.current]);
      if (outcome !== undefined) {
        now.current = shown.current;
      }
      return outcome;
    } finally {
      pending.current--;
    }
  };
}
