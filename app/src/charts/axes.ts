import { n } from "../lib/format";

/** Colours and styles that all charts share. */
export const ink = "#1f1b24";
export const soft = "#5a5361";
export const plum = "#6b2e5f";
export const rule = "#d8d1c4";
export const blue = "#33638f";
export const amber = "#b27a12";
export const red = "#b0352b";

/** Style of tick labels. */
export const tick = { fontSize: 11, fill: soft } as const;

/** Style of an axis title along y. */
export const yTitle = (value: string) => ({
  value,
  angle: -90,
  position: "insideLeft" as const,
  offset: 0,
  style: { fontSize: 11, fill: soft, textAnchor: "middle" as const },
});

/** Style of an axis title along x. */
export const xTitle = (value: string) => ({
  value,
  position: "insideBottom" as const,
  offset: -2,
  style: { fontSize: 11, fill: soft },
});

/** Height and margins of a picture on the bench. */
export const bench = { height: 226, margin: { top: 8, right: 8, bottom: 14, left: 8 } } as const;

/** The size of a picture: what is stated, else as wide as where it stands. */
export const sized = (width: number | undefined, height: number) =>
  width === undefined ? ({ responsive: true, style: { width: "100%", height } } as const) : { width, height };

/** Round numbers from nothing up to a value, at most so many steps: 1, 2 or 5 times a power of ten apart. */
export function roundTicks(to: number, most = 6): number[] {
  if (!(to > 0) || !Number.isFinite(to)) {
    return [0];
  }
  const power = 10 ** Math.floor(Math.log10(to / most));
  const step = [1, 2, 5, 10].map((f) => f * power).find((f) => to / f <= most) ?? 10 * power;
  return Array.from({ length: Math.floor(to / step + 1e-9) + 1 }, (_, i) => Number((i * step).toPrecision(12)));
}

/** A round number as a tick says it. */
export function tickText(value: number): string {
  const round = Number(value.toPrecision(6));
  return Math.abs(round) >= 1000 ? n(round, 1) : String(round).replace("-", "−");
}

const units = [
  { name: "ms", seconds: 1e-3, upTo: 0.5 },
  { name: "s", seconds: 1, upTo: 600 },
  { name: "min", seconds: 60, upTo: 3 * 3600 },
  { name: "h", seconds: 3600, upTo: Infinity },
] as const;

/** A time axis from nothing to the end of what is shown, in a unit that fits, with round ticks. */
export function timeAxis(rows: readonly { readonly timeS: number }[], most = 6) {
  const end = rows.reduce((last, row) => Math.max(last, row.timeS), 0);
  const unit = units.find((u) => end <= u.upTo) ?? units[1];
  return {
    dataKey: "timeS",
    type: "number" as const,
    tick,
    domain: [0, end] as [number, number],
    ticks: roundTicks(end / unit.seconds, most).map((t) => t * unit.seconds),
    tickFormatter: (v: number) => tickText(v / unit.seconds),
    label: xTitle(`time, ${unit.name}`),
    height: 34,
  };
}
