import {
  Bar,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceDot,
  ReferenceLine,
  XAxis,
  YAxis,
} from "recharts";
import { useUnits } from "../fields/useUnits";
import { n } from "../lib/format";
import { bench, ink, rule, sized, soft, tick, tickText, timeAxis, xTitle, yTitle } from "./axes";
import { inUnits } from "./inUnits";
import { Frame, NumberTable, type Mark } from "./Frame";

/** Rows of a table hold so many at most; of longer ones every second, third … is shown. */
const mostRows = 60;

/** A quantity drawn over the rows, and a column of the table. */
export interface Series {
  readonly key: string;
  readonly name: string;
  readonly unit?: string;
  readonly colour: string;
  readonly width?: number;
  readonly dash?: string;
  readonly shape?: "line" | "step" | "stairs" | "bar" | "dotted";
  readonly barSize?: number;
  readonly onRight?: boolean;
  readonly digits?: number;
  /** False where the legend of another picture tells of it. */
  readonly inLegend?: boolean;
}

/** A line across the picture: a limit, an instant. */
export interface Level {
  readonly x?: number;
  readonly y?: number;
  readonly colour: string;
  readonly dash?: string;
  readonly opacity?: number;
  readonly onRight?: boolean;
  readonly name?: string;
  readonly label?: string;
  readonly labelDy?: number;
}

/** A field of the picture. */
export interface Field {
  readonly x1: number;
  readonly x2: number;
  readonly y1?: number;
  readonly y2?: number;
  readonly colour: string;
  readonly name?: string;
}

/** A point of its own; with a name it stands in the table. */
export interface Point {
  readonly x: number;
  readonly y: number;
  readonly name?: string;
  readonly isHollow?: boolean;
  readonly colour?: string;
  /** Written beside it. */
  readonly label?: string;
  readonly labelAt?: "top" | "left" | "right";
}

/** What runs along the picture. */
export interface Along {
  readonly key: string;
  readonly kind: "time" | "number" | "names";
  readonly label?: string;
  readonly head?: string;
  readonly domain?: readonly [Bound, Bound];
  readonly ticks?: readonly number[];
  readonly steps?: number;
  readonly isEvery?: boolean;
}

/** What a series is measured by. */
export interface Across {
  readonly label?: string;
  readonly width?: number;
  readonly domain?: readonly [Bound, Bound];
  readonly ticks?: readonly number[];
  readonly format?: (value: number) => string;
}

export type Bound = number | string | ((found: number) => number);

/** A picture of series over rows with axes, marks, legend and the table of the same numbers. */
export function Chart<Row extends object>(given: ChartProps<Row>) {
  const units = useUnits();
  return <Drawn {...(units.system === "si" ? given : inUnits(given, units))} />;
}

/** What a chart is told. */
export interface ChartProps<Row extends object> {
  readonly title: string;
  readonly rows: readonly Row[];
  readonly along: Along;
  readonly left: Across;
  readonly right?: Across;
  readonly series: readonly Series[];
  readonly levels?: readonly Level[];
  readonly fields?: readonly Field[];
  readonly points?: readonly Point[];
  /** Columns of the table that are not drawn. */
  readonly columns?: readonly { readonly head: string; readonly of: (row: Row) => string }[];
  /** In px; without it the picture is as wide as where it stands. */
  readonly width?: number;
  readonly height?: number;
}

function Drawn<Row extends object>({
  title,
  rows,
  along,
  left,
  right,
  series,
  levels = [],
  fields = [],
  points = [],
  columns = [],
  width,
  height = bench.height,
}: ChartProps<Row>) {
  const of = (onRight?: boolean) => (right ? { yAxisId: onRight ? "right" : "left" } : {});
  return (
    <Frame
      title={title}
      legend={legendOf(series, levels, fields)}
      table={<NumberTable {...tableOf(rows, along, series, points, columns)} />}
    >
      <ComposedChart
        margin={bench.margin}
        {...sized(width, height)}
        data={[...rows]}
        {...(along.kind === "names" ? { barCategoryGap: "20%" } : {})}
        accessibilityLayer={false}
      >
        <CartesianGrid stroke={rule} vertical={false} />
        {fields.map((f) => (
          <ReferenceArea
            key={f.x1}
            x1={f.x1}
            x2={f.x2}
            {...(f.y1 === undefined || f.y2 === undefined ? {} : { y1: f.y1, y2: f.y2, stroke: soft })}
            fill={f.colour}
            fillOpacity={f.y1 === undefined ? 0.18 : 0.35}
          />
        ))}
        <XAxis {...xOf(along, rows)} />
        <YAxis {...yOf(left)} {...of()} width={left.width ?? 56} />
        {right && <YAxis {...yOf(right, "right")} yAxisId="right" orientation="right" width={right.width ?? 48} />}
        {levels.map((l) => (
          <ReferenceLine
            key={`${l.x ?? ""}|${l.y ?? ""}|${l.colour}`}
            {...(l.x === undefined ? { y: l.y ?? 0 } : { x: l.x })}
            {...of(l.onRight)}
            stroke={l.colour}
            strokeWidth={l.name ? 1.5 : 1}
            {...(l.dash && { strokeDasharray: l.dash })}
            strokeOpacity={l.opacity ?? 1}
            {...(l.label === undefined
              ? {}
              : {
                  label: {
                    value: l.label,
                    position: "insideTopLeft" as const,
                    dy: l.labelDy ?? 0,
                    fontSize: 11,
                    fill: soft,
                  },
                })}
          />
        ))}
        {series.map((s) =>
          s.shape === "bar" ? (
            <Bar
              key={s.key}
              dataKey={s.key}
              {...of(s.onRight)}
              fill={s.colour}
              {...(s.barSize ? { barSize: s.barSize } : {})}
              isAnimationActive={false}
            />
          ) : (
            <Line
              key={s.key}
              dataKey={s.key}
              {...of(s.onRight)}
              type={s.shape === "step" ? "stepAfter" : s.shape === "stairs" ? "step" : "linear"}
              stroke={s.colour}
              strokeWidth={s.width ?? 1.6}
              {...(s.dash && { strokeDasharray: s.dash })}
              dot={s.shape === "dotted"}
              activeDot={false}
              isAnimationActive={false}
            />
          ),
        )}
        {points.map((p) => (
          <ReferenceDot
            key={`${p.x}|${p.y}`}
            x={p.x}
            y={p.y}
            r={4}
            fill={p.isHollow ? "white" : (p.colour ?? ink)}
            stroke={p.isHollow ? ink : "none"}
            strokeWidth={1.6}
            {...(p.label === undefined
              ? {}
              : {
                  label: {
                    value: p.label,
                    position: p.labelAt ?? ("right" as const),
                    fontSize: 12,
                    fill: p.colour ?? ink,
                  },
                })}
          />
        ))}
      </ComposedChart>
    </Frame>
  );
}

