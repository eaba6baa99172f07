import { money } from "../../lib/format";

/** The cheapest at one combination of hours and price. */
export interface Corner {
  readonly hoursPu: number;
  readonly pricePu: number;
  readonly bestKey: string;
  readonly bestName: string;
  readonly lifetimeCost: number;
}

/** Which is cheapest when hours and energy price are not what was thought; where it turns is marked. */
export function Sensitivity({ corners, currency }: { readonly corners: readonly Corner[]; readonly currency: string }) {
  const base = corners.find((s) => s.hoursPu === 1 && s.pricePu === 1)?.bestKey;
  const prices = [...new Set(corners.map((s) => s.pricePu))];
  const hours = [...new Set(corners.map((s) => s.hoursPu))];
  return (
    <section aria-label="Sensitivity">
      <h3 className="section-title">Cheapest when hours and energy price are not what was thought</h3>
      <table className="table w-auto">
        <thead>
          <tr>
            <th>hours</th>
            {prices.map((p) => (
              <th key={p}>energy price {100 * p} %</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {hours.map((h) => (
            <tr key={h}>
              <td>{100 * h} %</td>
              {prices.map((p) => {
                const corner = corners.find((s) => s.hoursPu === h && s.pricePu === p);
                const turned = corner && corner.bestKey !== base;
                return (
                  <td key={p} className={`pr-6 ${turned ? "font-bold text-plum" : ""}`}>
                    {turned && "↻ "}
                    {corner?.bestName}
                    <span className="block font-mono text-[12px] text-soft">
                      {money(corner?.lifetimeCost ?? 0)} {currency}
                    </span>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
