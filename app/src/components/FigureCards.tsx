/** The figures that answer first, four in a row, each a card. */
export function FigureCards({ cells }: { readonly cells: readonly (readonly [string, string])[] }) {
  return (
    <dl className="my-2 grid max-w-[860px] grid-cols-4 gap-2">
      {cells.map(([name, value]) => (
        <div key={name} className="border border-rule bg-card px-2 py-1">
          <dt className="text-[12px] text-soft">{name}</dt>
          <dd className="text-[13px] font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
