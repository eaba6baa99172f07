import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type ExerciseSession } from "../../api/client";
import { useProject } from "../../project/ProjectContext";
import { who } from "../../project/useProjectAccess";
import { useTraining } from "./ExerciseList";

type Fault = NonNullable<ExerciseSession["outcome"]>["fault"];

/** The exercise that happens in this plant: what is known, the decision, and what came of it. Nothing in any other plant. */
export function ExerciseBar() {
  const { project } = useProject();
  const client = useQueryClient();
  const key = ["exercise", project.id];
  const session = useQuery({
    queryKey: key,
    queryFn: async (): Promise<ExerciseSession> => {
      const { data } = await api.GET("/api/projects/{id}/training", { params: { path: { id: project.id } } });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  const exercise = session.data?.exercise;
  return exercise ? (
    <section aria-label="Exercise" className="mt-3 max-w-4xl border border-rule bg-card px-3 py-2">
      <p>
        <b>{exercise.title}.</b> {exercise.brief}{" "}
        <span className="text-soft">
          Drive and instruments are simulated; some seconds after the beginning they answer beside every step that
          measures.
        </span>
      </p>
      {session.data?.outcome ? (
        <Outcome outcome={session.data.outcome} />
      ) : (
        <Decision onDecided={(next) => client.setQueryData(key, next)} />
      )}
    </section>
  ) : null;
}

function Decision({ onDecided }: { readonly onDecided: (next: ExerciseSession) => void }) {
  const { project } = useProject();
  const training = useTraining();
  const [fault, setFault] = useState("");
  const [problem, setProblem] = useState<string>();
  const decide = async () => {
    if (fault === "") {
      setProblem("Choose what you hold to be wrong.");
      return;
    }
    try {
      const { data, error } = await api.POST("/api/projects/{id}/training/decision", {
        params: { path: { id: project.id } },
        body: { who: who(), fault: fault as Fault },
      });
      setProblem(data ? undefined : error.errors.map((e) => e.message).join(" ") || error.detail);
      if (data) {
        onDecided(data);
      }
    } catch {
      setProblem("The server does not answer: nothing is decided.");
    }
  };
  return (
    <form
      className="mt-1 flex flex-wrap items-center gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        void decide();
      }}
    >
      <label className="flex items-center gap-2">
        <span className="whitespace-nowrap text-soft">Measured and entered? Then:</span>
        <select className="entry" aria-label="What is wrong" value={fault} onChange={(e) => setFault(e.target.value)}>
          <option value="">what is wrong?</option>
          {training.data?.faults.map((f) => (
            <option key={f.fault} value={f.fault}>
              {f.word}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="button">
        Decide, once
      </button>
      {problem && (
        <span role="alert" className="text-fails">
          {problem}
        </span>
      )}
    </form>
  );
}

function Outcome({ outcome }: { readonly outcome: NonNullable<ExerciseSession["outcome"]> }) {
  const isRight = outcome.decision === outcome.fault;
  return (
    <div role="status" className="mt-1">
      <p>
        <b>{isRight ? "Right" : "Not right"}</b>: {outcome.word}. {outcome.told} <b>{outcome.points} of 100 points.</b>
      </p>
      <p className="text-soft">
        What it would have cost: {outcome.cost} Shortest way: {outcome.shortest.join(", ")}
        {outcome.taken !== null && <>; you made {outcome.taken} entries</>}.
        {outcome.hadEvidence === false && " It was not measured before it was decided: a guess."}
        {outcome.wasDeadFirst === false && " Something turned before the insulation was measured."}
      </p>
    </div>
  );
}
