import { CartesianGrid, ComposedChart, Line, XAxis, YAxis } from "recharts";
import type { Bench } from "../../api/client";
import { bench as size, blue, ink, plum, rule, tick, xTitle, yTitle } from "../../charts/axes";
import { Frame, NumberTable } from "../../charts/Frame";
import { n } from "../../lib/format";

/** Switching frequency against noise, current and interference, in one picture: each in parts of its largest. */
export function SwitchingPicture({ points }: { readonly points: Bench["switching"] }) {
  const most = (of: (p: Bench["switching"][number]) => number) => Math.max(...points.map(of), 1e-9);
  const current = most((p) => p.siteCurrentA);
  const noise = most((p) => p.noiseRiseDb);
  const earth = most((p) => p.earthCurrentMa ?? 0);
  const data = points.map((p) => ({
    khz: p.switchingKhz,
    current: (100 * p.siteCurrentA) / current,
    noise: (100 * p.noiseRiseDb) / noise,
    earth: p.earthCurrentMa === null ? null : (100 * p.earthCurrentMa) / earth,
  }));
  return (
    <>
      <Frame
        title="Switching frequency"
        legend={[
          { name: `current, of ${n(current)} A`, colour: plum, shape: "line" },
          { name: `noise rise, of ${n(noise)} dB`, colour: ink, shape: "dash" },
          ...(earth > 1e-6
            ? [{ name: `cable to earth, of ${n(earth)} mA`, colour: blue, shape: "line" as const }]
            : []),
        ]}
        table={
          <NumberTable
            heads={["kHz", "current A", "noise dB(A)", "to earth mA"]}
            rows={points.map((p) => [n(p.switchingKhz), n(p.siteCurrentA), n(p.noiseRiseDb), n(p.earthCurrentMa)])}
          />
        }
      >
        <ComposedChart {...size} height={160} data={data} accessibilityLayer={false}>
          <CartesianGrid stroke={rule} vertical={false} />
          <XAxis
            dataKey="khz"
            type="number"
            domain={["dataMin", "dataMax"]}
            ticks={points.map((p) => p.switchingKhz)}
            tick={tick}
            label={xTitle("switching frequency, kHz")}
            height={34}
          />
          <YAxis tick={tick} domain={[0, 100]} width={52} label={yTitle("% of the largest")} />
          <Line dataKey="noise" stroke={ink} strokeDasharray="4 3" dot isAnimationActive={false} />
          <Line dataKey="earth" stroke={blue} dot isAnimationActive={false} />
          <Line dataKey="current" stroke={plum} strokeWidth={2} dot isAnimationActive={false} />
        </ComposedChart>
      </Frame>
      <p className="text-[12px] text-soft">
        Noise that vanishes when the motor coasts down is electrical; noise that stays is mechanical. The current to
        earth is what screens and filters have to return.
      </p>
    </>
  );
}
