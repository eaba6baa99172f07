import { useState } from "react";
import type { OnePhaseAnswer, OnePhasePoint } from "../../api/client";
import { blue, plum } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { n } from "../../lib/format";
import { rpmOf } from "./onePhase";
import { TerminalBoxPicture } from "./TerminalBoxPicture";

/** What was solved for each unit on two conductors, how it is connected, its motor's box and its speed readout. */
export function TwoConductors({ answer }: { readonly answer: OnePhaseAnswer }) {
  const [chosen, setChosen] = useState<string>();
  const { points } = answer;
  if (points.length === 0) {
    return null;
  }
  const shown = points.find((p) => p.id === chosen && p.current) ?? points.find((p) => p.current);
  const say = (value: number | null | undefined, unit: string, digits = 3) =>
    value === null || value === undefined ? "–" : `${n(value, digits)} ${unit}`.trim();
  return (
    <section aria-label="On two conductors">
      <h3 className="section-title">On two conductors</h3>
      <div
        className="overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label="Units on two conductors, scrolls sideways"
      >
        <table className="table w-auto">
          <thead>
            <tr>
              <th>drive point</th>
              <th className="num">input</th>
              <th className="num">crest</th>
              <th className="num">3rd</th>
              <th className="num">λ</th>
              <th className="num">ripple</th>
              <th className="num">diode</th>
              <th className="num">neutral of 3</th>
              <th className="num">full torque</th>
            </tr>
          </thead>
          <tbody>
            {points.map((p) => (
              <tr key={p.id} className={p.id === shown?.id ? "bg-plum-wash" : ""}>
                <td>
                  {p.current ? (
                    <button
                      type="button"
                      className="text-left underline"
                      aria-pressed={p.id === shown?.id}
                      onClick={() => setChosen(p.id)}
                    >
                      {p.tag} {p.name}
                    </button>
                  ) : (
                    `${p.tag} ${p.name}`
                  )}
                </td>
                <td className="num">{say(p.current?.rmsA, "A")}</td>
                <td className="num">{say(p.current?.crest, "")}</td>
                <td className="num">{say(p.current?.thirdPct, "%")}</td>
                <td className="num">{say(p.current?.powerFactor, "", 2)}</td>
                <td className="num">{say(p.current?.ripplePct, "%")}</td>
                <td className="num">{say(p.current?.diodeA, "A")}</td>
                <td className="num">{say(p.current?.neutralOfThreeA, "A")}</td>
                <td className="num">{say(p.fullTorqueHz, "Hz")}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-[12px] text-soft">
        Currents are rms, of the worst scenario; 3rd in parts of the fundamental; λ power factor; ripple of the link
        peak to peak; neutral of three such units, one on each phase; full torque up to that frequency.
      </p>
      {shown && <Wave point={shown} />}
      <div className="mt-2 flex flex-wrap gap-y-3">
        {points.map((p) => (
          <div key={p.id} className="max-w-[22rem] text-[12px]">
            {p.box && <TerminalBoxPicture box={p.box} name={`${p.tag} ${p.name}`} />}
            {p.input && (
              <p className="mr-6">
                <b>Connect:</b> {p.input}.
              </p>
            )}
            <p className="mr-6">
              <b>Residual-current device:</b> {p.residualKind}.
            </p>
          </div>
        ))}
      </div>
      <Speeds points={points} />
    </section>
  );
}

function Wave({ point }: { readonly point: OnePhasePoint }) {
  const { current } = point;
  if (!current) {
    return null;
  }
  const last = Math.max(1, current.waveA.length - 1);
  return (
    <Chart
      title={`Input current and link of ${point.tag} over one cycle, in ${current.scenario}`}
      width={640}
      rows={current.waveA.map((a, i) => ({ angle: (360 * i) / last, current: a, link: current.linkV[i] ?? null }))}
      along={{
        key: "angle",
        kind: "number",
        label: "angle of the voltage, °",
        domain: [0, 360],
        ticks: [0, 90, 180, 270, 360],
      }}
      left={{ label: "A", domain: ["auto", "auto"] }}
      right={{ label: "V", domain: ["auto", "auto"] }}
      series={[
        { key: "current", name: "input current", unit: "A", colour: plum },
        { key: "link", name: "link", unit: "V", colour: blue, onRight: true },
      ]}
    />
  );
}

// What the sensor gives against what it should: typed on site, nothing is stored.
function Speeds({ points }: { readonly points: readonly OnePhasePoint[] }) {
  const sensed = points.filter((p) => p.pulsesPerTurn !== null);
  const [read, setRead] = useState<Readonly<Record<string, string>>>({});
  if (sensed.length === 0) {
    return null;
  }
  return (
    <section aria-label="Speed readout">
      <h3 className="section-title">Speed readout</h3>
      <table className="table w-auto">
        <thead>
          <tr>
            <th>drive point</th>
            <th className="num">pulses a turn</th>
            <th className="num">at rated speed</th>
            <th>pulses read, Hz</th>
            <th className="num">speed</th>
          </tr>
        </thead>
        <tbody>
          {sensed.map((p) => {
            const rpm = rpmOf(Number.parseFloat(read[p.id] ?? ""), p.pulsesPerTurn ?? 0);
            return (
              <tr key={p.id}>
                <td>
                  {p.tag} {p.name}
                </td>
                <td className="num">{n(p.pulsesPerTurn ?? 0)}</td>
                <td className="num">{p.pulseHz === null ? "–" : `${n(p.pulseHz, 4)} Hz`}</td>
                <td>
                  <input
                    className="entry w-24"
                    inputMode="decimal"
                    aria-label={`Pulses read at ${p.tag}, Hz`}
                    value={read[p.id] ?? ""}
                    onChange={(e) => setRead({ ...read, [p.id]: e.target.value })}
                  />
                </td>
                <td className="num">{rpm === undefined ? "–" : `${n(rpm, 4)} rpm`}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
