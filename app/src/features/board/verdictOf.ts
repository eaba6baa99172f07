import type { Candidate, Verdict } from "../../api/client";

/** How a candidate stands, in the words of the checks. */
export function verdictOf({ fits, needsData, usagePct }: Candidate): Verdict {
  return fits ? (usagePct > 90 ? "tight" : "holds") : needsData ? "needs-data" : "fails";
}
