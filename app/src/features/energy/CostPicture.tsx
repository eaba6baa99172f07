import { plum } from "../../charts/axes";
import { Chart } from "../../charts/Chart";

/** Something that costs energy and money. */
export interface Priced {
  readonly name: string;
  readonly energyKwh: number;
  readonly lifetimeCost: number;
  readonly isChosen: boolean;
}

/** A range with room around what is in it, from nothing where that is near. */
export function roomAround(values: readonly number[]): readonly [number, number] {
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const room = 0.15 * Math.max(most - least, 0.02 * Math.abs(most), 1e-9);
  return [least >= 0 ? Math.max(0, least - room) : least - room, most + room];
}

/**
 * Alternatives as points: energy of a year along, life-cycle cost up, so that the best stands at the lower left. Numbers are
 * their places in the list.
 */
export function CostPicture({
  of,
  currency,
  width,
}: {
  readonly of: readonly Priced[];
  readonly currency: string;
  readonly width?: number;
}) {
  if (of.length < 2) {
    return null;
  }
  const most = Math.max(...of.map((a) => Math.abs(a.lifetimeCost)));
  const [unit, per] = most >= 1e6 ? ([`million ${currency}`, 1e6] as const) : ([`thousand ${currency}`, 1e3] as const);
  const points = of.map((a, i) => ({
    x: a.energyKwh / 1000,
    y: a.lifetimeCost / per,
    name: `${i + 1} ${a.name}`,
    label: String(i + 1),
    ...(a.isChosen ? { colour: plum } : { isHollow: true }),
  }));
  return (
    <Chart
      title="Life-cycle cost against energy"
      rows={[]}
      along={{
        key: "energy",
        kind: "number",
        label: "energy, MWh a year",
        head: "MWh/a",
        domain: roomAround(points.map((p) => p.x)),
      }}
      left={{ label: unit, domain: roomAround(points.map((p) => p.y)), width: 56 }}
      series={[{ key: "lifetimeCost", name: `life-cycle cost, ${unit}`, colour: plum, inLegend: false }]}
      points={points}
      height={210}
      {...(width === undefined ? {} : { width })}
    />
  );
}
