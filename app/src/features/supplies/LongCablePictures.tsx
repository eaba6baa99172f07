import type { LongCableAnswer } from "../../api/client";
import { amber, blue, plum, red, roundTicks } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { useUnits } from "../../fields/useUnits";

const width = 366;
type Of = { readonly answer: LongCableAnswer };
const along = { key: "frequencyHz", kind: "number" as const, label: "Hz", domain: [0, "dataMax"] as const };

/** Voltage from the bus to the motor at rated frequency. */
export function ChainPicture({ answer }: Of) {
  return (
    <Chart
      title="Voltage along the chain"
      width={width}
      rows={answer.along.map((a) => ({ where: a.where.replace("high side, no load", "no load"), voltage: a.voltageV }))}
      along={{ key: "where", kind: "names", isEvery: true }}
      left={{ label: "V", domain: [0, "auto"] }}
      series={[{ key: "voltage", name: "at rated frequency", unit: "V", colour: blue, shape: "bar", barSize: 26 }]}
    />
  );
}

/** Flux of the transformer over frequency. */
export function FluxPicture({ answer, limit }: Of & { readonly limit: number | null }) {
  const most = Math.max(...answer.overFrequency.map((a) => Math.max(a.fluxPu, a.startFluxPu ?? 0)), limit ?? 0);
  const top = Math.ceil(most * 5) / 5;
  return (
    <Chart
      title="Flux of the transformer"
      width={width}
      rows={answer.overFrequency}
      along={along}
      left={{ label: "ψ", domain: [0, top], ticks: roundTicks(top) }}
      series={[
        { key: "startFluxPu", name: "at start", colour: plum },
        { key: "fluxPu", name: "by load", colour: blue },
      ]}
      levels={limit === null ? [] : [{ y: limit, colour: red, dash: "5 3", name: "permitted" }]}
    />
  );
}

/** Currents over frequency. */
export function CurrentPicture({ answer }: Of) {
  return (
    <Chart
      title="Current over frequency"
      width={width}
      rows={answer.overFrequency}
      along={along}
      left={{ label: "A", domain: [0, "auto"] }}
      series={[
        { key: "converterA", name: "converter", unit: "A", colour: plum },
        { key: "motorA", name: "motor", unit: "A", colour: blue },
      ]}
    />
  );
}

/** Torque that the converter's continuous current makes against the load. */
export function TorquePicture({ answer }: Of) {
  const units = useUnits();
  return (
    <Chart
      title="Torque available against the load"
      width={width}
      rows={answer.overFrequency}
      along={along}
      left={{ label: units.unit("Nm"), domain: [0, "auto"] }}
      series={[
        { key: "availableNm", name: "available", unit: "Nm", colour: plum },
        { key: "loadNm", name: "load", unit: "Nm", colour: amber },
      ]}
    />
  );
}

/** Temperature along the cable. */
export function DepthPicture({ answer }: Of) {
  const units = useUnits();
  const kept = "°C";
  return (
    <Chart
      title="Temperature along the cable"
      width={width}
      rows={answer.depth.map((d) => ({
        depth: units.value(d.depthM, "m"),
        ground: d.groundC,
        conductor: d.conductorC,
      }))}
      along={{ key: "depth", kind: "number", label: `depth, ${units.unit("m")}`, domain: [0, "dataMax"] }}
      left={{ label: units.unit(kept), domain: ["auto", "auto"] }}
      series={[
        { key: "conductor", name: "conductors at rated current", unit: kept, colour: red },
        { key: "ground", name: "ground", unit: kept, colour: amber },
      ]}
    />
  );
}
