import { replaceEqualDeep } from "@tanstack/react-query";
import type { Check, Project } from "../api/client";

const keyOf = (c: Check) => `${c.id} ${c.drivePointId} ${c.elementId} ${c.scenario} ${c.row}`;

// By what they judge: they stand in the order of their margins, which moves.
function sharedChecks(before: readonly Check[], after: readonly Check[]): readonly Check[] {
  const had = new Set(before);
  if (after.every((c) => had.has(c))) {
    return after;
  }
  const has = new Set(after);
  const known = new Map(before.filter((c) => !has.has(c)).map((c) => [keyOf(c), c]));
  return after.map((c) => (had.has(c) ? c : replaceEqualDeep(known.get(keyOf(c)), c)));
}

/** The newer project; what of it is equal to the older one is the same object, so that it is not drawn again. */
export function sharedProject(older: unknown, newer: unknown): unknown {
  if (older === undefined) {
    return newer;
  }
  const [before, after] = [older as Project, newer as Project];
  return {
    ...after,
    specification: replaceEqualDeep(before.specification, after.specification),
    assessment: {
      ...replaceEqualDeep({ ...before.assessment, checks: [] }, { ...after.assessment, checks: [] }),
      checks: sharedChecks(before.assessment.checks, after.assessment.checks),
    },
  };
}
