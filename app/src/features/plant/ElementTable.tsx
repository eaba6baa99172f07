import { useState, type ReactNode } from "react";

/** A column of an element table. */
export interface Column<T> {
  readonly heading: string;
  readonly cell: (element: T) => ReactNode;
}

/** Elements of one kind, a row each, with buttons to add and remove. */
export function ElementTable<T extends { readonly id: string; readonly name: string }>({
  title,
  note,
  elements,
  columns,
  add,
  onRemove,
}: {
  readonly title: string;
  readonly note?: string | undefined;
  readonly elements: readonly T[];
  readonly columns: readonly Column<T>[];
  readonly add: readonly { readonly name: string; readonly run: () => void }[];
  readonly onRemove: (element: T) => Promise<string | undefined>;
}) {
  const [problem, setProblem] = useState<string>();
  return (
    <section aria-label={title} className="mt-2">
      <h3 className="section-title flex flex-wrap items-center gap-2">
        {title}
        {add.map((a) => (
          <button key={a.name} type="button" className="button font-normal" onClick={a.run}>
            {a.name}
          </button>
        ))}
        {note && <span className="text-[12px] font-normal text-soft">{note}</span>}
      </h3>
      {problem && (
        <p role="alert" className="text-[12px] text-fails">
          {problem}
        </p>
      )}
      {elements.length > 0 && (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={`${title}, scrolls sideways`}>
          <table className="table w-auto">
            <thead>
              <tr>
                {columns.map((c) => (
                  <th key={c.heading} className="align-bottom whitespace-nowrap">
                    {c.heading}
                  </th>
                ))}
                <th>
                  <span className="sr-only">remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {elements.map((e) => (
                <tr key={e.id} data-element={e.id}>
                  {columns.map((c) => (
                    <td key={c.heading}>{c.cell(e)}</td>
                  ))}
                  <td>
                    <button
                      type="button"
                      className="button px-2"
                      aria-label={`Remove ${e.name}`}
                      title={`Remove ${e.name}`}
                      onClick={() => void onRemove(e).then(setProblem)}
                    >
                      ×
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
