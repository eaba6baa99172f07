import type { ReactNode } from "react";

/** Something is on its way. */
export function Loading({ what }: { readonly what: string }) {
  return (
    <p role="status" className="p-4 text-soft">
      Loading {what} …
    </p>
  );
}

/** Something could not be had. */
export function Failed({
  what,
  detail,
  retry,
}: {
  readonly what: string;
  readonly detail: string;
  readonly retry?: () => void;
}) {
  return (
    <div role="alert" className="m-4 border-l-4 border-fails bg-card p-3">
      <p className="font-bold">{what}</p>
      <p className="text-soft">{detail}</p>
      {retry && (
        <button type="button" className="button mt-2" onClick={retry}>
          Try again
        </button>
      )}
    </div>
  );
}

/** There is nothing yet, and what to do about it. */
export function Empty({ children }: { readonly children: ReactNode }) {
  return <div className="rounded border border-dashed border-rule p-4 text-soft">{children}</div>;
}
