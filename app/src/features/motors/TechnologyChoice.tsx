import { technologyNames, type OwnMotor } from "./plate";

/** Kind of motor. */
export function TechnologyChoice({
  value,
  onChange,
}: {
  readonly value: OwnMotor["technology"];
  readonly onChange: (value: OwnMotor["technology"]) => void;
}) {
  return (
    <label className="flex items-center justify-between gap-2">
      Kind
      <select className="entry w-44" value={value} onChange={(e) => onChange(e.target.value as OwnMotor["technology"])}>
        {Object.entries(technologyNames).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
