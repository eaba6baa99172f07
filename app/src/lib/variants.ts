import type { Lineup, Specification } from "../api/client";
import { changeLineup } from "./specification";

type Variant = Lineup["setAside"][number];

const most = 3;

/** Keeps the way a lineup is built now beside it, so that it can be changed and compared. */
export function setAside(specification: Specification, lineupId: string, name: string): Specification | undefined {
  const lineup = find(specification, lineupId);
  if (!lineup || lineup.setAside.length >= most) {
    return undefined;
  }
  return changeLineup(specification, lineupId, { setAside: [...lineup.setAside, variantOf(lineup, name)] });
}

/** Keeps another way to build a lineup beside the one in force. */
export function addVariant(
  specification: Specification,
  lineupId: string,
  name: string,
  content: Pick<Variant, "drivePoints" | "dcBuses" | "arrangements">,
): Specification | undefined {
  const lineup = find(specification, lineupId);
  if (!lineup || lineup.setAside.length >= most) {
    return undefined;
  }
  const { drivePoints, dcBuses, arrangements } = content;
  return changeLineup(specification, lineupId, {
    setAside: [...lineup.setAside, { id: freshId(lineup), name, drivePoints, dcBuses, arrangements }],
  });
}

/** Puts a way that was set aside on the board; the one in force takes its place. */
export function exchange(specification: Specification, lineupId: string, variantId: string): Specification | undefined {
  const lineup = find(specification, lineupId);
  const chosen = lineup?.setAside.find((v) => v.id === variantId);
  if (!lineup || !chosen) {
    return undefined;
  }
  const present = { ...variantOf(lineup, lineup.variantName || "before"), id: chosen.id };
  return changeLineup(specification, lineupId, {
    drivePoints: chosen.drivePoints,
    dcBuses: chosen.dcBuses,
    arrangements: chosen.arrangements,
    variantName: chosen.name,
    setAside: lineup.setAside.map((v) => (v.id === variantId ? present : v)),
  });
}

/** Adopts a way with a reason, empty key for the one in force; the others go. Scenarios forget drive points that are gone. */
export function adopt(
  specification: Specification,
  lineupId: string,
  variantId: string,
  reason: string,
): Specification | undefined {
  const chosen = variantId === "" ? specification : exchange(specification, lineupId, variantId);
  if (!chosen || !find(chosen, lineupId)) {
    return undefined;
  }
  const adopted = changeLineup(chosen, lineupId, { setAside: [], reason });
  const left = new Set(
    adopted.lineups.flatMap((l) => [...l.drivePoints, ...l.setAside.flatMap((v) => v.drivePoints)]).map((p) => p.id),
  );
  return {
    ...adopted,
    scenarios: adopted.scenarios.map((s) => ({ ...s, states: s.states.filter((x) => left.has(x.drivePointId)) })),
  };
}

/** Drops a way that was set aside. */
export function dropVariant(specification: Specification, lineupId: string, variantId: string): Specification {
  const lineup = find(specification, lineupId);
  return lineup
    ? changeLineup(specification, lineupId, { setAside: lineup.setAside.filter((v) => v.id !== variantId) })
    : specification;
}

function find(specification: Specification, lineupId: string): Lineup | undefined {
  return specification.lineups.find((l) => l.id === lineupId);
}

function variantOf(lineup: Lineup, name: string): Variant {
  const { drivePoints, dcBuses, arrangements } = lineup;
  return { id: freshId(lineup), name, drivePoints, dcBuses, arrangements };
}

function freshId(lineup: Lineup): string {
  const taken = new Set(lineup.setAside.map((v) => v.id));
  let number = 1;
  while (taken.has(`way-${number}`)) {
    number++;
  }
  return `way-${number}`;
}
