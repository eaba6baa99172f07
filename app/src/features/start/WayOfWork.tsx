import { VerdictMark } from "../../components/VerdictMark";

const steps = [
  ["Plant", "source, transformers, buses, codes"],
  ["Loads", "what turns, how fast, how often"],
  ["Motors", "which one lasts and pays"],
  ["Converters", "starter or converter, derated here"],
  ["Proof", "currents, heat, starts, harmonics, cost"],
  ["Sheets", "specification, lists, files"],
] as const;

/** What the program does, in one picture: entries on the left, what is computed from them on the right. */
export function WayOfWork() {
  return (
    <ol aria-label="What Cuadrilla does" className="mt-3 grid grid-cols-6 border-t-4 border-ink">
      {steps.map(([name, what], i) => (
        <li key={name} className="relative pt-2 pr-3">
          <span
            aria-hidden
            className="absolute -top-[11px] left-0 block h-[18px] w-[18px] rounded-full border-4 border-ink bg-ground"
          />
          <span className="mt-2 flex items-center gap-1.5 font-bold">
            {name}
            {i === 4 && (
              <span className="flex gap-1" aria-hidden>
                <VerdictMark verdict="holds" size={11} />
                <VerdictMark verdict="tight" size={11} />
                <VerdictMark verdict="fails" size={11} />
              </span>
            )}
          </span>
          <span className="block text-[12.5px] text-soft">{what}</span>
        </li>
      ))}
    </ol>
  );
}
