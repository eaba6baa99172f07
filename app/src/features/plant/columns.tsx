import type { ReactNode } from "react";
import { CellChoice } from "../../components/CellFields";
import type { Outcome } from "../../components/draft";
import { CellEntry } from "../../fields/Entries";
import type { Field } from "../../fields/field";
import { useProject } from "../../project/ProjectContext";
import type { Column } from "./ElementTable";

type Change<T> = (element: T, part: Partial<T>) => Promise<Outcome>;

/** A column by heading and what its cells show. */
export const shown = <T,>(heading: string, cell: (element: T) => ReactNode): Column<T> => ({ heading, cell });

/** Columns whose cells are fields: [heading, key, width]. An element that has not the field shows a dash. */
export const fieldColumns = <T extends { readonly name: string }>(
  of: (element: T) => Readonly<Record<string, Field>>,
  change: Change<T>,
  columns: readonly (readonly [heading: string, key: string, width?: string])[],
): Column<T>[] =>
  columns.map(([heading, key, width]) =>
    shown(heading, (element) => {
      const field = of(element)[key];
      return field ? (
        <CellEntry
          field={field}
          whose={element.name}
          {...(width === undefined ? {} : { width })}
          value={element[key as keyof T] as string | number | boolean | null}
          onCommit={(value: unknown) => change(element, { [key]: value } as Partial<T>)}
        />
      ) : (
        <span className="text-soft">–</span>
      );
    }),
  );

/** Buses by key with their names, for choices. */
export const useBusNames = (): Readonly<Record<string, string>> =>
  Object.fromEntries(useProject().project.specification.distribution.buses.map((b) => [b.id, b.name]));

/** Columns whose cells choose a bus: [heading, key, what a screen reader says before the element's name]. */
export const useBusColumns = <T extends { readonly name: string }>(
  change: Change<T>,
  columns: readonly (readonly [heading: string, key: keyof T & string, words: string])[],
): Column<T>[] => {
  const names = useBusNames();
  return columns.map(([heading, key, words]) =>
    shown(heading, (element) => (
      <CellChoice
        label={`${words} ${element.name}`}
        value={element[key] as string}
        choices={names}
        onCommit={(busId) => change(element, { [key]: busId } as unknown as Partial<T>)}
      />
    )),
  );
};
