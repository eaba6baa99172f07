import type { Catalogue, DrivePoint, Lineup, Specification } from "../api/client";
import { loadShare } from "./loadShare";
import { copyPoint, findPoint } from "./specification";

export type Arrangement = Lineup["arrangements"][number];
export type MotorGroup = Extract<Arrangement, { kind: "motor-group" }>;
export type SharedShaft = Extract<Arrangement, { kind: "shared-shaft" }>;
export type RatioFollower = Extract<Arrangement, { kind: "ratio-follower" }>;
type CatalogueChoice = Extract<DrivePoint["converter"], { kind: "catalogue" }>;

/** Drive points that an arrangement joins, the leading one first. */
export function pointsOf(arrangement: Arrangement): readonly string[] {
  switch (arrangement.kind) {
    case "motor-group":
      return arrangement.members.map((m) => m.pointId);
    case "shared-shaft":
      return arrangement.units.map((u) => u.pointId);
    case "ratio-follower":
      return [arrangement.leader.pointId, arrangement.follower.pointId];
  }
}

/** An arrangement of a plant. */
export function findArrangement(specification: Specification, id: string): Arrangement | undefined {
  return specification.lineups.flatMap((l) => l.arrangements).find((a) => a.id === id);
}

/** Changes one arrangement. */
export function changeArrangement<T extends Arrangement>(
  specification: Specification,
  id: string,
  part: Partial<T> | ((now: T) => Partial<T>),
): Specification {
  return {
    ...specification,
    lineups: specification.lineups.map((l) =>
      l.arrangements.some((a) => a.id === id)
        ? {
            ...l,
            arrangements: l.arrangements.map((a) =>
              a.id === id ? { ...a, ...(typeof part === "function" ? part(a as T) : part) } : a,
            ),
          }
        : l,
    ),
  };
}

/** Which arrangements selected drive points of one lineup can be joined in; a reason for each that they can't. */
export function joinable(
  specification: Specification,
  ids: readonly string[],
): Readonly<Record<Arrangement["kind"], string>> {
  const lineup = lineupOf(specification, ids);
  const taken = (kind: Arrangement["kind"]) =>
    lineup?.arrangements.some((a) => a.kind === kind && pointsOf(a).some((p) => ids.includes(p))) ?? false;
  const onBus = lineup?.dcBuses.some((b) => b.memberIds.some((m) => ids.includes(m))) ?? false;
  const head = findPoint(specification, ids[0] ?? "");
  const apart = lineup ? "" : "They stand in different lineups.";
  return {
    "motor-group":
      apart ||
      (taken("motor-group")
        ? "One of them is in a group."
        : onBus
          ? "One of them hangs on a common DC bus."
          : head?.converter.kind === "catalogue"
            ? ""
            : "The first has no converter."),
    "shared-shaft": apart || (taken("shared-shaft") ? "One of them shares a shaft." : ""),
    "ratio-follower": apart || (ids.length === 2 ? "" : "A leader and one follower are needed."),
  };
}

/** Puts drive points on one converter: the first one's, of its family and large enough for all, under scalar control. */
export function joinGroup(
  specification: Specification,
  catalogue: Catalogue,
  ids: readonly string[],
): Specification | undefined {
  const lineup = lineupOf(specification, ids);
  const head = findPoint(specification, ids[0] ?? "");
  if (!lineup || head?.converter.kind !== "catalogue" || joinable(specification, ids)["motor-group"] !== "") {
    return undefined;
  }
  const members = inOrder(lineup, ids);
  const first = members.find((m) => m.id === head.id) ?? members[0];
  const ordered = first ? [first, ...members.filter((m) => m !== first)] : members;
  const group: MotorGroup = {
    kind: "motor-group",
    ...fresh(specification, "group", "Group"),
    members: ordered.map((m) => ({
      pointId: m.id,
      count: 1,
      protection: "none",
      trip: "class10",
      branchFuse: false,
      switchedLate: false,
    })),
    simultaneityPct: null,
    reason: "",
  };
  const currentA = 1.25 * ordered.reduce((sum, m) => sum + ratedCurrentA(m, specification, catalogue), 0);
  const converter = largeEnough(head.converter, catalogue, currentA);
  return {
    ...specification,
    lineups: specification.lineups.map((l) =>
      l.id === lineup.id
        ? {
            ...l,
            arrangements: [...l.arrangements, group],
            drivePoints: l.drivePoints.map((p) =>
              p.id === head.id
                ? { ...p, converter: { ...converter, control: "scalar" } }
                : ids.includes(p.id)
                  ? { ...p, converter: { kind: "of-group" } }
                  : p,
            ),
          }
        : l,
    ),
  };
}

