import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";

const signals = { "4-20ma": "4 to 20 mA", "0-20ma": "0 to 20 mA", "0-10v": "0 to 10 V", "2-10v": "2 to 10 V" } as const;
const givens = {
  counts: "counts",
  signal: "signal, V or mA",
  frequency: "frequency, Hz",
  speed: "speed of the motor, rpm",
  "line-speed": "line speed",
} as const;
type Given = keyof typeof givens;

/** What is entered of a channel; all as typed. */
const start = {
  bits: "12",
  countsZero: "0",
  countsFull: "4095",
  frequencyZeroHz: "0",
  frequencyFullHz: "50",
  poles: "4",
  gearRatio: "1",
  drumM: "",
  offsetPct: "0",
  value: "12",
};
type Key = keyof typeof start;
const names: Record<Key, string> = {
  bits: "Resolution, bits",
  countsZero: "Counts at 0 %",
  countsFull: "Counts at 100 %",
  frequencyZeroHz: "Frequency at 0 %, Hz",
  frequencyFullHz: "Frequency at 100 %, Hz",
  poles: "Poles of the motor",
  gearRatio: "Gear ratio",
  drumM: "Drum",
  offsetPct: "Offset of the ends, %",
  value: "Value",
};

interface Answer {
  readonly percent: number;
  readonly counts: number;
  readonly signal: number;
  readonly frequencyHz: number;
  readonly speedRpm: number;
  readonly outputRpm: number;
  readonly lineMPerMin: number | null;
  readonly stepHz: number;
  readonly stepRpm: number;
  readonly errorHz: number;
  readonly wireBreak: boolean;
}

/** Line speed as this project writes it. */
const lineOf = (units: ReturnType<typeof useUnits>) =>
  units.system === "si"
    ? { unit: "m/min", perMPerMin: 1 }
    : { unit: units.unit("m/s"), perMPerMin: units.value(1 / 60, "m/s") };

/** One channel from counts to line speed, whichever of them is given. */
export function ScalingCalculator() {
  const units = useUnits();
  const { project } = useProject();
  const line = lineOf(units);
  const [entered, setEntered] = useState({
    ...start,
    frequencyFullHz: String(project.specification.source.frequencyHz),
  });
  const [signal, setSignal] = useState<keyof typeof signals>("4-20ma");
  const [given, setGiven] = useState<Given>("signal");
  const read = Object.fromEntries(
    Object.entries(entered).flatMap(([key, text]) =>
      text.trim() === "" ? [] : [[key, Number(text.replace(",", "."))]],
    ),
  );
  const body = {
    ...read,
    ...(read.drumM === undefined ? {} : { drumM: read.drumM / units.value(1, "m") }),
    ...(given === "line-speed" && read.value !== undefined ? { value: read.value / line.perMPerMin } : {}),
    signal,
    given,
  };
  const answer = useQuery({
    queryKey: ["scaling", body],
    retry: false,
    queryFn: async (): Promise<Answer | string> => {
      const response = await fetch("/api/calc/scaling", {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify(body),
      });
      const found = (await response.json()) as Answer & { errors?: { message: string }[]; detail?: string };
      return response.ok
        ? found
        : (found.errors?.map((e) => e.message).join("; ") ?? found.detail ?? "can’t be computed");
    },
  });
  return (
    <div className="mt-3 grid grid-cols-[22rem_minmax(0,1fr)] gap-x-8">
      <section aria-label="Channel" className="min-w-0">
        <h3 className="section-title">Channel</h3>
        <Choice label="Signal" value={signal} choices={signals} onChange={setSignal} />
        {(Object.keys(start) as Key[])
          .filter((key) => key !== "value")
          .map((key) => (
            <NumberLine
              key={key}
              label={key === "drumM" ? `${names[key]}, ${units.unit("m")}` : names[key]}
              value={entered[key]}
              onChange={(v) => setEntered({ ...entered, [key]: v })}
            />
          ))}
        <h3 className="section-title">Given</h3>
        <Choice label="Quantity" value={given} choices={givens} onChange={setGiven} />
        <NumberLine
          label={given === "line-speed" ? `${names.value}, ${line.unit}` : names.value}
          value={entered.value}
          onChange={(value) => setEntered({ ...entered, value })}
        />
      </section>
      <section aria-label="What follows" aria-live="polite" className="min-w-0">
        <h3 className="section-title">What follows</h3>
        {typeof answer.data === "string" ? (
          <p role="alert" className="text-fails">
            {answer.data}
          </p>
        ) : answer.data ? (
          <Figures answer={answer.data} unit={signal.endsWith("v") ? "V" : "mA"} line={line} />
        ) : (
          <p className="text-soft">…</p>
        )}
        <p className="mt-3 max-w-[520px] text-[12px] text-soft">
          n = 120 · f / p without slip: 3000 rpm at 50 Hz is a two-pole motor only. One step is the top of the signal
          over 2 to the power of the bits; the error is half a step and the offset. A live zero below 3.6 mA or 1.8 V
          tells a broken wire.
        </p>
      </section>
    </div>
  );
}

function Figures({
  answer,
  unit,
  line,
}: {
  readonly answer: Answer;
  readonly unit: string;
  readonly line: ReturnType<typeof lineOf>;
}) {
  const rows: readonly (readonly [string, string])[] = [
    ["Of the range", `${n(answer.percent)} %`],
    ["Counts", n(answer.counts)],
    ["Signal", `${n(answer.signal)} ${unit}${answer.wireBreak ? ", told as a broken wire" : ""}`],
    ["Frequency", `${n(answer.frequencyHz)} Hz`],
    ["Synchronous speed of the motor", `${n(answer.speedRpm)} rpm`],
    ["Behind the gear", `${n(answer.outputRpm)} rpm`],
    [
      "Line speed",
      answer.lineMPerMin === null ? "no drum entered" : `${n(answer.lineMPerMin * line.perMPerMin)} ${line.unit}`,
    ],
    ["One step", `${n(answer.stepHz)} Hz, ${n(answer.stepRpm)} rpm`],
    ["Error at most", `${n(answer.errorHz)} Hz`],
  ];
  return (
    <table className="table w-auto">
      <tbody>
        {rows.map(([name, value]) => (
          <tr key={name}>
            <td className="pr-6 text-soft">{name}</td>
            <td className="num">{value}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function NumberLine({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}) {
  return (
    <label className="flex items-center justify-between gap-2 py-0.5">
      {label}
      <input
        className="entry w-28 text-right font-mono"
        inputMode="decimal"
        autoComplete="off"
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
    </label>
  );
}

function Choice<T extends string>({
  label,
  value,
  choices,
  onChange,
}: {
  readonly label: string;
  readonly value: T;
  readonly choices: Readonly<Record<T, string>>;
  readonly onChange: (value: T) => void;
}) {
  return (
    <label className="flex items-center justify-between gap-2 py-0.5">
      {label}
      <select className="entry w-44" value={value} onChange={(e) => onChange(e.target.value as T)}>
        {Object.entries<string>(choices).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
