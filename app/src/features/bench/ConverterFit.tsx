import type { Bench } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";

/** From plate rating to site rating, each rung with its source. */
export function Ladder({ ladder }: { readonly ladder: Bench["ladder"] }) {
  const units = useUnits();
  return (
    <table className="table mt-2">
      <thead>
        <tr>
          <th>plate rating to site rating</th>
          <th className="num">factor</th>
          <th className="num">A</th>
        </tr>
      </thead>
      <tbody>
        {ladder.map((r) => (
          <tr key={r.name}>
            <td className="whitespace-normal!">
              {units.sentence(r.name)}
              <span className="block text-[12px] text-soft">{units.sentence(r.source)}</span>
            </td>
            <td className="num align-top">{r.factor.toFixed(3)}</td>
            <td className="num align-top">{n(r.currentA, 4)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What front end, filter and cable leave of the supply's voltage. */
export function VoltageWay({ voltage }: { readonly voltage: NonNullable<Bench["voltage"]> }) {
  const rows = [
    ["supply", voltage.supplyV],
    ["front end", -voltage.frontV],
    ["filter", -voltage.filterV],
    ["motor cable", -voltage.cableV],
  ] as const;
  return (
    <table className="table mt-2">
      <thead>
        <tr>
          <th>voltage to the motor, at rated current</th>
          <th className="num">V</th>
          <th className="num">%</th>
        </tr>
      </thead>
      <tbody>
        {rows
          .filter(([name, v]) => name === "supply" || v !== 0)
          .map(([name, v]) => (
            <tr key={name}>
              <td>{name}</td>
              <td className="num">{n(v, 4)}</td>
              <td className="num">{n((100 * v) / voltage.supplyV)}</td>
            </tr>
          ))}
        <tr className="font-bold">
          <td>at the motor, linked for {n(voltage.linkedV, 4)} V</td>
          <td className="num">{n(voltage.atMotorV, 4)}</td>
          <td className="num">{n((100 * voltage.atMotorV) / voltage.supplyV)}</td>
        </tr>
      </tbody>
    </table>
  );
}
