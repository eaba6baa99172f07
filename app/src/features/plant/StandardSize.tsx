import type { Transformer } from "../../api/client";
import { useProject } from "../../project/ProjectContext";
import { useCatalogue } from "../../project/useCatalogue";

/** Rating, impedance and losses by a size that is made, or by the smallest that carries what hangs behind. */
export function StandardSize({ transformer }: { readonly transformer: Transformer }) {
  const { run, project } = useProject();
  const series = useCatalogue().data?.transformers ?? [];
  const nearHz = (s: { readonly frequencyHz: number }) =>
    Math.abs(s.frequencyHz - project.specification.source.frequencyHz);
  const sizes = [...series].sort((a, b) => nearHz(a) - nearHz(b));
  const isNow = (s: (typeof sizes)[number]["sizes"][number]) =>
    s.ratedKva === transformer.ratedKva &&
    s.ukPct === transformer.ukPct &&
    s.loadLossKw === transformer.loadLossKw &&
    s.noLoadLossKw === transformer.noLoadLossKw;
  const now = sizes.flatMap((s) => s.sizes.filter(isNow).map((z) => `${s.key} ${z.ratedKva}`))[0] ?? "";
  const take = (value: string) => {
    const [key = "", kva] = value.split(" ");
    void run({
      kind: "use-transformer-size",
      elementId: transformer.id,
      series: key,
      ratedKva: kva === undefined ? null : Number(kva),
    });
  };
  return (
    <select
      className="entry w-32"
      aria-label={`Standard size of ${transformer.name}`}
      value={now}
      onChange={(event) => take(event.target.value)}
    >
      {now === "" && <option value="">own values</option>}
      {sizes.map((s) => (
        <optgroup key={s.key} label={s.name}>
          <option value={s.key}>smallest that holds</option>
          {s.sizes.map((z) => (
            <option key={z.ratedKva} value={`${s.key} ${z.ratedKva}`}>
              {`${z.ratedKva} kVA, ${z.ukPct} %`}
            </option>
          ))}
        </optgroup>
      ))}
    </select>
  );
}
