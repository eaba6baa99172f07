import type { Bench } from "../../../api/client";
import { blue, ink, plum, soft } from "../../../charts/axes";
import { Chart } from "../../../charts/Chart";
import { n } from "../../../lib/format";

/** Torque and speed of a roll over its diameter. */
export function WinderPicture({ winder }: { readonly winder: Bench["winder"] }) {
  const data = winder.map((w) => ({ ...w, mm: 1000 * w.diameterM }));
  return (
    <Chart
      title="Torque and speed over the diameter"
      rows={data}
      along={{ key: "mm", kind: "number", label: "diameter, mm" }}
      left={{ label: "Nm", width: 52 }}
      right={{ width: 44 }}
      series={[
        { key: "torqueNm", name: "torque", unit: "Nm", colour: plum, width: 2 },
        { key: "speedRpm", name: "speed", unit: "rpm", colour: blue, dash: "4 3", width: 2, onRight: true },
      ]}
      columns={[{ head: "kW", of: (d) => n(d.powerKw) }]}
    />
  );
}

/** Speed, torque and power over the cycle. */
export function CyclePicture({ cycle }: { readonly cycle: Bench["cycle"] }) {
  // Both scales are even about zero where anything is negative, so that they share its line.
  const anyNegative = cycle.some((c) => c.torqueNm < 0 || c.powerKw < 0);
  const even = (of: (c: Bench["cycle"][number]) => number) => {
    const top = Number((Math.max(...cycle.map((c) => Math.abs(of(c))), 1e-6) * 1.1).toPrecision(2));
    return {
      domain: [anyNegative ? -top : 0, top] as const,
      ticks: anyNegative ? [-top, -top / 2, 0, top / 2, top] : [0, top / 2, top],
      format: (v: number) => (v === 0 ? "0" : n(v, 2)),
    };
  };
  return (
    <>
      <Chart
        title="Speed over the cycle"
        rows={cycle}
        along={{ key: "timeS", kind: "time" }}
        left={{ label: "rpm", width: 52 }}
        series={[{ key: "speedRpm", name: "speed", unit: "rpm", colour: blue, width: 2 }]}
        levels={[{ y: 0, colour: soft }]}
        height={130}
      />
      <Chart
        title="Torque and power over the cycle"
        rows={cycle}
        along={{ key: "timeS", kind: "time" }}
        left={{ label: "Nm", width: 52, ...even((c) => c.torqueNm) }}
        right={{ width: 40, ...even((c) => c.powerKw) }}
        series={[
          { key: "torqueNm", name: "torque", unit: "Nm", colour: plum, width: 2 },
          {
            key: "powerKw",
            name: "power; below zero it comes back",
            unit: "kW",
            colour: ink,
            dash: "4 3",
            onRight: true,
          },
        ]}
        levels={[{ y: 0, colour: soft, onRight: true }]}
        height={170}
      />
    </>
  );
}
