import type { LongStudy } from "../project/useLongStudy";
import { Failed } from "./States";

/** How far a long study is, with a way to stop it; what went wrong, and a way to ask again. Nothing where it is done. */
export function StudyProgress({ study, what }: { readonly study: LongStudy<unknown>; readonly what: string }) {
  const { query, state } = study;
  if (query.isError && !query.isFetching) {
    return (
      <Failed
        what={`The ${what} could not be computed.`}
        detail={query.error.message}
        retry={() => void query.refetch()}
      />
    );
  }
  if (!query.isFetching) {
    return query.isPending ? (
      <p className="my-3 flex items-center gap-3 text-soft">
        Stopped; nothing was computed.
        <button type="button" className="button" onClick={() => void query.refetch()}>
          Compute {what}
        </button>
      </p>
    ) : null;
  }
  const isCounted = state?.isRunning === true && state.of > 0;
  return (
    <div className="my-3 flex items-center gap-3">
      <span role="status" className="text-soft">
        {state && !state.isRunning
          ? `Waiting for the ${what}; before it: ${state.before}`
          : isCounted
            ? `Computing ${what}: ${state.done} of ${state.of}`
            : `Computing ${what} …`}
      </span>
      {isCounted && (
        <progress
          aria-label={`Progress of ${what}`}
          className="h-2 w-48 accent-plum"
          value={state.done}
          max={state.of}
        />
      )}
      <button type="button" className="button" onClick={study.stop}>
        Stop
      </button>
    </div>
  );
}
