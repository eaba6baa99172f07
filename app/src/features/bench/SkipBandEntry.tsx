import { Button } from "../../components/Button";
import type { DrivePoint } from "../../api/client";
import { CellQuantity } from "../../components/CellFields";
import { useList } from "../../components/useList";
import type { Outcome } from "../../components/draft";
import { quantityIn } from "../../fields/units";

type Band = DrivePoint["skipBands"][number];

/** Speeds at which the machine resonates: from and to, at the motor's shaft. */
export function SkipBandEntry({
  bands,
  onChange,
}: {
  readonly bands: readonly Band[];
  readonly onChange: (bands: readonly Band[]) => Promise<Outcome>;
}) {
  const edit = useList(bands, onChange);
  const set = (at: number, part: Partial<Band>) => edit((now) => now.map((b, i) => (i === at ? { ...b, ...part } : b)));
  return (
    <section aria-label="Skipped speeds" className="my-2">
      <div className="flex items-center justify-between">
        <span className="text-soft">Skipped speeds, rpm</span>
        <Button
          why={bands.length >= 4 && "There are four bands, the most that there can be."}
          onClick={() => void edit((now) => [...now, { fromRpm: 500, toRpm: 550 }])}
        >
          Add band
        </Button>
      </div>
      {bands.map((b, i) => (
        <div key={i} className="mt-1 flex items-center gap-2">
          <CellQuantity
            label={`Band ${i + 1} from`}
            quantity={quantityIn("si", "rpm")}
            value={b.fromRpm}
            onCommit={(fromRpm) => set(i, { fromRpm })}
          />
          to
          <CellQuantity
            label={`Band ${i + 1} to`}
            quantity={quantityIn("si", "rpm")}
            value={b.toRpm}
            onCommit={(toRpm) => set(i, { toRpm })}
          />
          <button
            type="button"
            className="button"
            aria-label={`Remove band ${i + 1}`}
            onClick={() => void edit((now) => now.filter((_, k) => k !== i))}
          >
            Remove
          </button>
        </div>
      ))}
    </section>
  );
}
