import type { Check, Verdict } from "../../api/client";

const order = ["fails", "needs-data", "tight", "holds", "not-applicable"] as const;

/** The verdict that matters most among the checks of an element. */
export function verdictOfElement(checks: readonly Check[], id: string): Verdict {
  const verdicts = checks.filter((c) => c.elementId === id).map((c) => c.verdict);
  return order.find((v) => verdicts.includes(v)) ?? "needs-data";
}