function legendOf(series: readonly Series[], levels: readonly Level[], fields: readonly Field[]): Mark[] {
  const once = new Set<string>();
  return [
    ...mainFirst(series)
      .filter((s) => s.inLegend !== false)
      .map((s) => ({
        name: s.name,
        colour: s.colour,
        shape: s.shape === "bar" ? ("bar" as const) : s.dash ? ("dash" as const) : ("line" as const),
      })),
    ...levels.flatMap((l) =>
      l.name ? [{ name: l.name, colour: l.colour, shape: l.dash ? ("dash" as const) : ("line" as const) }] : [],
    ),
    ...fields.flatMap((f) => (f.name ? [{ name: f.name, colour: f.colour, shape: "bar" as const }] : [])),
  ].filter((m) => !once.has(m.name) && once.add(m.name));
}

/** The numbers of a picture: a column for what runs along it, one for each series, rows as many as can be read. */
export function tableOf<Row extends object>(
  rows: readonly Row[],
  along: Along,
  series: readonly Series[],
  points: readonly Point[] = [],
  columns: readonly { readonly head: string; readonly of: (row: Row) => string }[] = [],
): { readonly heads: readonly string[]; readonly rows: readonly (readonly string[])[] } {
  const named = points.filter((p) => p.name);
  const head = along.head ?? (along.kind === "time" ? "s" : (along.label ?? ""));
  if (named.length > 0) {
    return {
      heads: ["", head, ...series.map(headOf)],
      rows: named.map((p) => [p.name ?? "", n(p.x), n(p.y)]),
    };
  }
  const every = Math.max(1, Math.ceil(rows.length / mostRows));
  return {
    heads: [head, ...mainFirst(series).map(headOf), ...columns.map((c) => c.head)],
    rows: rows
      .filter((_, i) => i % every === 0 || i === rows.length - 1)
      .map((r) => [
        said(r, along.key, 3),
        ...mainFirst(series).map((s) => said(r, s.key, s.digits ?? 3)),
        ...columns.map((c) => c.of(r)),
      ]),
  };
}

/** What is drawn last, on top, is mostly the point of a picture; what is dashed is what it is held against. */
function mainFirst(series: readonly Series[]): readonly Series[] {
  return [...series.filter((s) => !s.dash), ...series.filter((s) => s.dash)];
}

function headOf(s: Series): string {
  return s.unit ? `${s.name}, ${s.unit}` : s.name;
}

function said(row: object, key: string, digits: number): string {
  const value = (row as Readonly<Record<string, unknown>>)[key];
  return typeof value === "number" ? n(value, digits) : typeof value === "string" ? value : "–";
}

function xOf(along: Along, rows: readonly object[]) {
  if (along.kind === "time") {
    return timeAxis(rows as readonly { readonly timeS: number }[], along.steps ?? 6);
  }
  const label = along.label ? { label: xTitle(along.label), height: 34 } : {};
  if (along.kind === "names") {
    return {
      dataKey: along.key,
      tick,
      ...label,
      ...(along.isEvery ? { interval: 0 } : {}),
      ...(along.ticks ? { ticks: [...along.ticks] } : {}),
    };
  }
  return {
    dataKey: along.key,
    type: "number" as const,
    tick,
    tickFormatter: tickText,
    domain: [...(along.domain ?? ["dataMin", "dataMax"])] as [Bound, Bound],
    ...(along.ticks ? { ticks: [...along.ticks] } : {}),
    allowDuplicatedCategory: false,
    ...label,
  };
}

function yOf(across: Across, side: "left" | "right" = "left") {
  const title = across.label ? yTitle(across.label) : undefined;
  return {
    tick,
    tickFormatter: across.format ?? tickText,
    ...(across.domain ? { domain: [...across.domain] as [Bound, Bound] } : {}),
    ...(across.ticks ? { ticks: [...across.ticks] } : {}),
    ...(title && { label: side === "right" ? { ...title, position: "insideRight" as const } : title }),
  };
}
