import type { Bench, DrivePoint } from "../../api/client";
import { blue, ink, plum, roundTicks, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import type { Row } from "../board/selection";
import { FigureList, Missing } from "./FigureList";
import { CyclePicture, WinderPicture } from "./loads/LoadPictures";
import { Ladder, VoltageWay } from "./ConverterFit";
import { OverloadPicture } from "./OverloadPicture";
import { SwitchingPicture } from "./SwitchingPicture";
import type { Reasoned } from "./ReasonSheet";

interface Props {
  readonly bench: Bench;
  readonly row: Row;
  readonly skipBands: DrivePoint["skipBands"];
  readonly onFigure: (subject: Reasoned) => void;
}

/** Does it fit: the system's curve for a load, torque over speed with every limit otherwise. */
export function FitTab({ bench, row, skipBands, onFigure }: Props) {
  return (
    <>
      {bench.missing.length > 0 && <Missing names={bench.missing} />}
      {row === "load" ? (
        <>
          {bench.system && <SystemPicture system={bench.system} />}
          {bench.winder.length > 0 && <WinderPicture winder={bench.winder} />}
          {bench.cycle.length > 0 && <CyclePicture cycle={bench.cycle} />}
          {!bench.system && bench.winder.length === 0 && bench.cycle.length === 0 && bench.torque && (
            <TorquePicture torque={bench.torque} skipBands={skipBands} />
          )}
        </>
      ) : (
        bench.torque && <TorquePicture torque={bench.torque} skipBands={skipBands} />
      )}
      {row === "converter" && bench.ladder.length > 0 && <Ladder ladder={bench.ladder} />}
      {row === "converter" && bench.overload && <OverloadPicture overload={bench.overload} />}
      {(row === "converter" || row === "cable") && bench.voltage && <VoltageWay voltage={bench.voltage} />}
      {row === "converter" && bench.switching.length > 0 && <SwitchingPicture points={bench.switching} />}
      <FigureList
        figures={bench.figures}
        only={
          row === "load"
            ? [
                "shaft-power",
                "shaft-torque",
                "flow-begins",
                "half-flow-power",
                "torque-range",
                "peak-torque",
                "rms-torque",
                "breakaway",
                "kinetic-energy",
                "coast-time",
                "stop-power",
                "regenerated",
                "regenerated-energy",
                "inertia-ratio",
              ]
            : ["shaft-torque", "motor-current", "motor-efficiency"]
        }
        onFigure={onFigure}
      />
    </>
  );
}

function TorquePicture({
  torque,
  skipBands,
}: {
  readonly torque: NonNullable<Bench["torque"]>;
  readonly skipBands: DrivePoint["skipBands"];
}) {
  const data = torque.points.map((p) => ({ ...p }));
  const fastest = Math.max(...torque.points.map((p) => p.speedRpm));
  const highest = Math.max(
    ...torque.points.map((p) => Math.max(p.peakNm, p.continuousNm)),
    ...torque.working.map((w) => w.torqueNm),
  );
  const hasConverter = torque.points.some((p) => p.converterNm !== null);
  const working = torque.working.map((w) => ({ speedRpm: w.speedRpm, point: w.torqueNm }));
  return (
    <Chart
      title="Torque over speed"
      rows={data}
      along={{ key: "speedRpm", kind: "number", label: "speed, rpm", domain: [0, fastest], ticks: roundTicks(fastest) }}
      left={{ label: "torque, Nm", domain: [0, highest * 1.05], ticks: roundTicks(highest * 1.05, 5), width: 52 }}
      series={[
        { key: "peakNm", name: "peak less margin", unit: "Nm", colour: soft, dash: "4 3" },
        ...(hasConverter
          ? [{ key: "converterNm", name: "converter overload", unit: "Nm", colour: blue, dash: "2 3" }]
          : []),
        { key: "continuousNm", name: "continuous", unit: "Nm", colour: plum, width: 2 },
        { key: "loadNm", name: "load", unit: "Nm", colour: ink, width: 2 },
      ]}
      fields={skipBands.map((b) => ({ x1: b.fromRpm, x2: b.toRpm, colour: soft, name: "skipped" }))}
      points={working.map((w) => ({ x: w.speedRpm, y: w.point, isHollow: true }))}
    />
  );
}

function SystemPicture({ system }: { readonly system: NonNullable<Bench["system"]> }) {
  const data = system.points.map((p) => ({
    flow: 100 * p.flowPu,
    system: 100 * p.systemPu,
    machine: 100 * p.machinePu,
    adjusted: 100 * p.adjustedPowerPu,
    present: p.presentPowerPu === null ? null : 100 * p.presentPowerPu,
  }));
  const hasPresent = data.some((d) => d.present !== null);
  return (
    <Chart
      title="System, machine and shaft power"
      rows={data}
      along={{
        key: "flow",
        kind: "number",
        label: "flow, % of rated",
        domain: [0, 110],
        ticks: [0, 20, 40, 60, 80, 100],
      }}
      left={{ label: "% of rated", domain: [0, "auto"], width: 52 }}
      series={[
        { key: "machine", name: "machine at full speed", unit: "%", colour: soft, dash: "4 3" },
        { key: "system", name: "system", unit: "%", colour: ink, width: 2 },
        { key: "adjusted", name: "power, speed adjusted", unit: "%", colour: plum, width: 2 },
        ...(hasPresent
          ? [{ key: "present", name: "power as today", unit: "%", colour: blue, dash: "4 3", width: 2 }]
          : []),
      ]}
    />
  );
}
