import { Popover } from "radix-ui";
import { usualColumns, type ListColumn } from "./listColumns";

/** Which columns the list shows. */
export function ColumnChooser({
  columns,
  shown,
  onChange,
}: {
  readonly columns: readonly ListColumn[];
  readonly shown: readonly string[];
  readonly onChange: (ids: readonly string[]) => void;
}) {
  const parts = [...new Set(columns.map((c) => c.part))];
  return (
    <Popover.Root>
      <Popover.Trigger className="button">Columns …</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          aria-label="Columns of the list"
          className="z-40 max-h-[60vh] w-[640px] overflow-auto rounded border border-rule bg-panel p-3 shadow-lg"
        >
          <div className="columns-3 gap-4">
            {parts.map((part) => (
              <fieldset key={part} className="mb-2 break-inside-avoid">
                <legend className="font-bold">{part}</legend>
                {columns
                  .filter((c) => c.part === part)
                  .map((c) => (
                    <label key={c.id} className="flex items-baseline gap-1.5 text-[12.5px]">
                      <input
                        type="checkbox"
                        className="accent-plum"
                        checked={shown.includes(c.id)}
                        onChange={(e) =>
                          onChange(e.target.checked ? [...shown, c.id] : shown.filter((id) => id !== c.id))
                        }
                      />
                      {c.name}
                    </label>
                  ))}
              </fieldset>
            ))}
          </div>
          <button type="button" className="button" onClick={() => onChange(usualColumns)}>
            The usual ones
          </button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
