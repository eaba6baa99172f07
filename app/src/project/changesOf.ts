import { compare, getValueByPointer, type Operation } from "fast-json-patch";
import type { Specification, SpecificationChange } from "../api/client";

/** A value as JSON has it, without what is undefined; what of it is equal to what is known is the same object. */
export function plain<T>(value: T, known?: unknown): T {
  if (value === known || typeof value !== "object" || value === null) {
    return value;
  }
  if (Array.isArray(value)) {
    const was: readonly unknown[] = Array.isArray(known) ? known : [];
    const made = value.map((item: unknown, i) => (item === undefined ? null : plain(item, was[i])));
    return (made.length === was.length && made.every((item, i) => item === was[i]) ? was : made) as T;
  }
  const was = (typeof known === "object" && known !== null && !Array.isArray(known) ? known : {}) as Record<
    string,
    unknown
  >;
  const made = Object.fromEntries(
    Object.entries(value).flatMap(([key, item]: [string, unknown]) =>
      item === undefined ? [] : [[key, plain(item, was[key])] as const],
    ),
  );
  const keys = Object.keys(made);
  return (
    keys.length === Object.keys(was).length && keys.every((key) => key in was && made[key] === was[key]) ? was : made
  ) as T;
}

/** What makes one specification of another; a long list of numbers that changed is one change. */
export function changesOf(before: Specification, after: Specification): SpecificationChange[] {
  const found = compare(before, after);
  const whole = found.length > longList ? longLists(found, before, after) : new Map<string, number[]>();
  const entry = (path: string) => whole.has(path.slice(0, path.lastIndexOf("/")));
  return [
    ...[...whole].map(([path, value]): SpecificationChange => ({ op: "replace", path, value })),
    ...found.filter((change) => !entry(change.path)).flatMap(changeOf),
  ];
}

// A year by hours is one entry, not thousands.
const longList = 500;

function longLists(found: readonly Operation[], before: Specification, after: Specification): Map<string, number[]> {
  const lists = new Map<string, number[]>();
  for (const parent of new Set(found.map((c) => c.path.slice(0, c.path.lastIndexOf("/"))))) {
    const [was, is] = [before, after].map((s) => getValueByPointer(s, parent) as unknown);
    if (Array.isArray(was) && Array.isArray(is) && Math.max(was.length, is.length) > longList) {
      lists.set(parent, is as number[]);
    }
  }
  return lists;
}

function changeOf(change: Operation): SpecificationChange[] {
  switch (change.op) {
    case "add":
    case "replace":
      return [{ op: change.op, path: change.path, value: change.value as SpecificationChange["value"] }];
    case "remove":
      return [{ op: change.op, path: change.path }];
    default:
      throw new Error(`A comparison never gives '${change.op}'.`);
  }
}
