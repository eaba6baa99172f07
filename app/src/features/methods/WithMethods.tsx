import { lazy, Suspense, useState } from "react";

const MethodSheet = lazy(async () => ({ default: (await import("./MethodSheet")).MethodSheet }));

/** A sentence whose method pages open by their names. */
export function WithMethods({ text }: { readonly text: string }) {
  const [open, setOpen] = useState<string>();
  return (
    <>
      {text.split(/(docs\/methods\/[\w-]+\.md)/).map((part, i) => {
        const key = /^docs\/methods\/([\w-]+)\.md$/.exec(part)?.[1];
        return key === undefined ? (
          part
        ) : (
          <button
            key={`${key}${i}`}
            type="button"
            className="text-plum underline"
            aria-label={`Method ${key}`}
            onClick={() => setOpen(key)}
          >
            method
          </button>
        );
      })}
      {open !== undefined && (
        <Suspense fallback={null}>
          <MethodSheet first={open} onClose={() => setOpen(undefined)} />
        </Suspense>
      )}
    </>
  );
}
