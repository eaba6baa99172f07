import type { HarmonicStudy } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { matrixVerdict } from "./harmonicWords";

/** Every harmonic figure in every scenario, the worst of each row marked; a click on a scenario looks at it. */
export function ScenarioMatrix({
  matrix,
  chosen,
  onChoose,
}: {
  readonly matrix: HarmonicStudy["matrix"];
  readonly chosen: string;
  readonly onChoose: (scenarioId: string) => void;
}) {
  const { scenarios } = useProject().project.specification;
  return (
    <table className="table mt-3" style={{ width: "auto" }} aria-label="Figures by scenario">
      <thead>
        <tr>
          <th>figure</th>
          <th className="num">limit</th>
          {scenarios.map((s) => (
            <th key={s.id} className="num max-w-32 pl-4 align-bottom" style={{ whiteSpace: "normal" }}>
              <button
                type="button"
                className={`text-right underline decoration-rule ${s.id === chosen ? "font-semibold text-plum" : ""}`}
                aria-pressed={s.id === chosen}
                onClick={() => onChoose(s.id)}
              >
                {s.name}
              </button>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {matrix.map((row) => (
          <tr key={row.name}>
            <td className="pr-6">{row.name}</td>
            <td className="num pr-6">
              {n(row.limit, 3)} {row.unit}
            </td>
            {row.figures.map((figure, i) => (
              <td key={scenarios[i]?.id ?? i} className={`num pr-6 ${i === row.worst ? "font-semibold" : ""}`}>
                {figure === null ? (
                  <span className="text-soft">off</span>
                ) : (
                  <span className="inline-flex items-center gap-1">
                    {i === row.worst && <VerdictMark verdict={matrixVerdict(figure, row.limit)} size={9} labelled />}
                    {n(figure, 3)}
                  </span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
