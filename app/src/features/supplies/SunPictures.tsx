import type { SunAnswer } from "../../api/client";
import { amber, blue, plum } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { useUnits } from "../../fields/useUnits";
import { months } from "./supplies";

type Year = NonNullable<SunAnswer["year"]>;
type Pump = NonNullable<SunAnswer["pump"]>;

/** Water a day by month against what is wanted. */
export function MonthPicture({ year }: { readonly year: Year }) {
  const units = useUnits();
  return (
    <Chart
      title="Water a day by month"
      width={366}
      rows={year.months.map((m, i) => ({ month: months[i], water: m.waterM3PerDay, wanted: m.demandM3PerDay }))}
      along={{ key: "month", kind: "names", isEvery: true }}
      left={{ label: `${units.unit("m³")} a day`, domain: [0, "auto"] }}
      series={[
        { key: "water", name: "water", unit: "m³", colour: blue, shape: "bar" },
        { key: "wanted", name: "wanted", unit: "m³", colour: plum, shape: "stairs", width: 2 },
      ]}
    />
  );
}

/** The mean day of a month: light as power, speed as water. */
export function DayPicture({
  year,
  month,
  onMonth,
}: {
  readonly year: Year;
  readonly month: number;
  readonly onMonth: (month: number) => void;
}) {
  const units = useUnits();
  const day = year.months[month]?.day ?? [];
  return (
    <div>
      <Chart
        title={`Mean day of ${months[month] ?? ""}`}
        width={366}
        rows={day.map((h, i) => ({
          hour: i + 0.5,
          power: h.powerKw,
          flow: units.value(h.flowM3PerH / 3600, "m³/s/liquid"),
        }))}
        along={{ key: "hour", kind: "number", label: "hour by the sun", domain: [0, 24], ticks: [0, 6, 12, 18, 24] }}
        left={{ label: "kW", domain: [0, "auto"] }}
        right={{ label: units.unit("m³/s/liquid"), domain: [0, "auto"] }}
        series={[
          { key: "power", name: "power of the array", unit: "kW", colour: amber },
          { key: "flow", name: "water", colour: blue, onRight: true },
        ]}
      />
      <label className="flex items-center gap-2 text-[12px]">
        Month
        <select className="entry w-24" value={month} onChange={(e) => onMonth(Number(e.target.value))}>
          {months.map((name, i) => (
            <option key={name} value={i}>
              {name}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}

/** What the pump takes and gives over its speed. */
export function PumpPicture({ pump }: { readonly pump: Pump }) {
  const units = useUnits();
  return (
    <Chart
      title="Pump over speed"
      width={366}
      rows={pump.curve.map((p) => ({
        rpm: p.speedRpm,
        power: p.powerKw,
        flow: units.value(p.flowM3PerH / 3600, "m³/s/liquid"),
      }))}
      along={{ key: "rpm", kind: "number", label: "rpm", domain: ["dataMin", "dataMax"] }}
      left={{ label: "kW", domain: [0, "auto"] }}
      right={{ label: units.unit("m³/s/liquid"), domain: [0, "auto"] }}
      series={[
        { key: "power", name: "direct-current power", unit: "kW", colour: amber },
        { key: "flow", name: "water", colour: blue, onRight: true },
      ]}
    />
  );
}
