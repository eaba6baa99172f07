import { createContext, useContext } from "react";
import type { Assessment, PlantCommand, Project, Specification, Stale, TakeList } from "../api/client";
import type { Outcome } from "../components/draft";

/** Changes a specification; undefined when there is nothing to change. */
export type Change = (specification: Specification) => Specification | undefined;

/** A refused write, to be merged or dropped. */
export interface Conflict {
  readonly label: string;
  readonly mine: Specification;
  readonly stale: Stale;
}

/** What the views of a project share. */
export interface ProjectAccess {
  readonly project: Project;
  /** Assessment before the last edit, to show how margins moved. */
  readonly before: Assessment | undefined;
  readonly conflict: Conflict | undefined;
  /** Saves a change at once; the answer says why it was refused. */
  readonly edit: (label: string, change: Change) => Promise<Outcome>;
  /** Has commands carried out, all of them or none; keys of what they created. A refusal is shown as a notice. */
  readonly run: (...commands: readonly PlantCommand[]) => Promise<readonly string[]>;
  /** Takes the good rows of a drive list as one edit; the answer says why it was refused. */
  readonly takeList: (list: Omit<TakeList, "basedOn" | "who">) => Promise<Outcome>;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Takes the other side's version, or saves a merged one. */
  readonly settle: (merged: Specification | undefined) => Promise<Outcome>;
  /** A message that concerns no single field. */
  readonly notice: string | undefined;
  readonly dismiss: () => void;
}

export const ProjectContext = createContext<ProjectAccess | undefined>(undefined);

/** True while an edit is on its way; apart from the rest, so that the board is not drawn again for it. */
export const SavingContext = createContext(false);

/** The project in view. */
export function useProject(): ProjectAccess {
  const access = useContext(ProjectContext);
  if (!access) {
    throw new Error("There is no project around this component.");
  }
  return access;
}
