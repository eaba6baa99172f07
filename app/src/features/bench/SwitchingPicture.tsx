import type { Bench } from "../../api/client";
import { amber, blue, ink, plum } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { n } from "../../lib/format";

/** Switching frequency against noise, current, losses and interference, in one picture: each in parts of its largest. */
export function SwitchingPicture({ points }: { readonly points: Bench["switching"] }) {
  const most = (of: (p: Bench["switching"][number]) => number) => Math.max(...points.map(of), 1e-9);
  const current = most((p) => p.siteCurrentA);
  const noise = most((p) => p.noiseRiseDb);
  const earth = most((p) => p.earthCurrentMa ?? 0);
  const loss = most((p) => p.lossW ?? 0);
  const filtered = points.filter((p) => p.filterHolds === true).map((p) => p.switchingKhz);
  const declared = points.some((p) => p.filterHolds != null);
  const data = points.map((p) => ({
    khz: p.switchingKhz,
    currentA: p.siteCurrentA,
    noiseDb: p.noiseRiseDb,
    earthMa: p.earthCurrentMa,
    lossW: p.lossW ?? null,
    mostCableM: p.mostCableM ?? null,
    loss: (100 * (p.lossW ?? 0)) / loss,
    current: (100 * p.siteCurrentA) / current,
    noise: (100 * p.noiseRiseDb) / noise,
    earth: p.earthCurrentMa === null ? null : (100 * p.earthCurrentMa) / earth,
  }));
  return (
    <>
      <Chart
        title="Switching frequency"
        rows={data}
        along={{
          key: "khz",
          kind: "number",
          label: "switching frequency, kHz",
          head: "kHz",
          ticks: points.map((p) => p.switchingKhz),
        }}
        left={{ label: "% of the largest", domain: [0, 100], width: 52 }}
        series={[
          { key: "loss", name: `loss, of ${n(loss)} W`, unit: "%", colour: amber, dash: "8 3", shape: "dotted" },
          { key: "noise", name: `noise rise, of ${n(noise)} dB`, unit: "%", colour: ink, dash: "4 3", shape: "dotted" },
          ...(earth > 1e-6
            ? [
                {
                  key: "earth",
                  name: `cable to earth, of ${n(earth)} mA`,
                  unit: "%",
                  colour: blue,
                  shape: "dotted" as const,
                },
              ]
            : []),
          { key: "current", name: `current, of ${n(current)} A`, unit: "%", colour: plum, width: 2, shape: "dotted" },
        ]}
        columns={[
          { head: "A", of: (r) => n(r.currentA) },
          { head: "dB(A)", of: (r) => n(r.noiseDb) },
          { head: "W", of: (r) => n(r.lossW) },
          { head: "mA", of: (r) => n(r.earthMa) },
          { head: "cable to, m", of: (r) => n(r.mostCableM) },
        ]}
        height={160}
      />
      <p className="text-[12px] text-soft">
        Noise that vanishes when the motor coasts down is electrical; noise that stays is mechanical. The current to
        earth is what screens and filters have to return.
        {declared &&
          (filtered.length > 0
            ? ` The EMC filter is declared up to ${n(Math.max(...filtered))} kHz.`
            : " The EMC filter is declared for none of these frequencies.")}
      </p>
    </>
  );
}
