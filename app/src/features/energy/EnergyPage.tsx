import { Empty } from "../../components/States";
import { VerdictWord } from "../../components/VerdictMark";
import { money, n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { PlantAlternatives } from "./PlantAlternatives";

/** A year of every drive point. */
export function EnergyPage({ onCell }: { readonly onCell: (drivePointId: string) => void }) {
  const { project } = useProject();
  const { specification, assessment } = project;
  const { tariff } = specification;
  const points = specification.lineups.flatMap((l) => l.drivePoints);
  const rows = points.map((p) => ({
    point: p,
    figures: assessment.drivePoints.find((d) => d.drivePointId === p.id),
    check: assessment.checks.find((c) => c.drivePointId === p.id && c.id === "energy.best-alternative"),
  }));
  const energy = rows.reduce((sum, r) => sum + (r.figures?.yearKwh ?? 0), 0);
  const saving = rows.reduce((sum, r) => sum + (r.figures?.savingPerYear ?? 0), 0);
  if (points.length === 0) {
    return (
      <div className="p-4">
        <Empty>No drive points yet.</Empty>
      </div>
    );
  }
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">Efficiency and yearly cost</h2>
      <p className="text-soft">
        At {n(tariff.energyPerKwh)} {tariff.currency}/kWh and {n(tariff.demandPerKwYear)} {tariff.currency} per kW and
        year; lifetime over {tariff.years} years at {tariff.discountRatePct} %.
      </p>
      <table className="table mt-3">
        <thead>
          <tr>
            <th>drive point</th>
            <th className="num">shaft kW</th>
            <th className="num">meter kW</th>
            <th className="num">η %</th>
            <th className="num">MWh/a</th>
            <th className="num">CO₂ t/a</th>
            <th className="num">saved {tariff.currency}/a</th>
            <th>against the best alternative</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ point, figures, check }) => (
            <tr key={point.id}>
              <td>
                <button type="button" className="text-left underline decoration-rule" onClick={() => onCell(point.id)}>
                  <span className="font-semibold text-plum">{point.tag}</span> {point.name}
                </button>
              </td>
              <td className="num">{n(figures?.shaftPowerKw)}</td>
              <td className="num">{n(figures?.linePowerKw)}</td>
              <td className="num">
                {figures?.shaftPowerKw != null && figures.linePowerKw != null && figures.shaftPowerKw > 0
                  ? n((100 * figures.shaftPowerKw) / figures.linePowerKw)
                  : "–"}
              </td>
              <td className="num">{figures?.yearKwh == null ? "–" : n(figures.yearKwh / 1000, 4)}</td>
              <td className="num">
                {figures?.yearKwh == null ? "–" : n((figures.yearKwh * tariff.co2KgPerKwh) / 1000)}
              </td>
              <td className="num">{money(figures?.savingPerYear)}</td>
              <td>{check && <VerdictWord verdict={check.verdict} />}</td>
            </tr>
          ))}
          <tr className="font-bold">
            <td>Together</td>
            <td colSpan={3} />
            <td className="num">{n(energy / 1000, 4)}</td>
            <td className="num">{n((energy * tariff.co2KgPerKwh) / 1000)}</td>
            <td className="num">{money(saving)}</td>
            <td />
          </tr>
        </tbody>
      </table>
      <PlantAlternatives />
      <p className="mt-2 text-[12px] text-soft">
        Alternatives of each, their duty points and reasons stand on the bench of each drive point, under Cost.
      </p>
    </div>
  );
}
