import type { CommonDcBus, Lineup, Specification } from "../api/client";
import { partOf, type PartOf } from "./within";

/** The DC bus that a drive point hangs on. */
export function dcBusOf(lineup: Lineup, pointId: string): CommonDcBus | undefined {
  return lineup.dcBuses.find((b) => b.memberIds.includes(pointId));
}

/** Changes one DC bus. */
export function changeDcBus(specification: Specification, id: string, part: PartOf<CommonDcBus>): Specification {
  return {
    ...specification,
    lineups: specification.lineups.map((l) =>
      l.dcBuses.some((b) => b.id === id)
        ? { ...l, dcBuses: l.dcBuses.map((b) => (b.id === id ? { ...b, ...partOf(b, part) } : b)) }
        : l,
    ),
  };
}
