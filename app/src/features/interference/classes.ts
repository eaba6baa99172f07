import type { RouteRow } from "../../api/client";

/** Class of a cable. */
export type CableClass = RouteRow["class"];

/** A class by word, stroke and dash: never by colour alone. */
export const classLooks: Readonly<
  Record<CableClass, { readonly words: string; readonly dash?: string; readonly colour: string }>
> = {
  noisy: { words: "noisy", colour: "#6b2e5f" },
  supply: { words: "supply", dash: "10 4", colour: "#1f1b24" },
  sensitive: { words: "sensitive", dash: "4 3", colour: "#33638f" },
  "very-sensitive": { words: "very sensitive", dash: "1.5 3", colour: "#33638f" },
};

/** Classes in the order of their strokes on a tray. */
export const classOrder: readonly CableClass[] = ["noisy", "supply", "sensitive", "very-sensitive"];
