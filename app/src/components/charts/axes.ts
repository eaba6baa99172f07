import { n } from "../../lib/format";

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

/** Size and margins of a picture on the bench. */
export const bench = { width: 346, height: 226, margin: { top: 8, right: 8, bottom: 14, left: 8 } } as const;

/** A time axis from nothing to the end of the data. */
export const timeAxis = {
  dataKey: "timeS",
  type: "number" as const,
  tick,
  domain: [0, "dataMax"] as [number, string],
  tickFormatter: (v: number) => n(v, 3),
  label: xTitle("time, s"),
  height: 34,
};
