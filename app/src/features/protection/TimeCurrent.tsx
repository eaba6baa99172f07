import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { CartesianGrid, ComposedChart, Line, ReferenceDot, ReferenceLine, XAxis, YAxis } from "recharts";
import { api, type TimeCurrent as Picture } from "../../api/client";
import {
  amber,
  bench,
  blue,
  ink,
  plum,
  red,
  rule,
  sized,
  soft,
  tick,
  tickText,
  xTitle,
  yTitle,
} from "../../charts/axes";
import { Frame, NumberTable } from "../../charts/Frame";
import { Sheet } from "../../components/Sheet";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { decades, span } from "./decades";

type Curve = Picture["curves"][number];

const looks: Readonly<Record<Curve["kind"], { readonly colour: string; readonly dash?: string }>> = {
  load: { colour: ink },
  lasts: { colour: blue, dash: "5 3" },
  clears: { colour: plum },
  bears: { colour: amber },
};

/** Curves of a kind that follow one another are told apart by their dashes. */
const dashes = [undefined, "8 3", "2 3"] as const;

/** Start, devices, cables and motor on one picture of current and time. */
export function TimeCurrent({ pointId }: { readonly pointId: string }) {
  const { project } = useProject();
  const [wide, setWide] = useState(false);
  const found = useQuery({
    queryKey: ["time-current", project.id, pointId, project.edit],
    placeholderData: (previous: Picture | undefined) => previous,
    queryFn: async (): Promise<Picture> => {
      const { data } = await api.GET("/api/projects/{id}/drive-points/{point}/time-current", {
        params: { path: { id: project.id, point: pointId } },
      });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  const picture = found.data;
  if (!picture || picture.curves.length === 0) {
    return null;
  }
  return (
    <section className="mt-3">
      <div className="flex items-baseline justify-between">
        <h3 className="section-title">Protection over time</h3>
        <button type="button" className="text-[12px] text-plum underline" onClick={() => setWide(true)}>
          Full width
        </button>
      </div>
      {picture.isProposed && (
        <p className="text-[12px] text-soft">No device is chosen yet: drawn with the proposed one.</p>
      )}
      {picture.crossings.map((c) => (
        <p key={c.name} className="border-l-4 border-fails bg-card px-2 text-[12px]">
          <strong>{c.name}</strong>: at {n(c.currentA, 3)} A, {n(c.timeS, 2)} s
        </p>
      ))}
      <Drawn picture={picture} height={290} />
      {wide && (
        <Sheet title="Protection over time" onClose={() => setWide(false)} size="full">
          <Drawn picture={picture} width={1090} height={470} />
        </Sheet>
      )}
    </section>
  );
}

function Drawn({
  picture,
  width,
  height,
}: {
  readonly picture: Picture;
  readonly width?: number;
  readonly height: number;
}) {
  const points = picture.curves.flatMap((c) => c.points);
  const [fromA, toA] = span([...points.map((p) => p.currentA ?? 0), ...picture.marks.map((m) => m.currentA)]);
  const curves = picture.curves.map((c, i) => {
    const before = picture.curves.slice(0, i).filter((o) => o.kind === c.kind).length;
    const look = looks[c.kind];
    return { ...c, colour: look.colour, dash: before === 0 ? look.dash : dashes[before % dashes.length] };
  });
  return (
    <Frame
      title="Current and time"
      legend={curves.map((c) => ({ name: c.name, colour: c.colour, shape: c.dash ? "dash" : "line" }))}
      table={
        <NumberTable
          heads={["", "A", "s"]}
          rows={curves.flatMap((c) => c.points.map((p) => [c.name, n(p.currentA ?? 0, 4), n(p.timeS ?? 0, 3)]))}
        />
      }
    >
      <ComposedChart {...sized(width, height)} margin={{ ...bench.margin, top: 18 }} accessibilityLayer={false}>
        <CartesianGrid stroke={rule} />
        <XAxis
          dataKey="currentA"
          type="number"
          scale="log"
          domain={[fromA, toA]}
          ticks={decades(fromA, toA)}
          allowDataOverflow
          tick={tick}
          tickFormatter={tickText}
          label={xTitle("current, A")}
          height={34}
        />
        <YAxis
          dataKey="timeS"
          type="number"
          scale="log"
          domain={[0.01, 10_000]}
          ticks={decades(0.01, 10_000)}
          allowDataOverflow
          tick={tick}
          tickFormatter={tickText}
          label={yTitle("time, s")}
          width={56}
        />
        {picture.marks.map((m, i) => (
          <ReferenceLine
            key={m.name}
            x={m.currentA}
            stroke={soft}
            strokeDasharray="2 3"
            label={{ value: m.name, position: "top", dy: i % 2 === 0 ? 0 : 10, fontSize: 10, fill: soft }}
          />
        ))}
        {curves.map((c) => (
          <Line
            key={c.id}
            data={[...c.points]}
            dataKey="timeS"
            type="linear"
            stroke={c.colour}
            strokeWidth={c.kind === "load" ? 2.2 : 1.6}
            {...(c.dash && { strokeDasharray: c.dash })}
            dot={false}
            activeDot={false}
            isAnimationActive={false}
          />
        ))}
        {picture.crossings.map((c) => (
          <ReferenceDot key={c.name} x={c.currentA} y={c.timeS} r={6} fill="none" stroke={red} strokeWidth={2.4} />
        ))}
      </ComposedChart>
    </Frame>
  );
}
