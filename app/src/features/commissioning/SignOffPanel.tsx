import { useState } from "react";
import type { DrivePoint, SitePoint } from "../../api/client";
import { when } from "../../lib/format";
import { AsBuilt } from "./AsBuilt";
import { standings } from "./commissioning";
import { useEntry } from "./useEntry";

/** What stands against a sign-off; each of it is named as an open point, or done first. */
export function SignOffPanel({
  point,
  found,
  onMade,
}: {
  readonly point: DrivePoint;
  readonly found: SitePoint;
  readonly onMade: (next: SitePoint) => void;
}) {
  const [named, setNamed] = useState<ReadonlySet<string>>(new Set());
  const [note, setNote] = useState("");
  const entry = useEntry(onMade);
  const open = found.steps.filter((s) => found.openIds.includes(s.id));
  const left = open.filter((s) => !named.has(s.id)).length;
  return (
    <section aria-label="Sign-off" className="min-w-0 max-w-3xl">
      <h3 className="text-[15px] font-bold">
        Sign-off of {point.tag} {point.name}
      </h3>
      {found.signed && (
        <p role="status" className="mt-1">
          <b>Signed off</b> by {found.signed.who}, {when(found.signed.atUtc)}: {found.signed.result}.
        </p>
      )}
      {open.length === 0 ? (
        <p className="mt-2">All steps are done and in order.</p>
      ) : (
        <>
          <p className="mt-2">
            {open.length} steps are not done, not in order or stale. Each must be named as an open point, or done first.
          </p>
          <table className="table mt-1">
            <tbody>
              {open.map((s) => (
                <tr key={s.id}>
                  <td>
                    <label className="flex items-center gap-2">
                      <input
                        type="checkbox"
                        checked={named.has(s.id)}
                        onChange={(e) => {
                          const next = new Set(named);
                          if (e.target.checked) {
                            next.add(s.id);
                          } else {
                            next.delete(s.id);
                          }
                          setNamed(next);
                        }}
                      />
                      {s.title}
                    </label>
                  </td>
                  <td className="text-soft">{standings[s.standing]}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <button type="button" className="button mt-2" onClick={() => setNamed(new Set(open.map((s) => s.id)))}>
            Name all {open.length}
          </button>
        </>
      )}
      <label className="mt-2 flex items-center gap-2">
        <span className="text-soft">Note</span>
        <input className="entry flex-1" maxLength={500} value={note} onChange={(e) => setNote(e.target.value)} />
      </label>
      <button
        type="button"
        className="button button-main mt-2"
        disabled={left > 0 || entry.isBusy}
        onClick={() =>
          void entry.make({
            pointId: point.id,
            stepId: "sign-off",
            values: {},
            run: [],
            note: note.trim(),
            instrument: "",
            calibrated: null,
            corrects: null,
            done: null,
            openPoints: open.map((s) => s.id),
          })
        }
      >
        Sign off{open.length > 0 ? ` with ${open.length} open points` : ""}
      </button>
      {left > 0 && <span className="ml-2 text-soft">{left} still to be named</span>}
      {entry.problem && (
        <p role="alert" className="mt-1 text-fails">
          {entry.problem}
        </p>
      )}
      <AsBuilt point={point} found={found} />
      <p className="mt-3 border-l-4 border-fails pl-2 text-[12px]">
        <b>Caution.</b> A sign-off here is a record of what was measured. It is no certificate of a safety function, of
        protection coordination or of arc-flash protection: those are signed by the persons responsible, under local
        rules.
      </p>
    </section>
  );
}
