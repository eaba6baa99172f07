import { createContext } from "react";
import type { Bench } from "../api/client";
import type { Field } from "./field";
import { fields } from "./table";

type AssumedEntry = Bench["assumed"][number];

/** What of a form is assumed, by the entry that it stands in. */
export interface Assumed {
  readonly of: ReadonlyMap<Field, AssumedEntry>;
  readonly confirm: (key: string) => void;
}

/** The entries that stand assumed in the form around; usually none. */
export const AssumedContext = createContext<Assumed>({ of: new Map(), confirm: () => undefined });

/** The entry that the server names as record and property. */
export function fieldAt(entry: string): Field | undefined {
  const [record = "", key = ""] = entry.split(".");
  return (fields as Readonly<Record<string, Readonly<Record<string, Field>>>>)[record]?.[key];
}

/** What is assumed, by entry. */
export const byField = (assumed: readonly AssumedEntry[]): ReadonlyMap<Field, AssumedEntry> =>
  new Map(assumed.flatMap((a) => (fieldAt(a.entry) ? [[fieldAt(a.entry) as Field, a] as const] : [])));
