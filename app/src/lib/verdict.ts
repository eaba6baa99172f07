import type { Check, CheckKey, Verdict } from "../api/client";

/** The words of verdicts. */
export const verdictWords: Readonly<Record<Verdict, string>> = {
  holds: "Holds",
  tight: "Tight",
  fails: "Fails",
  "needs-data": "Needs data",
  "not-applicable": "Not applicable",
};

const severity: Readonly<Record<Verdict, number>> = {
  fails: 0,
  tight: 1,
  "needs-data": 2,
  holds: 3,
  "not-applicable": 4,
};

/** Whether a verdict calls for attention before another. */
export const isWorse = (verdict: Verdict, than: Verdict): boolean => severity[verdict] < severity[than];

/** The verdict that calls for attention first. */
export function worst(verdicts: readonly Verdict[]): Verdict | undefined {
  return verdicts.reduce<Verdict | undefined>(
    (found, next) => (found === undefined || isWorse(next, found) ? next : found),
    undefined,
  );
}

/** How much of its limit a check uses, 0 to about 1 and beyond when it fails; undefined without a figure. */
export function usage(check: Check): number | undefined {
  if (check.figure === null || check.limit === null) {
    return undefined;
  }
  const part = check.sense === "at-most" ? check.figure / check.limit : check.limit / check.figure;
  return Number.isFinite(part) ? Math.max(part, 0) : 1;
}

/** The key of a check as text. */
export const checkKey = (check: CheckKey): string => `${check.id}/${check.drivePointId}/${check.elementId}`;

/** Whether two checks judge the same. */
export const isSame = (one: CheckKey, other: CheckKey): boolean =>
  one.id === other.id && one.drivePointId === other.drivePointId && one.elementId === other.elementId;
