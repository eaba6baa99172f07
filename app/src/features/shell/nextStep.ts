import type { DrivePoint, DrivePointFigures, Specification } from "../../api/client";
import { fields } from "../../fields/table";
import type { Row } from "../board/selection";

/** What can be done about a step. */
export type StepAction =
  | { readonly kind: "add" | "import" | "templates" }
  | { readonly kind: "entry"; readonly name: string }
  | { readonly kind: "size"; readonly points: readonly string[] }
  | { readonly kind: "protect"; readonly points: readonly string[] }
  | { readonly kind: "cell"; readonly point: string; readonly row: Row };

/** What comes next in a stage: a sentence, and what does it. */
export interface Step {
  readonly says: string;
  readonly actions: readonly StepAction[];
}

const many = (count: number, one: string, more: string) => (count === 1 ? `1 ${one}` : `${count} ${more}`);

/**
 * The next step in a stage of the work; undefined where the stage asks for nothing more. What fails is the ledger's, not
 * told here. Figures give lengths that follow from trays.
 */
export function nextStep(
  stage: string,
  specification: Specification,
  figures: readonly DrivePointFigures[] = [],
): Step | undefined {
  const points = specification.lineups.flatMap((l) => l.drivePoints);
  if (stage === "Plant") {
    return plantStep(specification);
  }
  if (points.length === 0) {
    return ["Loads", "Motors", "Converters", "Cables", "Energy", "Harmonics", "Sheets"].includes(stage)
      ? {
          says: "Nothing is driven yet: add a drive point, take one like a template, or take a whole drive list.",
          actions: [{ kind: "add" }, { kind: "templates" }, { kind: "import" }],
        }
      : undefined;
  }
  switch (stage) {
    case "Loads":
      return loads(points);
    case "Motors":
      return chosen(points, "motor", "motor");
    case "Converters":
      return chosen(points, "converter", "converter or starter");
    case "Cables":
      return cables(points, specification.cables != null, new Map(figures.map((f) => [f.drivePointId, f.cableM])));
    case "Energy":
      return energy(points);
    default:
      return undefined;
  }
}

function plantStep({ source: { strength } }: Specification): Step | undefined {
  const entry =
    strength.kind === "not-stated"
      ? "Strength"
      : strength.kind === "fault-level" && strength.shortCircuitMva === null
        ? fields.SourceStrengthFaultLevel.shortCircuitMva.name
        : strength.kind === "generator" && strength.ratedKva === null
          ? fields.SourceStrengthGenerator.ratedKva.name
          : undefined;
  return entry === undefined
    ? undefined
    : {
        says: "State how strong the connection is: fault currents, dips and harmonics rest on it. The network operator tells the short-circuit power.",
        actions: [{ kind: "entry", name: entry }],
      };
}

const hasLoad = (point: DrivePoint) => point.load.kind !== "unspecified";

function loads(points: readonly DrivePoint[]): Step | undefined {
  const open = points.find((p) => !hasLoad(p));
  return open && { says: `Say what ${open.tag} drives.`, actions: [{ kind: "cell", point: open.id, row: "load" }] };
}

function chosen(points: readonly DrivePoint[], part: "motor" | "converter", name: string): Step | undefined {
  const open = points.filter((p) => p[part].kind === "not-chosen");
  const [first] = open;
  if (!first) {
    return undefined;
  }
  const unloaded = open.find((p) => !hasLoad(p));
  return unloaded && open.every((p) => !hasLoad(p))
    ? {
        says: `${unloaded.tag} has no ${name}; what it drives comes first.`,
        actions: [{ kind: "cell", point: unloaded.id, row: "load" }],
      }
    : {
        says: `${many(open.length, "drive point has", "drive points have")} no ${name}: type the size in its cell, or let the best that fits be chosen.`,
        actions: [
          { kind: "size", points: open.filter(hasLoad).map((p) => p.id) },
          { kind: "cell", point: first.id, row: part },
        ],
      };
}

function cables(
  points: readonly DrivePoint[],
  areLaid: boolean,
  byTrays: ReadonlyMap<string, number | null | undefined>,
): Step | undefined {
  const open = points.filter((p) => (p.cable.lengthM ?? byTrays.get(p.id)) == null || p.cable.crossSectionMm2 === null);
  const [first] = open;
  if (!first) {
    return undefined;
  }
  const lacks = `${many(open.length, "motor cable lacks", "motor cables lack")} length or cross-section`;
  const cell: StepAction = { kind: "cell", point: first.id, row: "cable" };
  const sizeable = open.filter((p) => (p.cable.lengthM ?? byTrays.get(p.id)) != null);
  if (sizeable.length === 0) {
    return { says: `${lacks}.`, actions: [cell] };
  }
  return areLaid || sizeable.every((p) => p.cable.installation != null)
    ? {
        says: `${lacks}: where the length is known, devices and the smallest sections that hold can be proposed.`,
        actions: [{ kind: "protect", points: sizeable.map((p) => p.id) }, cell],
      }
    : {
        says: `${lacks}. Say once how cables of this plant are laid: then sections can be proposed.`,
        actions: [{ kind: "entry", name: "Cables of this plant" }, cell],
      };
}

function energy(points: readonly DrivePoint[]): Step | undefined {
  const open = points.filter((p) => hasLoad(p) && dutyOf(p).length === 0);
  const [first] = open;
  return (
    first && {
      says: `${many(open.length, "drive point has", "drive points have")} no hours of the year: without them nothing is said of energy and cost.`,
      actions: [{ kind: "cell", point: first.id, row: "load" }],
    }
  );
}

function dutyOf({ load }: DrivePoint): readonly unknown[] {
  return "common" in load ? load.common.duty : "duty" in load ? load.duty : [];
}
