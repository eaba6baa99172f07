/**
 * A part changed within what stands now, not within what the screen showed when it was typed; what has become of another kind
 * meanwhile stays.
 */
export function within<T extends { readonly kind: string }>(now: T, kind: T["kind"], part: object): T {
  return now.kind === kind ? { ...now, ...part } : now;
}

/** A part of a record, or what becomes of it from what stands when its turn comes: another edit may be on its way before it. */
export type PartOf<T> = Partial<T> | ((now: T) => Partial<T>);

/** The part for a record as it stands. */
export const partOf = <T>(now: T, part: PartOf<T>): Partial<T> => (typeof part === "function" ? part(now) : part);
