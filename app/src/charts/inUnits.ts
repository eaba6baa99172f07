import type { Units } from "../fields/useUnits";
import type { Across, Bound, ChartProps, Series } from "./Chart";

/** A picture in other units: series of a unit, what is measured by the same axis, and the words at it. */
export function inUnits<Row extends object>(props: ChartProps<Row>, units: Units): ChartProps<Row> {
  const left = kindOf(props.series.filter((s) => !s.onRight));
  const right = kindOf(props.series.filter((s) => s.onRight));
  const to = (value: number, kept: string | undefined) => (kept === undefined ? value : units.value(value, kept));
  const axisOf = (onRight?: boolean) => (onRight ? right : left);
  const series = props.series.map((s) => (s.unit === undefined ? s : { ...s, unit: units.unit(s.unit) }));
  const changed = props.series.filter((s) => s.unit !== undefined && units.unit(s.unit) !== s.unit);
  if (changed.length === 0) {
    return props;
  }
  return {
    ...props,
    series,
    left: across(props.left, left, units),
    ...(props.right ? { right: across(props.right, right, units) } : {}),
    rows: props.rows.map((row) => {
      const numbers = row as Readonly<Record<string, unknown>>;
      return {
        ...row,
        ...Object.fromEntries(
          changed.flatMap((s) => {
            const value = numbers[s.key];
            return typeof value === "number" ? [[s.key, to(value, s.unit)]] : [];
          }),
        ),
      };
    }),
    ...(props.levels
      ? { levels: props.levels.map((l) => (l.y === undefined ? l : { ...l, y: to(l.y, axisOf(l.onRight)) })) }
      : {}),
    ...(props.points ? { points: props.points.map((p) => ({ ...p, y: to(p.y, left) })) } : {}),
  };
}

// What an axis measures, where all its series are of one unit.
function kindOf(series: readonly Series[]): string | undefined {
  const kinds = new Set(series.map((s) => s.unit));
  const [only] = kinds;
  return kinds.size === 1 ? only : undefined;
}

function across(axis: Across, kept: string | undefined, units: Units): Across {
  const unit = kept === undefined ? undefined : units.unit(kept);
  if (kept === undefined || unit === undefined || unit === kept) {
    return axis;
  }
  const bound = (b: Bound): Bound => (typeof b === "number" ? units.value(b, kept) : b);
  const { ticks, domain, label, ...rest } = axis;
  return {
    ...rest,
    ...(label === undefined ? {} : { label: label.replace(kept, unit) }),
    ...(domain ? { domain: [bound(domain[0]), bound(domain[1])] as const } : {}),
    // Round numbers of one unit are not round in another: these are found anew.
    ...(ticks && domain && typeof domain[1] === "number"
      ? { ticks: rounded(units.value(domain[1], kept), ticks) }
      : {}),
  };
}

function rounded(high: number, before: readonly number[]): readonly number[] {
  const low = before[0] ?? 0;
  if (low < 0) {
    return [-high, -high / 2, 0, high / 2, high];
  }
  const step = niceStep(high / Math.max(before.length - 1, 2));
  return Array.from({ length: Math.floor(high / step) + 1 }, (_, i) => i * step);
}

function niceStep(step: number): number {
  const power = 10 ** Math.floor(Math.log10(step));
  return ([1, 2, 2.5, 5, 10].find((f) => f * power >= step * 0.999) ?? 10) * power;
}
