import { useProject } from "../../project/ProjectContext";

/** Which scenario a laboratory looks at. */
export function ScenarioChoice({
  value,
  onChange,
}: {
  readonly value: string;
  readonly onChange: (id: string) => void;
}) {
  const { scenarios } = useProject().project.specification;
  return (
    <select className="entry w-56" aria-label="Scenario" value={value} onChange={(e) => onChange(e.target.value)}>
      {scenarios.map((s) => (
        <option key={s.id} value={s.id}>
          {s.name}
        </option>
      ))}
    </select>
  );
}
