import type { Bench } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { useProject } from "../../project/ProjectContext";

/** Usual values for entries that are open: proposed with the reason, taken when they are accepted, by name. */
export function UsualBox({
  usual,
  assumed,
  columns,
}: Pick<Bench, "usual" | "assumed"> & { readonly columns: readonly string[] }) {
  return (
    <>
      {assumed.length > 0 && <AssumedList assumed={assumed} columns={columns} />}
      {usual.length > 0 && <UsualList usual={usual} columns={columns} />}
    </>
  );
}

/** What was assumed and nobody has confirmed. */
function AssumedList({
  assumed,
  columns,
}: {
  readonly assumed: Bench["assumed"];
  readonly columns: readonly string[];
}) {
  const { run } = useProject();
  const units = useUnits();
  return (
    <details className="my-2 border-l-4 border-dashed border-tight bg-card p-2">
      <summary className="cursor-pointer">
        <span className="font-semibold">Assumed</span>, not confirmed: {assumed.length}{" "}
        {assumed.length === 1 ? "entry" : "entries"}
      </summary>
      <ul className="mt-1">
        {assumed.map((a) => (
          <li key={a.key} className="border-b border-rule py-1">
            {a.name}{" "}
            <span className="font-mono whitespace-nowrap">
              {a.unit === "" ? String(a.value) : units.say(a.value, a.unit, 3)}
            </span>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="button mt-2"
        title="They are known now: the values stay, the marks go."
        onClick={() => void run({ kind: "confirm-assumed", pointIds: [...columns], keys: [] })}
      >
        Confirm all {columns.length > 1 && `of the ${columns.length} selected`}
      </button>
    </details>
  );
}

function UsualList({ usual, columns }: { readonly usual: Bench["usual"]; readonly columns: readonly string[] }) {
  const { run } = useProject();
  const units = useUnits();
  const say = (u: Bench["usual"][number]) => (u.unit === "" ? String(u.value) : units.say(u.value, u.unit, 3));
  const accept = (keys: string[]) => void run({ kind: "accept-usual", pointIds: [...columns], keys });
  return (
    <details className="my-2 border-l-4 border-plum bg-card p-2">
      <summary className="cursor-pointer">
        <span className="font-semibold">Usual values</span> for {usual.length} open{" "}
        {usual.length === 1 ? "entry" : "entries"}
      </summary>
      <p className="mt-1 text-[12px] text-soft">
        They are assumptions: each is marked at its entry until it is confirmed or typed over. A process sheet goes
        first.
      </p>
      <ul>
        {usual.map((u) => (
          <li key={u.key} className="flex items-baseline gap-2 border-b border-rule py-1">
            <span className="flex-1">
              {u.name} <span className="font-mono whitespace-nowrap">{say(u)}</span>
              <span className="block text-[12px] text-soft">{units.sentence(u.why)}</span>
            </span>
            <button
              type="button"
              className="button text-[12px]"
              aria-label={`Assume ${u.name}`}
              onClick={() => accept([u.key])}
            >
              Assume
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="button mt-2" onClick={() => accept([])}>
        Assume all {columns.length > 1 && `of the ${columns.length} selected`}
      </button>
    </details>
  );
}
