import { Button } from "../../../components/Button";
import type { Load } from "../../../api/client";
import { CellEntry } from "../../../fields/Entries";
import { fields } from "../../../fields/table";
import { useUnits } from "../../../fields/useUnits";
import type { Outcome } from "../../../components/draft";
import { useList } from "../../../components/useList";
import { CellQuantity } from "../../../components/CellFields";

type Pump = Extract<Load, { kind: "pump" }>;
type Curve = NonNullable<Pump["curve"]>;

// A curve to begin with: the usual shape through the rated point, to be replaced by the maker's.
function usual({ common, ratedHeadM }: Pump): Curve {
  const flow = common.ratedFlowM3PerS ?? 0.1;
  const head = ratedHeadM ?? 20;
  const best = common.ratedEfficiency ?? 0.75;
  const shutOff = common.shutOffPu ?? 1.25;
  return [0, 0.5, 1, 1.2].map((q) => ({
    flowM3PerS: Number((q * flow).toPrecision(6)),
    headM: Number((head * (shutOff - (shutOff - 1) * q * q)).toPrecision(5)),
    efficiency: q === 0 ? 0 : Number((best * q * (2 - q)).toPrecision(4)),
  }));
}

/** Flow, head and efficiency of a pump by its maker, at its rated speed. */
export function PumpCurveEntry({
  load,
  onChange,
}: {
  readonly load: Pump;
  readonly onChange: (curve: Curve) => Promise<Outcome>;
}) {
  const units = useUnits();
  const curve = load.curve ?? [];
  const edit = useList(curve, onChange);
  const set = (at: number, part: Partial<Curve[number]>) =>
    edit((now) => now.map((p, i) => (i === at ? { ...p, ...part } : p)));
  if (curve.length === 0) {
    return (
      <p className="my-1 flex items-center justify-between text-soft">
        Curve through head at no flow and rated point
        <button type="button" className="button" onClick={() => void onChange(usual(load))}>
          Maker’s curve …
        </button>
      </p>
    );
  }
  const flow = units.quantity("m³/s/liquid");
  return (
    <section aria-label="Curve of the pump" className="my-1">
      <h3 className="section-title">Curve at rated speed</h3>
      <table className="table w-auto">
        <thead>
          <tr>
            <th>flow, {flow.unit}</th>
            <th>head, {units.unit("m")}</th>
            <th>efficiency, %</th>
            <th>
              <span className="sr-only">remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {curve.map((p, i) => (
            <tr key={i}>
              <td>
                <CellQuantity
                  label={`Flow of point ${i + 1}`}
                  quantity={flow}
                  value={p.flowM3PerS}
                  width="w-16"
                  onCommit={(flowM3PerS) => set(i, { flowM3PerS })}
                />
              </td>
              {(["headM", "efficiency"] as const).map((key) => (
                <td key={key}>
                  <CellEntry
                    field={fields.PumpCurvePoint[key]}
                    whose={`point ${i + 1}`}
                    width="w-14"
                    value={p[key]}
                    onCommit={(v: number) => set(i, { [key]: v })}
                  />
                </td>
              ))}
              <td>
                <Button
                  aria-label={`Remove point ${i + 1}`}
                  why={curve.length <= 3 && "A curve has three points at least."}
                  onClick={() => void edit((now) => now.filter((_, k) => k !== i))}
                >
                  ×
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-1 flex gap-2">
        <button type="button" className="button" onClick={() => void edit(further)}>
          Add point
        </button>
        <button type="button" className="button" onClick={() => void onChange([])}>
          Without a curve
        </button>
      </div>
      <p className="text-[12px] text-soft">
        The rated point is where the plant needs the pump; its speed there follows from the curve.
      </p>
    </section>
  );
}

// One more, beyond the last as between the last two.
function further(curve: readonly Curve[number][]): readonly Curve[number][] {
  const [before, last] = curve.slice(-2);
  if (!before || !last) {
    return curve;
  }
  return [
    ...curve,
    {
      flowM3PerS: 2 * last.flowM3PerS - before.flowM3PerS,
      headM: Math.max(0, 2 * last.headM - before.headM),
      efficiency: Math.max(0.05, 2 * last.efficiency - before.efficiency),
    },
  ];
}
