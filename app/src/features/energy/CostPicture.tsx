import { plum, roundTicks } from "../../charts/axes";
import { Chart, type Point } from "../../charts/Chart";

/** Something that costs energy and money. */
export interface Priced {
  readonly name: string;
  readonly energyKwh: number;
  readonly lifetimeCost: number;
  readonly isChosen: boolean;
  readonly isReference?: boolean;
}

/** Round numbers that hold a range, so many steps at most: 1, 2 or 5 times a power of ten apart. */
export function roundRange(values: readonly number[], most = 6): readonly number[] {
  const [least, greatest] = [Math.min(...values), Math.max(...values)];
  const room = 0.04 * (greatest - least);
  const [low, high] = [least - room, greatest + room];
  const [step = 1] = roundTicks(Math.max(high - low, 0.02 * Math.abs(high), 1e-9), most - 1).slice(1);
  const first = Math.floor(low / step - 1e-9);
  const last = Math.max(Math.ceil(high / step + 1e-9), first + 1);
  return Array.from({ length: last - first + 1 }, (_, i) => Number(((first + i) * step).toPrecision(12)));
}

/**
 * Alternatives as points: energy of a year along, life-cycle cost up, so that the best stands at the lower left. The first
 * of the list, the chosen and the reference bear their places in it.
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
  const points = of.map((a, i): Point => ({
    x: a.energyKwh / 1000,
    y: a.lifetimeCost / per,
    name: `${i + 1} ${a.name}`,
    ...(i === 0 || a.isChosen || a.isReference ? { label: String(i + 1) } : {}),
    labelAt: a.isReference ? "right" : a.isChosen ? "top" : "left",
    ...(a.isChosen ? { colour: plum } : { isHollow: true }),
  }));
  const [along, up] = [roundRange(points.map((p) => p.x)), roundRange(points.map((p) => p.y))];
  // The chosen one lies on top.
  points.sort((a, b) => Number(a.colour !== undefined) - Number(b.colour !== undefined));
  return (
    <Chart
      title="Life-cycle cost against energy"
      rows={[...points].sort((a, b) => a.x - b.x)}
      along={{
        key: "x",
        kind: "number",
        label: "energy, MWh a year",
        head: "MWh/a",
        domain: [along[0] ?? 0, along.at(-1) ?? 1],
        ticks: along,
      }}
      left={{ label: unit, domain: [up[0] ?? 0, up.at(-1) ?? 1], ticks: up, width: 56 }}
      series={[{ key: "y", name: `life-cycle cost, ${unit}`, colour: "none", inLegend: false }]}
      points={points}
      height={210}
      {...(width === undefined ? {} : { width })}
    />
  );
}
