/**
 * A part changed within what stands now, not within what the screen showed when it was typed; what has become of another kind
 * meanwhile stays.
 */
export function within<T extends { readonly kind: string }>(now: T, kind: T["kind"], part: object): T {
  return now.kind === kind ? { ...now, ...part } : now;
}
