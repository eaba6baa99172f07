import { CartesianGrid, ComposedChart, Line, ReferenceArea, Scatter, XAxis, YAxis } from "recharts";
import type { Bench, DrivePoint } from "../../api/client";
import {
  bench as size,
  blue,
  ink,
  plum,
  roundTicks,
  rule,
  soft,
  tick,
  tickText,
  xTitle,
  yTitle,
} from "../../charts/axes";
import { Frame, NumberTable } from "../../charts/Frame";
import { n } from "../../lib/format";
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
    <Frame
      title="Torque over speed"
      legend={[
        { name: "load", colour: ink, shape: "line" },
        { name: "continuous", colour: plum, shape: "line" },
        { name: "peak less margin", colour: soft, shape: "dash" },
        ...(hasConverter ? [{ name: "converter overload", colour: blue, shape: "dash" as const }] : []),
        ...(skipBands.length > 0 ? [{ name: "skipped", colour: soft, shape: "bar" as const }] : []),
      ]}
      table={
        <NumberTable
          heads={["rpm", "load Nm", "continuous Nm", "peak Nm", "converter Nm"]}
          rows={torque.points
            .filter((_, i) => i % 4 === 0)
            .map((p) => [n(p.speedRpm, 4), n(p.loadNm), n(p.continuousNm), n(p.peakNm), n(p.converterNm)])}
        />
      }
    >
      <ComposedChart {...size} data={data} accessibilityLayer={false}>
        <CartesianGrid stroke={rule} vertical={false} />
        {skipBands.map((b) => (
          <ReferenceArea key={b.fromRpm} x1={b.fromRpm} x2={b.toRpm} fill={soft} fillOpacity={0.18} />
        ))}
        <XAxis
          dataKey="speedRpm"
          type="number"
          tick={tick}
          domain={[0, fastest]}
          ticks={roundTicks(fastest)}
          tickFormatter={tickText}
          label={xTitle("speed, rpm")}
          height={34}
          allowDuplicatedCategory={false}
        />
        <YAxis
          tick={tick}
          domain={[0, highest * 1.05]}
          ticks={roundTicks(highest * 1.05, 5)}
          tickFormatter={tickText}
          width={52}
          label={yTitle("torque, Nm")}
        />
        <Line dataKey="peakNm" stroke={soft} strokeDasharray="4 3" dot={false} isAnimationActive={false} />
        {hasConverter && (
          <Line dataKey="converterNm" stroke={blue} strokeDasharray="2 3" dot={false} isAnimationActive={false} />
        )}
        <Line dataKey="continuousNm" stroke={plum} strokeWidth={2} dot={false} isAnimationActive={false} />
        <Line dataKey="loadNm" stroke={ink} strokeWidth={2} dot={false} isAnimationActive={false} />
        <Scatter data={working} dataKey="point" fill="white" stroke={ink} strokeWidth={1.6} isAnimationActive={false} />
      </ComposedChart>
    </Frame>
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
    <Frame
      title="System, machine and shaft power"
      legend={[
        { name: "system", colour: ink, shape: "line" },
        { name: "machine at full speed", colour: soft, shape: "dash" },
        { name: "power, speed adjusted", colour: plum, shape: "line" },
        ...(hasPresent ? [{ name: "power as today", colour: blue, shape: "dash" as const }] : []),
      ]}
      table={
        <NumberTable
          heads={["flow %", "system %", "machine %", "power adjusted %", "power today %"]}
          rows={data.map((d) => [n(d.flow), n(d.system), n(d.machine), n(d.adjusted), n(d.present)])}
        />
      }
    >
      <ComposedChart {...size} data={data} accessibilityLayer={false}>
        <CartesianGrid stroke={rule} vertical={false} />
        <XAxis
          dataKey="flow"
          type="number"
          tick={tick}
          domain={[0, 110]}
          ticks={[0, 20, 40, 60, 80, 100]}
          label={xTitle("flow, % of rated")}
          height={34}
        />
        <YAxis tick={tick} domain={[0, "auto"]} width={52} label={yTitle("% of rated")} />
        <Line dataKey="machine" stroke={soft} strokeDasharray="4 3" dot={false} isAnimationActive={false} />
        <Line dataKey="system" stroke={ink} strokeWidth={2} dot={false} isAnimationActive={false} />
        <Line dataKey="adjusted" stroke={plum} strokeWidth={2} dot={false} isAnimationActive={false} />
        {hasPresent && (
          <Line
            dataKey="present"
            stroke={blue}
            strokeDasharray="4 3"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
        )}
      </ComposedChart>
    </Frame>
  );
}
