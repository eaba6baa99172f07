import type { Bench } from "../../api/client";
import { Frame, NumberTable } from "../../charts/Frame";
import { blue, ink, plum, soft } from "../../charts/axes";
import { n } from "../../lib/format";

type Power = NonNullable<Bench["lineCurrent"]>["power"];

/** P, Q1 and D at right angles to each other, each to scale along its own axis, D towards the back; S is the diagonal. */
export function PowerTriangle({
  power,
  displacement,
  truePowerFactor,
}: {
  readonly power: Power;
  readonly displacement: number;
  readonly truePowerFactor: number;
}) {
  const { activeKw: p, reactiveKvar: q, distortionKva: d, apparentKva: s } = power;
  const width = 340;
  const slant = Math.SQRT1_2;
  const scale = Math.min(200 / Math.max(p + slant * d, 1e-9), 92 / Math.max(q + slant * d, 1e-9));
  const x = 20 + p * scale;
  const base = 116;
  const first = base - q * scale;
  const backX = x + slant * d * scale;
  const second = first - slant * d * scale;
  return (
    <Frame
      title="Power at the line, all phases"
      legend={[
        { name: "P", colour: plum, shape: "line" },
        { name: "Q₁", colour: blue, shape: "line" },
        { name: "D", colour: soft, shape: "line" },
        { name: "S", colour: ink, shape: "dash" },
      ]}
      table={
        <NumberTable
          heads={["part", "value", "meaning"]}
          rows={[
            ["P", `${n(p)} kW`, "active"],
            ["Q₁", `${n(q)} kvar`, "reactive, fundamental"],
            ["D", `${n(d)} kVA`, "distortion"],
            ["S", `${n(s)} kVA`, "apparent, S² = P² + Q₁² + D²"],
            ["cos φ₁", n(displacement), "displacement factor, phase A"],
            ["1/√(1+THDi²)", n(truePowerFactor / displacement), "distortion factor, phase A"],
            ["λ", n(truePowerFactor), "true power factor, their product"],
          ]}
        />
      }
    >
      <svg width={width} height="132" viewBox={`0 0 ${width} 132`} fontSize="11" role="img" aria-label="P, Q1, D and S">
        <path d={`M20 ${base}H${x}`} stroke={plum} strokeWidth="3" />
        <path d={`M${x} ${base}V${first}`} stroke={blue} strokeWidth="3" />
        <path d={`M${x} ${first}L${backX} ${second}`} stroke={soft} strokeWidth="3" />
        <path d={`M20 ${base}L${backX} ${second}`} stroke={ink} strokeWidth="1.6" strokeDasharray="5 3" />
        <text x={20 + (p * scale) / 2} y={base + 13} textAnchor="middle" fill={plum}>
          P {n(p)} kW
        </text>
        <text x={x + 7} y={(base + first) / 2 + 6} fill={blue}>
          Q₁ {n(q)} kvar
        </text>
        <text x={backX + 7} y={second + 10} fill={soft}>
          D {n(d)} kVA
        </text>
        <text x={20 + (p * scale) / 2} y={(base + second) / 2 - 10} textAnchor="middle" fill={ink}>
          S {n(s)} kVA
        </text>
      </svg>
    </Frame>
  );
}
