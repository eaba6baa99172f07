import type { Scenario } from "../../api/client";
import { CellQuantity } from "../../components/Fields";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";

/** Operating scenarios: what each drive point does in each state of the plant. */
export function ScenarioGrid() {
  const { project, edit } = useProject();
  const { scenarios, lineups } = project.specification;
  const points = lineups.flatMap((l) => l.drivePoints);
  const change = (id: string, label: string, to: (scenario: Scenario) => Scenario) =>
    edit(label, (s) => ({ ...s, scenarios: s.scenarios.map((x) => (x.id === id ? to(x) : x)) }));
  const setState = (scenario: Scenario, pointId: string, state: { running: boolean; levelPu: number }) => {
    const others = scenario.states.filter((x) => x.drivePointId !== pointId);
    const usual = state.running && state.levelPu === 1;
    return { ...scenario, states: usual ? others : [...others, { drivePointId: pointId, ...state }] };
  };
  const add = () =>
    edit("Add scenario", (s) => {
      let number = s.scenarios.length + 1;
      while (s.scenarios.some((x) => x.id === `scenario-${number}`)) {
        number++;
      }
      return {
        ...s,
        scenarios: [
          ...s.scenarios,
          { id: `scenario-${number}`, name: `scenario ${number}`, linearLoadPu: 1, states: [] },
        ],
      };
    });
  return (
    <section aria-label="Scenarios">
      <h3 className="section-title">Scenarios</h3>
      <p className="text-soft">
        Every plant check runs over all scenarios and names the worst. Flow in per cent of the rated; unticked: off.
      </p>
      <div className="overflow-x-auto">
        <table className="table w-auto">
          <thead>
            <tr>
              <th className="min-w-44">drive point</th>
              {scenarios.map((s) => (
                <th key={s.id} className="min-w-40">
                  <input
                    className="entry font-semibold text-ink"
                    aria-label={`Name of scenario ${s.name}`}
                    defaultValue={s.name}
                    key={s.name}
                    onBlur={(e) => {
                      const name = e.target.value.trim();
                      if (name !== s.name) {
                        void change(s.id, "Scenario name", (x) => ({ ...x, name }));
                      }
                    }}
                  />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <tr>
              <td>linear load, % of entered</td>
              {scenarios.map((s) => (
                <td key={s.id}>
                  <CellQuantity
                    label={`Linear load in ${s.name}, %`}
                    quantity={quantities.fractionPercent}
                    value={s.linearLoadPu}
                    onCommit={(linearLoadPu) =>
                      change(s.id, `Linear load in ${s.name}`, (x) => ({ ...x, linearLoadPu }))
                    }
                  />
                </td>
              ))}
            </tr>
            {points.map((p) => (
              <tr key={p.id}>
                <td>
                  <span className="font-semibold text-plum">{p.tag}</span> {p.name}
                </td>
                {scenarios.map((s) => {
                  const state = s.states.find((x) => x.drivePointId === p.id) ?? { running: true, levelPu: 1 };
                  const label = `${p.tag} in ${s.name}`;
                  return (
                    <td key={s.id}>
                      <span className="flex items-center gap-2">
                        <input
                          type="checkbox"
                          className="accent-plum"
                          aria-label={`${label}: running`}
                          checked={state.running}
                          onChange={(e) =>
                            void change(s.id, label, (x) =>
                              setState(x, p.id, { levelPu: state.levelPu, running: e.target.checked }),
                            )
                          }
                        />
                        {state.running && (
                          <CellQuantity
                            label={`${label}: flow, %`}
                            quantity={quantities.fractionPercent}
                            value={state.levelPu}
                            onCommit={(levelPu) =>
                              change(s.id, label, (x) => setState(x, p.id, { running: true, levelPu }))
                            }
                          />
                        )}
                      </span>
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <td>
                <button type="button" className="button" onClick={() => void add()}>
                  Add scenario
                </button>
              </td>
              {scenarios.map((s) => (
                <td key={s.id}>
                  {scenarios.length > 1 && (
                    <button
                      type="button"
                      className="button"
                      onClick={() =>
                        void edit(`Remove scenario ${s.name}`, (x) => ({
                          ...x,
                          scenarios: x.scenarios.filter((y) => y.id !== s.id),
                        }))
                      }
                    >
                      Remove
                    </button>
                  )}
                </td>
              ))}
            </tr>
          </tfoot>
        </table>
      </div>
    </section>
  );
}
