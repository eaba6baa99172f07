import type { ChoiceField } from "./field";

/** A choice of the field table in a form that keeps its values until it is sent. */
export function FormChoice<T extends string>({
  field,
  value,
  width = "w-44",
  onChange,
}: {
  readonly field: ChoiceField & { readonly choices: Readonly<Record<T, string>> };
  readonly value: T;
  readonly width?: string;
  readonly onChange: (value: T) => void;
}) {
  return (
    <label className="flex items-center justify-between gap-2" title={field.help}>
      {field.name}
      <select className={`entry ${width}`} value={value} onChange={(e) => onChange(e.target.value as T)}>
        {Object.entries<string>(field.choices).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