/** Puts drive points on one shaft, each with its part of the load as it stands; droop to begin with. */
export function joinShaft(specification: Specification, ids: readonly string[]): Specification | undefined {
  const lineup = lineupOf(specification, ids);
  if (!lineup || ids.length < 2 || joinable(specification, ids)["shared-shaft"] !== "") {
    return undefined;
  }
  const shaft: SharedShaft = {
    kind: "shared-shaft",
    ...fresh(specification, "shaft", "Shaft"),
    units: inOrder(lineup, ids).map((p) => ({ pointId: p.id, droopPct: 3, speedErrorPct: 0.1 })),
    method: { kind: "droop" },
    coupling: { kind: "rigid" },
    runOnS: null,
    reason: "",
  };
  return withArrangement(specification, lineup.id, shaft);
}

/** Makes two motors of one drive point, on one shaft, each with half of the load. */
export function splitOnShaft(specification: Specification, id: string): Specification | undefined {
  const copied = copyPoint(specification, id);
  if (!copied) {
    return undefined;
  }
  const ids = [id, copied[1].id];
  const halved: Specification = {
    ...copied[0],
    lineups: copied[0].lineups.map((l) => ({
      ...l,
      drivePoints: l.drivePoints.map((p) => (ids.includes(p.id) ? { ...p, load: loadShare(p.load, 0.5) } : p)),
    })),
  };
  return joinShaft(halved, ids);
}

/** Makes the second drive point follow the first at a ratio, with what their loads say of gears and displacement. */
export function joinFollower(specification: Specification, ids: readonly string[]): Specification | undefined {
  const lineup = lineupOf(specification, ids);
  const [leader, follower] = ids.map((id) => findPoint(specification, id));
  if (!lineup || !leader || !follower || joinable(specification, ids)["ratio-follower"] !== "") {
    return undefined;
  }
  const ratio: RatioFollower = {
    kind: "ratio-follower",
    ...fresh(specification, "ratio", "Ratio"),
    leader: axisOf(leader),
    follower: axisOf(follower),
    wantedRatio: null,
    impliedDecimals: 3,
    largestSetting: 9999,
    inputLimitHz: null,
    sampleTimeS: null,
    leaderRampS: "train" in leader.load ? leader.load.train.startTimeS : null,
    followerRampS: "train" in follower.load ? follower.load.train.startTimeS : null,
    reason: "",
  };
  return withArrangement(specification, lineup.id, ratio);
}

/** Takes an arrangement away; members of a group get converters of their own, of the family that they shared. */
export function dissolveArrangement(specification: Specification, catalogue: Catalogue, id: string): Specification {
  const group = findArrangement(specification, id);
  const head = group?.kind === "motor-group" ? findPoint(specification, group.members[0]?.pointId ?? "") : undefined;
  const shared = head?.converter.kind === "catalogue" ? head.converter : undefined;
  return {
    ...specification,
    lineups: specification.lineups.map((l) =>
      l.arrangements.some((a) => a.id === id)
        ? {
            ...l,
            arrangements: l.arrangements.filter((a) => a.id !== id),
            drivePoints: l.drivePoints.map((p) =>
              group?.kind === "motor-group" && pointsOf(group).includes(p.id)
                ? {
                    ...p,
                    converter: shared
                      ? largeEnough(shared, catalogue, ratedCurrentA(p, specification, catalogue))
                      : { kind: "not-chosen" },
                  }
                : p,
            ),
          }
        : l,
    ),
  };
}

