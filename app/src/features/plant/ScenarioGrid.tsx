import type { Scenario, Specification } from "../../api/client";
import { CellText } from "../../components/CellFields";
import { SheetGrid, type Written } from "../../components/SheetGrid";
import { useProject } from "../../project/ProjectContext";
import { apply, isUnusual, rowsOf, textOf, type SheetRow } from "./scenarioSheet";

/** Operating scenarios as a sheet: what every drive point, load, switch and bank does in each state of the plant. */
export function ScenarioGrid() {
  const { project, edit } = useProject();
  const { specification } = project;
  const { scenarios } = specification;
  const rows = rowsOf(specification);
  const write = async (cells: readonly Written[]) => {
    const result = writeCells(scenarios, rows, cells);
    return typeof result === "string"
      ? result
      : edit(label(cells, rows, scenarios), (s) => ({ ...s, scenarios: [...result] }));
  };
  return (
    <section aria-label="Scenarios">
      <h3 className="section-title flex flex-wrap items-center gap-2">
        Scenarios
        <button type="button" className="button font-normal" onClick={() => void edit("Add scenario", (s) => add(s))}>
          Add scenario
        </button>
      </h3>
      <p className="text-soft">
        Every plant check runs over all scenarios and names the worst. Type on, off, a level (80 %) or level × load (80
        % × 90 %); open or closed; steps. Copy and paste blocks, Ctrl-D fills down, Ctrl-R to the right, Delete clears.
      </p>
      <SheetGrid
        label="Scenarios"
        rows={rows.map((r) => ({
          id: r.id,
          name: r.kind === "point" ? r.tag : r.name,
          heading:
            r.kind === "point" ? (
              <>
                <span className="font-semibold text-plum">{r.tag}</span> {r.name}
              </>
            ) : (
              r.name
            ),
        }))}
        columns={scenarios.map((s) => ({
          id: s.id,
          name: s.name,
          heading: (
            <CellText
              label={`Name of scenario ${s.name}`}
              value={s.name}
              onCommit={(name) =>
                edit("Scenario name", (x) => ({
                  ...x,
                  scenarios: x.scenarios.map((y) => (y.id === s.id ? { ...y, name } : y)),
                }))
              }
            />
          ),
        }))}
        textAt={({ row, column }) => cellOf(scenarios, rows, row, column, textOf) ?? ""}
        strong={({ row, column }) => cellOf(scenarios, rows, row, column, isUnusual) ?? false}
        onWrite={write}
        footer={
          <tr>
            <td />
            {scenarios.map((s) => (
              <td key={s.id} className="p-1">
                <span className="flex gap-1">
                  <button
                    type="button"
                    className="button"
                    aria-label={`Duplicate ${s.name}`}
                    onClick={() => void edit(`Duplicate ${s.name}`, (x) => add(x, s))}
                  >
                    Duplicate
                  </button>
                  {scenarios.length > 1 && (
                    <button
                      type="button"
                      className="button"
                      aria-label={`Remove ${s.name}`}
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
                </span>
              </td>
            ))}
          </tr>
        }
      />
    </section>
  );
}

function cellOf<T>(
  scenarios: readonly Scenario[],
  rows: readonly SheetRow[],
  row: number,
  column: number,
  read: (scenario: Scenario, row: SheetRow) => T,
): T | undefined {
  const scenario = scenarios[column];
  const found = rows[row];
  return scenario && found ? read(scenario, found) : undefined;
}

// All or none: the first text that can't stand is named with its cell.
function writeCells(
  scenarios: readonly Scenario[],
  rows: readonly SheetRow[],
  cells: readonly Written[],
): readonly Scenario[] | string {
  const next = [...scenarios];
  for (const { row, column, text } of cells) {
    const scenario = next[column];
    const found = rows[row];
    if (scenario && found) {
      const applied = apply(scenario, found, text);
      if (!applied.ok) {
        return `${found.kind === "point" ? found.tag : found.name} in ${scenario.name}: ${applied.problem}`;
      }
      next[column] = applied.scenario;
    }
  }
  return next;
}

function label(cells: readonly Written[], rows: readonly SheetRow[], scenarios: readonly Scenario[]): string {
  const first = cells[0];
  const row = first && rows[first.row];
  const what = row ? (row.kind === "point" ? row.tag : row.name) : "";
  return cells.length === 1
    ? `${what} in ${scenarios[first?.column ?? 0]?.name ?? ""}`
    : `${cells.length} scenario cells`;
}

function add(specification: Specification, from?: Scenario): Specification {
  const ids = new Set(specification.scenarios.map((s) => s.id));
  let number = specification.scenarios.length + 1;
  while (ids.has(`scenario-${number}`)) {
    number++;
  }
  const id = `scenario-${number}`;
  const scenario: Scenario = from
    ? { ...from, id, name: `${from.name} copy`.slice(0, 60) }
    : { id, name: `scenario ${number}`, states: [], loadStates: [], switches: [], bankStates: [] };
  return { ...specification, scenarios: [...specification.scenarios, scenario] };
}
