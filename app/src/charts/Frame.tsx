import type { ReactNode } from "react";

/** A picture with its legend, and the table behind it. */
export function Frame({
  title,
  legend,
  table,
  children,
}: {
  readonly title: string;
  readonly legend: readonly Mark[];
  readonly table: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <figure className="mt-1" aria-label={title}>
      <figcaption className="flex flex-wrap items-center gap-x-3 text-[12px]">
        <span className="font-semibold">{title}</span>
        {legend.map((m) => (
          <span key={m.name} className="flex items-center gap-1 text-soft">
            <svg width="18" height="8" aria-hidden>
              {m.shape === "bar" ? (
                <rect x="4" y="0" width="10" height="8" fill={m.colour} />
              ) : (
                <path
                  d="M0 4h18"
                  stroke={m.colour}
                  strokeWidth="2"
                  strokeDasharray={m.shape === "dash" ? "4 3" : undefined}
                />
              )}
            </svg>
            {m.name}
          </span>
        ))}
      </figcaption>
      {children}
      <details className="text-[12px]">
        <summary className="cursor-pointer text-soft">Table</summary>
        <div className="max-h-48 overflow-auto" tabIndex={0} role="region" aria-label={`${title}: table`}>
          {table}
        </div>
      </details>
    </figure>
  );
}

/** An entry of a legend. */
export interface Mark {
  readonly name: string;
  readonly colour: string;
  readonly shape: "line" | "dash" | "bar";
}

/** A plain table of numbers. */
export function NumberTable({
  heads,
  rows,
}: {
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}) {
  return (
    <table className="table">
      <thead>
        <tr>
          {heads.map((h) => (
            <th key={h} className="num">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((r, i) => (
          <tr key={i}>
            {r.map((v, k) => (
              <td key={k} className="num">
                {v}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
