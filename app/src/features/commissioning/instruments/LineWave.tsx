import { useState } from "react";
import type { LineWaveAnswer } from "../../../api/client";
import { amber, plum, soft } from "../../../charts/axes";
import { Chart } from "../../../charts/Chart";
import { useUnits } from "../../../fields/useUnits";
import { n } from "../../../lib/format";
import { age } from "./readings";
import { useLineWave } from "./useInstruments";

/** The newest recorded cycle of the line current beside the study's, and its orders. */
export function LineWave({ pointId }: { readonly pointId: string }) {
  const [held, setHeld] = useState<NonNullable<LineWaveAnswer["wave"]>>();
  const found = useLineWave(pointId, held === undefined);
  const units = useUnits();
  const wave = held ?? found.data?.wave;
  if (!wave) {
    return null;
  }
  if (wave.problem !== "") {
    return (
      <p role="status" className="mt-2 max-w-3xl border-l-4 border-tight bg-card p-2">
        <b>The recorded cycle can’t be compared:</b> {wave.problem}.
      </p>
    );
  }
  const hasStudy = wave.computedThdiPct !== null;
  // Above so many per cent something is to be seen.
  const seen = wave.orders.filter((o) => Math.max(o.measuredPct, o.computedPct) > 0.3);
  return (
    <section aria-label="Recorded cycle" className="mt-3 max-w-3xl">
      <h4 className="section-title flex items-baseline gap-3">
        Recorded cycle
        <span className="text-[12px] font-normal text-soft">
          {wave.instrument}, {held ? "held" : age(wave.ageS)}
          {!wave.good && "; the instrument calls it not good"}
        </span>
        <button type="button" className="button ml-auto" onClick={() => setHeld(held ? undefined : wave)}>
          {held ? "Go on reading" : "Hold the picture"}
        </button>
      </h4>
      <p>
        {units.entered(wave.rmsA, "A")} rms, crest {units.entered(wave.peakA, "A")}, fundamental{" "}
        {units.entered(wave.fundamentalA, "A")}, THDi <b>{n(wave.thdiPct, 3)} %</b>
        {hasStudy && <>, of the study {n(wave.computedThdiPct ?? 0, 3)} %</>}.
      </p>
      <Chart
        title="Line current, recorded and computed"
        rows={wave.instants}
        along={{
          key: "angleDeg",
          kind: "number",
          label: "angle from the rising zero of the fundamental, °",
          domain: [0, 360],
          ticks: [0, 60, 120, 180, 240, 300, 360],
        }}
        left={{ label: "A", width: 52 }}
        series={[
          {
            key: "measuredA",
            name: wave.simulated ? "recorded, simulated" : "recorded",
            unit: "A",
            colour: plum,
            width: 2,
          },
          ...(hasStudy
            ? [
                {
                  key: "computedA",
                  name: "study, at that fundamental",
                  unit: "A",
                  colour: amber,
                  dash: "5 4",
                  width: 1.4,
                },
              ]
            : []),
        ]}
        levels={[{ y: 0, colour: soft }]}
        height={170}
      />
      {hasStudy && (
        <Chart
          title="Orders, recorded and computed"
          rows={seen}
          along={{ key: "order", kind: "names", label: "order", isEvery: seen.length <= 17 }}
          left={{ label: "% of I₁", width: 52 }}
          series={[
            { key: "measuredPct", name: "recorded", unit: "%", colour: plum, shape: "bar" },
            { key: "computedPct", name: "study", unit: "%", colour: amber, shape: "bar" },
          ]}
          height={150}
        />
      )}
    </section>
  );
}
