import type { Verdict } from "../api/client";
import { verdictWords } from "../lib/verdict";

/** The shape of a verdict. The word stands beside it, or is its label. */
export function VerdictMark({
  verdict,
  labelled = false,
  size = 12,
}: {
  readonly verdict: Verdict;
  readonly labelled?: boolean;
  readonly size?: number;
}) {
  const label = labelled ? { role: "img", "aria-label": verdictWords[verdict] } : { "aria-hidden": true };
  return (
    <svg width={size} height={size} viewBox="0 0 12 12" className="shrink-0" {...label}>
      {shape(verdict)}
    </svg>
  );
}

function shape(verdict: Verdict) {
  switch (verdict) {
    case "holds":
      return <circle cx="6" cy="6" r="5" fill="var(--color-holds)" />;
    case "tight":
      return <path d="M6 .8 11.6 11H.4Z" fill="var(--color-tight)" />;
    case "fails":
      return (
        <>
          <rect x="1" y="1" width="10" height="10" fill="var(--color-fails)" />
          <path d="m3.6 3.6 4.8 4.8m0-4.8L3.6 8.4" stroke="white" strokeWidth="1.4" />
        </>
      );
    case "needs-data":
      return (
        <circle
          cx="6"
          cy="6"
          r="4.8"
          fill="none"
          stroke="var(--color-soft)"
          strokeWidth="1.4"
          strokeDasharray="2.4 1.6"
        />
      );
    case "not-applicable":
      return <path d="M2 6h8" stroke="var(--color-soft)" strokeWidth="1.4" />;
  }
}

/** Shape and word. */
export function VerdictWord({ verdict }: { readonly verdict: Verdict }) {
  return (
    <span className="inline-flex items-center gap-1.5 font-bold">
      <VerdictMark verdict={verdict} />
      {verdictWords[verdict]}
    </span>
  );
}
