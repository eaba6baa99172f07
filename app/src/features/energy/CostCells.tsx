import { money, n } from "../../lib/format";

/** Cost of a year of something, and what it gains against a reference. */
export interface Costed {
  readonly energyKwh: number;
  readonly demandKw: number;
  readonly costPerYear: number;
  readonly co2Kg: number;
  readonly equipmentCost: number;
  readonly lifetimeCost: number;
  readonly returned: { readonly burntKwh: number; readonly toLineKwh: number };
  readonly against: {
    readonly paybackYears: number | null;
    readonly netPresentValue: number;
    readonly breakEvenHoursPu: number | null;
    readonly breakEvenEnergyPerKwh: number | null;
  } | null;
}

/** Heads of the columns that <see CostCells> fills. */
export const costHeads = (currency: string): readonly string[] => [
  "MWh/a",
  "kW peak",
  `${currency}/a`,
  "t CO₂/a",
  `equipment ${currency}`,
  `life-cycle cost, ${currency}`,
  "payback a",
  `NPV ${currency}`,
  "break-even h %",
  `break-even ${currency}/kWh`,
  "burnt MWh/a",
  "returned MWh/a",
];

/** Energy, cost and what it gains, one cell each. */
export function CostCells({ of, isReference }: { readonly of: Costed; readonly isReference: boolean }) {
  const { against } = of;
  return (
    <>
      <td className="num">{n(of.energyKwh / 1000)}</td>
      <td className="num">{n(of.demandKw)}</td>
      <td className="num">{money(of.costPerYear)}</td>
      <td className="num">{n(of.co2Kg / 1000)}</td>
      <td className="num">{money(of.equipmentCost)}</td>
      <td className="num">{money(of.lifetimeCost)}</td>
      {isReference ? (
        <td colSpan={4} className="text-center text-soft">
          reference
        </td>
      ) : (
        <>
          <td className="num">{against?.paybackYears == null ? "never" : n(against.paybackYears)}</td>
          <td className="num">{against ? money(against.netPresentValue) : "–"}</td>
          <td className="num">{against?.breakEvenHoursPu == null ? "–" : n(100 * against.breakEvenHoursPu)}</td>
          <td className="num">{n(against?.breakEvenEnergyPerKwh)}</td>
        </>
      )}
      <td className="num">{of.returned.burntKwh > 0 ? n(of.returned.burntKwh / 1000) : "–"}</td>
      <td className="num">{of.returned.toLineKwh > 0 ? n(of.returned.toLineKwh / 1000) : "–"}</td>
    </>
  );
}
