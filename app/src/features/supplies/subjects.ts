import type { Check, DrivePoint, Lineup, Specification } from "../../api/client";
import { stepUpPoints } from "./longCable";
import { onePhaseLineups } from "./onePhase";
import { sunPoints } from "./supplies";

interface Common {
  readonly id: string;
  readonly name: string;
  /** Checks that tell of it. */
  readonly owns: (check: Check) => boolean;
}

/** What a page of Supplies is about. */
export type Subject =
  | (Common & { readonly job: "sun" | "long-cable"; readonly point: DrivePoint })
  | (Common & { readonly job: "one-phase"; readonly lineup: Lineup })
  | (Common & { readonly job: "generator" });

const ofPoint =
  (point: DrivePoint, family: string) =>
  (check: Check): boolean =>
    check.drivePointId === point.id && check.id.startsWith(family);

/** All of a plant, in the order of its board; the generator last. */
export function subjectsOf(s: Specification): readonly Subject[] {
  const isFed = s.standby ?? (s.source.strength.kind === "generator" ? s.source : undefined);
  return [
    ...sunPoints(s).map((point) => ({
      job: "sun" as const,
      id: point.id,
      point,
      name: `${point.tag} ${point.name}, sun`,
      owns: ofPoint(point, "pv."),
    })),
    ...stepUpPoints(s).map((point) => ({
      job: "long-cable" as const,
      id: point.id,
      point,
      name: `${point.tag} ${point.name}, long cable`,
      owns: ofPoint(point, "long-cable."),
    })),
    ...onePhaseLineups(s).map((lineup) => ({
      job: "one-phase" as const,
      id: lineup.id,
      lineup,
      name: `${lineup.tag} ${lineup.name}, one phase`,
      owns: (c: Check) =>
        c.id.startsWith("single-phase.") &&
        (c.elementId === lineup.id || lineup.drivePoints.some((p) => p.id === c.drivePointId)),
    })),
    ...(isFed
      ? [{ job: "generator" as const, id: "generator", name: "Generator", owns: (c: Check) => isOfGenerator(c.id) }]
      : []),
  ];
}

/** Checks that a generator answers for. */
export const isOfGenerator = (id: string): boolean => id.startsWith("supply.generator") || id === "supply.change-over";
