import type { Verdict } from "../api/client";

const colours: Readonly<Record<Verdict, string>> = {
  holds: "var(--color-holds)",
  tight: "var(--color-tight)",
  fails: "var(--color-fails)",
  "needs-data": "var(--color-soft)",
  "not-applicable": "var(--color-soft)",
};

/** How much of its limit a check uses, and where it stood before the last edit. */
export function MarginBar({
  verdict,
  used,
  before,
}: {
  readonly verdict: Verdict;
  readonly used: number | undefined;
  readonly before?: number | undefined;
}) {
  const clip = (part: number) => `${Math.min(part, 1) * 100}%`;
  return (
    <span className="relative block h-[3px] w-full bg-track" aria-hidden>
      {used !== undefined && (
        <span className="moves absolute inset-y-0 left-0" style={{ width: clip(used), background: colours[verdict] }} />
      )}
      {before !== undefined && used !== undefined && Math.abs(before - used) > 0.002 && (
        <span className="absolute -inset-y-[3px] w-[2px] bg-ink" style={{ left: clip(before) }} />
      )}
    </span>
  );
}
