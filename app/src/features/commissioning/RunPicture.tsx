import type { SiteEntry, SiteStep } from "../../api/client";
import { Chart } from "../../charts/Chart";

/** A run over its time. */
export function RunPicture({ step, entry }: { readonly step: SiteStep; readonly entry: SiteEntry }) {
  const rows = entry.run.map((p) => ({ timeS: p.timeS ?? 0, value: p.value ?? 0 }));
  const ambient = entry.values.ambientC;
  return (
    <div className="mt-3">
      <Chart
        title={`${step.title}, entry ${entry.number}`}
        rows={rows}
        along={{ key: "timeS", kind: "time", steps: 6 }}
        left={{ label: step.runUnit, domain: ["auto", "auto"] }}
        series={[{ key: "value", name: "measured", unit: step.runUnit, colour: "var(--color-plum)" }]}
        levels={
          ambient === undefined ? [] : [{ y: ambient, colour: "var(--color-soft)", dash: "4 3", name: "coolant" }]
        }
      />
    </div>
  );
}
