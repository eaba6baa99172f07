import { Button } from "../../../components/Button";
import type { FluidMachine } from "../../../api/client";
import { CellQuantity } from "../../../components/CellFields";
import { useList } from "../../../components/useList";
import type { Outcome } from "../../../components/draft";
import { quantityIn } from "../../../fields/units";

type Curve = FluidMachine["vaneCurve"];

// Where an own curve begins: the catalogue's at a few flows, to be replaced by the maker's.
const start: Curve = [
  { flowPu: 0.3, powerPu: 0.38 },
  { flowPu: 0.6, powerPu: 0.52 },
  { flowPu: 1, powerPu: 1 },
];

/** Shaft power over flow with inlet vanes: the catalogue's curve, or the fan's own point by point. */
export function VaneCurveEntry({
  curve,
  onChange,
}: {
  readonly curve: Curve;
  readonly onChange: (curve: Curve) => Promise<Outcome>;
}) {
  const edit = useList(curve, onChange);
  const set = (at: number, part: Partial<Curve[number]>) =>
    edit((now) => now.map((p, i) => (i === at ? { ...p, ...part } : p)));
  if (curve.length === 0) {
    return (
      <p className="my-1 flex items-center justify-between text-soft">
        Vanes by the catalogue’s curve
        <button type="button" className="button" onClick={() => void onChange(start)}>
          Own curve
        </button>
      </p>
    );
  }
  const last = curve.at(-1);
  return (
    <section aria-label="Curve with inlet vanes" className="my-1">
      <table className="table w-auto">
        <thead>
          <tr>
            <th>flow, %</th>
            <th>shaft power, %</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {curve.map((p, i) => (
            <tr key={i}>
              <td>
                <CellQuantity
                  label={`Flow of point ${i + 1}`}
                  quantity={quantityIn("si", "%/part")}
                  value={p.flowPu}
                  onCommit={(flowPu) => set(i, { flowPu })}
                />
              </td>
              <td>
                <CellQuantity
                  label={`Power at point ${i + 1}`}
                  quantity={quantityIn("si", "%/part")}
                  value={p.powerPu}
                  onCommit={(powerPu) => set(i, { powerPu })}
                />
              </td>
              <td>
                <Button
                  aria-label={`Remove point ${i + 1}`}
                  why={curve.length <= 2 && "A curve has two points at least."}
                  onClick={() => void edit((now) => now.filter((_, k) => k !== i))}
                >
                  Remove
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-1 flex gap-2">
        <Button
          why={
            last
              ? last.flowPu > 1.1 && "The curve reaches as far as it may, 115 % of the flow."
              : "There is no point to go on from."
          }
          onClick={() =>
            last && void edit((now) => [...now, { flowPu: last.flowPu + 0.05, powerPu: last.powerPu + 0.05 }])
          }
        >
          Add point
        </Button>
        <button type="button" className="button" onClick={() => void onChange([])}>
          Catalogue’s curve
        </button>
      </div>
    </section>
  );
}
