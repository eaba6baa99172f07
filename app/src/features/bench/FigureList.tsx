import type { Figure } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import type { Reasoned } from "./ReasonSheet";

// Power of a shaft is told in hp where people do so; power of the line is not.
const shafts: ReadonlySet<string> = new Set(["shaft-power", "stop-power", "regenerated"]);

/** Numbers, each a button that opens its reason. */
export function FigureList({
  figures,
  only,
  onFigure,
}: {
  readonly figures: readonly Figure[];
  readonly only: readonly string[];
  readonly onFigure: (subject: Reasoned) => void;
}) {
  const units = useUnits();
  const shown = only.flatMap((id) => figures.filter((f) => f.id === id));
  return shown.length === 0 ? null : (
    <ul className="mt-2">
      {shown.map((f) => (
        <li key={f.id} className="border-b border-rule">
          <button
            type="button"
            className="flex w-full justify-between gap-2 py-1 text-left hover:bg-plum-wash"
            onClick={() => onFigure({ title: f.name, reason: f.reason, figure: f.id })}
          >
            <span>{f.name}</span>
            <span className="whitespace-nowrap font-mono">
              {units.say(f.value, f.unit, 4, shafts.has(f.id) ? "hp" : undefined)}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

/** What has to be entered first. */
export function Missing({ names }: { readonly names: readonly string[] }) {
  return (
    <p className="border-l-4 border-soft bg-card p-2">
      <strong>Needs data:</strong> {names.join(", ")}.
    </p>
  );
}
