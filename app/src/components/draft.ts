import { useState, type KeyboardEvent } from "react";

/** What became of a committed entry: nothing to say, or why it was refused. */
export type Outcome = string | undefined;

/** Text being typed: committed by Enter or on leaving, taken back by Escape. A refused entry stays to be mended. */
export function useDraft(shown: string, commit: (text: string) => Promise<Outcome> | Outcome) {
  const [draft, setDraft] = useState<string>();
  const [problem, setProblem] = useState<Outcome>();
  const finish = async () => {
    if (draft === undefined || draft.trim() === shown) {
      setDraft(undefined);
      setProblem(undefined);
      return;
    }
    const outcome = await commit(draft);
    setProblem(outcome);
    if (outcome === undefined) {
      // What has been typed on meanwhile stays to be committed in its turn.
      setDraft((now) => (now === draft ? undefined : now));
    }
  };
  return {
    problem,
    input: {
      value: draft ?? shown,
      "aria-invalid": problem !== undefined,
      onChange: (event: { target: { value: string } }) => setDraft(event.target.value),
      onBlur: () => void finish(),
      onKeyDown: (event: KeyboardEvent) => {
        if (event.key === "Enter") {
          void finish();
        } else if (event.key === "Escape" && (draft !== undefined || problem !== undefined)) {
          // With nothing to take back it leads out of the entry.
          event.stopPropagation();
          setDraft(undefined);
          setProblem(undefined);
        }
      },
    },
  };
}
