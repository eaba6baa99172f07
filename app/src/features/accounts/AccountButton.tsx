import { lazy, Suspense, useState } from "react";
import { useSession } from "../../project/session";

const AccountSheet = lazy(async () => ({ default: (await import("./AccountSheet")).AccountSheet }));

/** Who is signed in; nothing where there are no accounts. */
export function AccountButton() {
  const session = useSession();
  const [isOpen, setOpen] = useState(false);
  if (session.name === null) {
    return null;
  }
  return (
    <>
      <button type="button" className="button" onClick={() => setOpen(true)}>
        {session.name} <span className="text-soft">{session.role}</span>
      </button>
      {isOpen && (
        <Suspense fallback={null}>
          <AccountSheet onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