/** A lineup without some drive points: arrangements that are left too small go, a group passes its converter on. */
export function withoutPoints(lineup: Lineup, ids: readonly string[]): Pick<Lineup, "arrangements" | "drivePoints"> {
  const points = new Map(lineup.drivePoints.map((p) => [p.id, p]));
  const arrangements: Arrangement[] = [];
  for (const a of lineup.arrangements) {
    if (a.kind === "motor-group") {
      const members = a.members.filter((m) => !ids.includes(m.pointId));
      const [next] = members;
      const head = points.get(a.members[0]?.pointId ?? "");
      const heir = points.get(next?.pointId ?? "");
      if (head && heir && head !== heir) {
        points.set(heir.id, { ...heir, converter: head.converter });
      }
      if (next) {
        arrangements.push({ ...a, members });
      }
    } else if (a.kind === "shared-shaft") {
      const units = a.units.filter((u) => !ids.includes(u.pointId));
      if (units.length > 1) {
        arrangements.push({ ...a, units });
      }
    } else if (!pointsOf(a).some((p) => ids.includes(p))) {
      arrangements.push(a);
    }
  }
  return {
    arrangements,
    drivePoints: lineup.drivePoints.filter((p) => !ids.includes(p.id)).map((p) => points.get(p.id) ?? p),
  };
}

function lineupOf(specification: Specification, ids: readonly string[]): Lineup | undefined {
  return specification.lineups.find((l) => ids.length > 0 && ids.every((id) => l.drivePoints.some((p) => p.id === id)));
}

function inOrder(lineup: Lineup, ids: readonly string[]): readonly DrivePoint[] {
  return lineup.drivePoints.filter((p) => ids.includes(p.id));
}

function withArrangement(specification: Specification, lineupId: string, arrangement: Arrangement): Specification {
  return {
    ...specification,
    lineups: specification.lineups.map((l) =>
      l.id === lineupId ? { ...l, arrangements: [...l.arrangements, arrangement] } : l,
    ),
  };
}

function fresh(specification: Specification, prefix: string, name: string): { id: string; name: string } {
  const taken = new Set(
    specification.lineups.flatMap((l) => [
      ...l.arrangements.map((a) => a.id),
      ...l.dcBuses.map((b) => b.id),
      ...l.setAside.flatMap((v) => v.arrangements.map((a) => a.id)),
    ]),
  );
  let number = 1;
  while (taken.has(`${prefix}-${number}`)) {
    number++;
  }
  return { id: `${prefix}-${number}`, name: `${name} ${number}` };
}

function ratedCurrentA(point: DrivePoint, specification: Specification, catalogue: Catalogue): number {
  const { motor } = point;
  return motor.kind === "catalogue"
    ? (catalogue.motors.find((m) => m.id === motor.itemId)?.plate.ratedCurrentA ??
        specification.motors.find((m) => m.id === motor.itemId)?.ratedCurrentA ??
        0)
    : 0;
}

function largeEnough(choice: CatalogueChoice, catalogue: Catalogue, currentA: number): CatalogueChoice {
  const family = catalogue.converters.find((c) => c.id === choice.itemId)?.family;
  const sizes = catalogue.converters
    .filter((c) => c.family === family && c.ownName === "")
    .sort((a, b) => a.ratedKw - b.ratedKw);
  const item =
    sizes.find((c) => (choice.duty === "light" ? c.lightCurrentA : c.heavyCurrentA) >= currentA) ?? sizes.at(-1);
  return item ? { ...choice, itemId: item.id } : choice;
}

function axisOf(point: DrivePoint): RatioFollower["leader"] {
  const { load } = point;
  const machineTurn =
    load.kind === "dosing-pump" && load.displacementCm3PerRev !== null
      ? { unitsPerMachineTurn: load.displacementCm3PerRev / 1000, unit: "L" }
      : load.kind === "conveyor" && load.drumDiameterM !== null
        ? { unitsPerMachineTurn: Math.round(load.drumDiameterM * Math.PI * 1e4) / 1e4, unit: "m" }
        : { unitsPerMachineTurn: null, unit: "m" };
  return {
    pointId: point.id,
    pulsesPerTurn: null,
    gearRatio: "train" in load ? load.train.gearRatio : null,
    ...machineTurn,
    leastRpm: null,
    largestRpm: null,
  };
}
