import { api, type CheckKey, type GeneratorAnswer } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { CheckList } from "../bench/CellChecks";
import { useLab } from "../lineups/useLab";
import { StandbyEntry } from "../plant/StandbyEntry";
import { SourceEntry } from "../plant/SourceEntry";
import { FigureCards } from "../../components/FigureCards";
import { SetSizes } from "./SetSizes";
import { ShedTable } from "./ShedTable";
import { isOfGenerator } from "./subjects";

/** The generator that feeds the plant: what it carries, what its starts leave, other sizes, what has to be shed. */
export function GeneratorPage({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { project } = useProject();
  const found = useLab<GeneratorAnswer>(["generator"], (id) =>
    api.GET("/api/projects/{id}/generator", { params: { path: { id } } }),
  );
  const isSource = project.specification.source.strength.kind === "generator";
  const scenarios = new Set(project.specification.scenarios.filter((s) => isSource || s.onStandby).map((s) => s.name));
  const checks = project.assessment.checks.filter(
    (c) => isOfGenerator(c.id) || (c.id === "supply.start-dip" && scenarios.has(c.scenario)),
  );
  return (
    <div className="mt-3 grid grid-cols-[18rem_minmax(0,1fr)] gap-x-6">
      <section aria-label="Entries of the generator" className="min-w-0">
        {isSource ? <SourceEntry /> : <StandbyEntry />}
      </section>
      <div className="min-w-0">
        {found.isPending ? (
          <Loading what="generator" />
        ) : found.isError ? (
          <p className="border-l-4 border-soft bg-card p-2">
            <strong>Needs data:</strong> a scenario on the generator: in Plant, Scenarios, “generator” in the row “fed
            by”, with the transformers to the mains open.
          </p>
        ) : (
          <Answer answer={found.data} />
        )}
        <section aria-label="Checks of the generator">
          <h3 className="section-title">Checks</h3>
          <CheckList columns={2} checks={checks} onReason={onReason} />
        </section>
        {found.data && <ShedTable />}
        {found.data && <SetSizes />}
      </div>
    </div>
  );
}

function Answer({ answer }: { readonly answer: GeneratorAnswer }) {
  const cells: readonly (readonly [string, string])[] = [
    ["Feeds", answer.bus],
    ["Rated, all sets", `${say(answer.kva, "kVA")}, ${say(answer.kw, "kW")}`],
    [
      "Largest motor, if across the line",
      answer.startKva === 0
        ? "none on the line"
        : `${say(answer.startKva, "kVA")} of ${say(answer.largestStartKva, "kVA")}`,
    ],
    [
      "Dip if so started",
      answer.lastingPct === null || answer.startKva === 0
        ? "–"
        : `${say(answer.firstPct, "%")} at once, ${say(answer.lastingPct, "%")} lasting, ${say(answer.permittedPct, "%")} permitted`,
    ],
  ];
  return (
    <>
      <FigureCards cells={cells} />
      <section aria-label="Scenarios on the generator">
        <h3 className="section-title">What it carries</h3>
        {answer.scenarios.length === 0 ? (
          <Failed what="No scenario could be computed." detail="The checks below say what is missing." />
        ) : (
          <table className="table w-auto">
            <thead>
              <tr>
                <th>scenario</th>
                <th className="num">kVA</th>
                <th className="num">kW</th>
                <th className="num">kvar</th>
                <th className="num">of its kVA</th>
                <th className="num">of its kW</th>
                <th className="num">THDv</th>
                <th className="num">lowest voltage</th>
              </tr>
            </thead>
            <tbody>
              {answer.scenarios.map((s) => (
                <tr key={s.id}>
                  <td>{s.name}</td>
                  <td className="num">{n(s.kva)}</td>
                  <td className="num">{n(s.kw)}</td>
                  <td className="num">{s.kvar < 0 ? `${n(-s.kvar)} leading` : n(s.kvar)}</td>
                  <td className="num">{answer.kva ? `${n((100 * s.kva) / answer.kva)} %` : "–"}</td>
                  <td className="num">{answer.kw ? `${n((100 * s.kw) / answer.kw)} %` : "–"}</td>
                  <td className="num">{say(s.distortionPct, "%")}</td>
                  <td className="num">{say(s.leastVoltagePct, "%")}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
    </>
  );
}

const say = (value: number | null, unit: string): string => (value === null ? "–" : `${n(value)} ${unit}`);
