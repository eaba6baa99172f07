import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, type Training } from "../../api/client";
import { who } from "../../project/useProjectAccess";

/** Asks for the exercises, what may be decided, and who did how. */
export function useTraining() {
  return useQuery({
    queryKey: ["training"],
    queryFn: async (): Promise<Training> => {
      const { data } = await api.GET("/api/training");
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}

/** Exercises to begin: each makes a plant of its own in which something is wrong, or nothing. */
export function ExerciseList() {
  const found = useTraining();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState<string>();
  const begin = async (exercise: string) => {
    setBusy(exercise);
    try {
      const { data, error } = await api.POST("/api/training/{exercise}", {
        params: { path: { exercise } },
        body: { who: who() },
      });
      setProblem(data ? undefined : error.errors.map((e) => e.message).join(" ") || error.detail);
      if (data) {
        void navigate(`/plants/${data.projectId}/commissioning?part=steps&point=${data.pointId}`);
      }
    } catch {
      setProblem("The server does not answer. Try again.");
    } finally {
      setBusy(undefined);
    }
  };
  if (!found.data) {
    return null;
  }
  return (
    <details className="mt-6">
      <summary className="cursor-pointer font-bold">Training ({found.data.exercises.length} exercises)</summary>
      <p className="mt-1 text-soft">
        Something is wrong at a simulated drive, or nothing is. Measure, decide, and see what the evidence was.
      </p>
      <ul className="mt-1" aria-label="Exercises">
        {found.data.exercises.map((e) => {
          const best = Math.max(-1, ...found.data.done.filter((d) => d.exercise === e.id).map((d) => d.points));
          return (
            <li key={e.id} className="flex items-baseline gap-2 border-b border-rule py-1">
              <span className="min-w-0">
                {e.title} <span className="text-soft">{e.trains}</span>
              </span>
              <span className="ml-auto whitespace-nowrap font-mono text-[12px] text-soft">
                {best >= 0 && `best ${best}`}
              </span>
              <button
                type="button"
                className="button shrink-0"
                aria-label={`Begin ${e.title}`}
                disabled={busy !== undefined}
                onClick={() => void begin(e.id)}
              >
                {busy === e.id ? "…" : "Begin"}
              </button>
            </li>
          );
        })}
      </ul>
      {problem && (
        <p role="alert" className="mt-1 text-fails">
          {problem}
        </p>
      )}
    </details>
  );
}
