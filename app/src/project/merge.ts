/** A field that differs between two versions. */
export interface FieldChange {
  /** Path for people: names and tags where there are any. */
  readonly path: string;
  /** Keys from the top; list entries with an id are addressed by it. */
  readonly keys: readonly string[];
  readonly before: unknown;
  readonly after: unknown;
}

/** A field that both sides changed, differently. */
export interface Conflict {
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** Outcome of merging two versions that grew from one. */
export interface Merged<T> {
  readonly value: T;
  readonly mine: readonly FieldChange[];
  readonly conflicts: readonly Conflict[];
}

type Node = Record<string, unknown>;

/** Every field that differs, deepest level first named. */
export function changes(before: unknown, after: unknown): FieldChange[] {
  const found: FieldChange[] = [];
  walk(before, after, [], [], found);
  return found;
}

/**
 * Three-way merge by field: what only one side changed is taken from it; where both changed the same field, `prefer`
 * decides and the conflict is listed.
 */
export function merge<T>(base: T, mine: T, theirs: T, prefer: "mine" | "theirs" = "mine"): Merged<T> {
  const conflicts: Conflict[] = [];
  const value = mergeNode(base, mine, theirs, prefer, [], conflicts) as T;
  return { value, mine: changes(base, mine), conflicts };
}

function mergeNode(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  prefer: "mine" | "theirs",
  path: string[],
  conflicts: Conflict[],
): unknown {
  if (same(mine, theirs) || same(base, theirs)) {
    return mine;
  }
  if (same(base, mine)) {
    return theirs;
  }
  if (isKeyed(base) && isKeyed(mine) && isKeyed(theirs)) {
    return mergeKeyed(base, mine, theirs, prefer, path, conflicts);
  }
  if (
    isNode(base) &&
    isNode(mine) &&
    isNode(theirs) &&
    base["kind"] === mine["kind"] &&
    mine["kind"] === theirs["kind"]
  ) {
    const result: Node = {};
    for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
      result[key] = mergeNode(base[key], mine[key], theirs[key], prefer, [...path, key], conflicts);
    }
    return result;
  }
  conflicts.push({ path: path.join(" › "), mine, theirs });
  return prefer === "mine" ? mine : theirs;
}

// Lists whose entries have ids: entries are matched by id; order follows the side that changed it.
function mergeKeyed(
  base: Node[],
  mine: Node[],
  theirs: Node[],
  prefer: "mine" | "theirs",
  path: string[],
  conflicts: Conflict[],
): Node[] {
  const byId = (list: Node[]) => new Map(list.map((entry) => [keyOf(entry), entry]));
  const [b, m, t] = [byId(base), byId(mine), byId(theirs)];
  const reordered = !same(
    [...b.keys()],
    [...m.keys()].filter((id) => b.has(id)),
  );
  const [first, second] = reordered ? [m, t] : [t, m];
  const result: Node[] = [];
  for (const id of new Set([...first.keys(), ...second.keys()])) {
    const [was, my, their] = [b.get(id), m.get(id), t.get(id)];
    const name = nameOf(my ?? their ?? {}, String(id));
    if (my && their) {
      result.push(mergeNode(was ?? {}, my, their, prefer, [...path, name], conflicts) as Node);
    } else if (!was) {
      result.push((my ?? their) as Node);
    } else if (my ? !same(was, my) : !same(was, their)) {
      // One side removed what the other changed.
      conflicts.push({
        path: [...path, name].join(" › "),
        mine: my ? "changed" : "removed",
        theirs: their ? "changed" : "removed",
      });
      const kept = prefer === "mine" ? my : their;
      if (kept) {
        result.push(kept);
      }
    }
  }
  return result;
}

function walk(before: unknown, after: unknown, keys: string[], names: string[], found: FieldChange[]): void {
  if (same(before, after)) {
    return;
  }
  if (isKeyed(before) && isKeyed(after)) {
    const old = new Map(before.map((entry) => [keyOf(entry), entry]));
    const now = new Map(after.map((entry) => [keyOf(entry), entry]));
    for (const id of new Set([...old.keys(), ...now.keys()])) {
      const name = nameOf(now.get(id) ?? old.get(id) ?? {}, String(id));
      if (old.has(id) && now.has(id)) {
        walk(old.get(id), now.get(id), [...keys, String(id)], [...names, name], found);
      } else {
        found.push({
          path: [...names, name].join(" › "),
          keys: [...keys, String(id)],
          before: old.has(id) ? "present" : "absent",
          after: now.has(id) ? "present" : "absent",
        });
      }
    }
    if (
      !same(
        [...old.keys()].filter((k) => now.has(k)),
        [...now.keys()].filter((k) => old.has(k)),
      )
    ) {
      found.push({
        path: [...names, "order"].join(" › "),
        keys: [...keys, "order"],
        before: "as before",
        after: "changed",
      });
    }
    return;
  }
  if (isNode(before) && isNode(after) && before["kind"] === after["kind"]) {
    for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
      walk(before[key], after[key], [...keys, key], [...names, key], found);
    }
    return;
  }
  found.push({ path: names.join(" › "), keys, before, after });
}

function isNode(value: unknown): value is Node {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

function isKeyed(value: unknown): value is Node[] {
  return Array.isArray(value) && value.every((entry) => isNode(entry) && keyOf(entry) !== undefined);
}

function keyOf(entry: Node): unknown {
  return entry["id"] ?? entry["key"] ?? entry["drivePointId"];
}

function nameOf(entry: Node, fallback: string): string {
  const { tag, name } = entry;
  return typeof tag === "string" ? tag : typeof name === "string" ? name : fallback;
}

function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) {
    return true;
  }
  if (Array.isArray(a) && Array.isArray(b)) {
    return a.length === b.length && a.every((entry, i) => same(entry, b[i]));
  }
  if (isNode(a) && isNode(b)) {
    const keys = Object.keys(a);
    return keys.length === Object.keys(b).length && keys.every((key) => key in b && same(a[key], b[key]));
  }
  return false;
}
