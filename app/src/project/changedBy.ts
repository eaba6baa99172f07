import type { Assessment, AssessmentChanges } from "../api/client";

interface ListChanges<T> {
  readonly gone: readonly number[];
  readonly at: readonly number[];
  readonly put: readonly T[];
}

/** A list with what has gone left out, then what is put where it says; what stays is the same object. */
export function changedList<T>(before: readonly T[], { gone, at, put }: ListChanges<T>): T[] {
  const after: T[] = [];
  let nextGone = 0;
  let nextPut = 0;
  const fill = () => {
    while (at[nextPut] === after.length) {
      after.push(...put.slice(nextPut, ++nextPut));
    }
  };
  before.forEach((item, i) => {
    if (gone[nextGone] === i) {
      nextGone++;
    } else {
      fill();
      after.push(item);
    }
  });
  fill();
  return after;
}

/** The assessment that follows from the one before by what differs. */
export function changedBy(before: Assessment, changed: AssessmentChanges): Assessment {
  return {
    ...before,
    ...changed,
    supply: changed.supply ?? null,
    checks: changedList(before.checks, changed.checks),
    drivePoints: changedList(before.drivePoints, changed.drivePoints),
  };
}
