import type { ResistorPulse } from "../../api/client";
import { CellQuantity } from "../../components/CellFields";
import { useList } from "../../components/useList";
import type { Outcome } from "../../components/draft";
import { quantityIn } from "../../fields/units";

type Pulses = ResistorPulse[];

// Where a maker's own rating begins: as wire-wound resistors in air stand it, to be replaced.
const start: Pulses = [
  { timeS: 1, powerPu: 20 },
  { timeS: 10, powerPu: 8 },
  { timeS: 60, powerPu: 2 },
];

/** What a brake resistor stands for a short time: the usual rating, or the maker's point by point. */
export function PulseEntry({
  pulses,
  onChange,
}: {
  readonly pulses: Pulses;
  readonly onChange: (pulses: Pulses) => Promise<Outcome>;
}) {
  const edit = useList(pulses, onChange);
  const set = (at: number, part: Partial<Pulses[number]>) =>
    edit((now) => now.map((p, i) => (i === at ? { ...p, ...part } : p)));
  const last = pulses.at(-1);
  if (!last) {
    return (
      <p className="my-1 flex items-center justify-between gap-2 text-soft">
        Shorter pulses as wire-wound resistors stand them: 20 times for 1 s to twice for 60 s (assumed)
        <button type="button" className="button" onClick={() => void onChange(start)}>
          Maker’s rating
        </button>
      </p>
    );
  }
  return (
    <section aria-label="Short-time rating of the resistor" className="my-1">
      <table className="table w-auto">
        <thead>
          <tr>
            <th>time, s</th>
            <th>power, × continuous</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {pulses.map((p, i) => (
            <tr key={i}>
              <td>
                <CellQuantity
                  label={`Time of pulse ${i + 1}`}
                  quantity={quantityIn("si", "s")}
                  value={p.timeS}
                  onCommit={(timeS) => set(i, { timeS })}
                />
              </td>
              <td>
                <CellQuantity
                  label={`Power of pulse ${i + 1}`}
                  quantity={quantityIn("si", "")}
                  value={p.powerPu}
                  onCommit={(powerPu) => set(i, { powerPu })}
                />
              </td>
              <td>
                <button
                  type="button"
                  className="button"
                  aria-label={`Remove pulse ${i + 1}`}
                  onClick={() => void edit((now) => now.filter((_, k) => k !== i))}
                >
                  Remove
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-1 flex gap-2">
        <button
          type="button"
          className="button"
          onClick={() =>
            void edit((now) => [...now, { timeS: 2 * last.timeS, powerPu: Math.max(1, last.powerPu / 2) }])
          }
        >
          Add pulse
        </button>
        <button type="button" className="button" onClick={() => void onChange([])}>
          Usual rating
        </button>
      </div>
    </section>
  );
}
