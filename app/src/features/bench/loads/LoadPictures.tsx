import { CartesianGrid, ComposedChart, Line, ReferenceLine, XAxis, YAxis } from "recharts";
import type { Bench } from "../../../api/client";
import { bench as size, blue, ink, plum, rule, soft, tick, tickText, xTitle, yTitle } from "../../../charts/axes";
import { Frame, NumberTable } from "../../../charts/Frame";
import { n } from "../../../lib/format";

/** Torque and speed of a roll over its diameter. */
export function WinderPicture({ winder }: { readonly winder: Bench["winder"] }) {
  const data = winder.map((w) => ({ ...w, mm: 1000 * w.diameterM }));
  return (
    <Frame
      title="Torque and speed over the diameter"
      legend={[
        { name: "torque, Nm", colour: plum, shape: "line" },
        { name: "speed, rpm", colour: blue, shape: "dash" },
      ]}
      table={
        <NumberTable
          heads={["mm", "rpm", "Nm", "kW"]}
          rows={data.filter((_, i) => i % 4 === 0).map((d) => [n(d.mm), n(d.speedRpm), n(d.torqueNm), n(d.powerKw)])}
        />
      }
    >
      <ComposedChart {...size} data={data} accessibilityLayer={false}>
        <CartesianGrid stroke={rule} vertical={false} />
        <XAxis
          dataKey="mm"
          type="number"
          tick={tick}
          domain={["dataMin", "dataMax"]}
          tickFormatter={tickText}
          label={xTitle("diameter, mm")}
          height={34}
        />
        <YAxis yAxisId="torque" tick={tick} width={52} label={yTitle("Nm")} />
        <YAxis yAxisId="speed" orientation="right" tick={tick} width={44} />
        <Line yAxisId="torque" dataKey="torqueNm" stroke={plum} strokeWidth={2} dot={false} isAnimationActive={false} />
        <Line
          yAxisId="speed"
          dataKey="speedRpm"
          stroke={blue}
          strokeDasharray="4 3"
          strokeWidth={2}
          dot={false}
          isAnimationActive={false}
        />
      </ComposedChart>
    </Frame>
  );
}

/** Speed, torque and power over the cycle. */
export function CyclePicture({ cycle }: { readonly cycle: Bench["cycle"] }) {
  const table = (
    <NumberTable
      heads={["s", "rpm", "Nm", "kW"]}
      rows={cycle.slice(0, 60).map((c) => [n(c.timeS), n(c.speedRpm, 4), n(c.torqueNm), n(c.powerKw)])}
    />
  );
  // Both scales are even about zero where anything is negative, so that they share its line.
  const anyNegative = cycle.some((c) => c.torqueNm < 0 || c.powerKw < 0);
  const even = (of: (c: Bench["cycle"][number]) => number) => {
    const top = Number((Math.max(...cycle.map((c) => Math.abs(of(c))), 1e-6) * 1.1).toPrecision(2));
    return {
      domain: [anyNegative ? -top : 0, top],
      ticks: anyNegative ? [-top, -top / 2, 0, top / 2, top] : [0, top / 2, top],
      tickFormatter: (v: number) => (v === 0 ? "0" : n(v, 2)),
    };
  };
  const time = (
    <XAxis
      dataKey="timeS"
      type="number"
      tick={tick}
      domain={[0, "dataMax"]}
      tickFormatter={(v: number) => n(v, 2)}
      label={xTitle("time, s")}
      height={34}
    />
  );
  return (
    <>
      <Frame title="Speed over the cycle" legend={[{ name: "speed", colour: blue, shape: "line" }]} table={table}>
        <ComposedChart {...size} height={130} data={[...cycle]} accessibilityLayer={false}>
          <CartesianGrid stroke={rule} vertical={false} />
          {time}
          <YAxis tick={tick} width={52} label={yTitle("rpm")} />
          <ReferenceLine y={0} stroke={soft} />
          <Line dataKey="speedRpm" stroke={blue} strokeWidth={2} dot={false} isAnimationActive={false} />
        </ComposedChart>
      </Frame>
      <Frame
        title="Torque and power over the cycle"
        legend={[
          { name: "torque, Nm", colour: plum, shape: "line" },
          { name: "power, kW; below zero it comes back", colour: ink, shape: "dash" },
        ]}
        table={table}
      >
        <ComposedChart {...size} height={170} data={[...cycle]} accessibilityLayer={false}>
          <CartesianGrid stroke={rule} vertical={false} />
          {time}
          <YAxis yAxisId="torque" tick={tick} width={52} label={yTitle("Nm")} {...even((c) => c.torqueNm)} />
          <YAxis yAxisId="power" orientation="right" tick={tick} width={40} {...even((c) => c.powerKw)} />
          <ReferenceLine yAxisId="power" y={0} stroke={soft} />
          <Line
            yAxisId="torque"
            dataKey="torqueNm"
            stroke={plum}
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            yAxisId="power"
            dataKey="powerKw"
            stroke={ink}
            strokeDasharray="4 3"
            dot={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </Frame>
    </>
  );
}
