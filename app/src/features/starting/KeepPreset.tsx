import { useState } from "react";
import type { DrivePoint } from "../../api/client";
import { useProject } from "../../project/ProjectContext";

type Soft = Extract<DrivePoint["converter"], { kind: "soft-starter" }>;

/** Keeps the settings of a soft starter as a preset of the project; one of the same name is replaced. */
export function KeepPreset({ starter }: { readonly starter: Soft }) {
  const { project, edit } = useProject();
  const { startPresets } = project.specification;
  const [name, setName] = useState("");
  const [problem, setProblem] = useState<string>();
  const keep = async () => {
    const application = name.trim();
    const outcome =
      application === ""
        ? "A preset needs a name."
        : await edit(`Preset ${application}`, (s) => ({
            ...s,
            startPresets: [
              ...s.startPresets.filter((p) => p.application !== application),
              { application, settings: starter.settings, trip: starter.trip },
            ],
          }));
    setProblem(outcome);
    if (outcome === undefined) {
      setName("");
    }
  };
  return (
    <div className="py-1">
      <form
        className="flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <input
          className="entry flex-1"
          aria-label="Name of the preset"
          placeholder="keep these settings as …"
          maxLength={40}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <button type="submit" className="button">
          Keep
        </button>
      </form>
      {problem && (
        <p role="alert" className="text-[12px] text-fails">
          {problem}
        </p>
      )}
      {startPresets.length > 0 && (
        <ul aria-label="Presets of this project" className="mt-1 flex flex-wrap gap-1 text-[12px]">
          {startPresets.map((p) => (
            <li key={p.application} className="flex items-center gap-1 rounded border border-rule px-1.5">
              {p.application}
              <button
                type="button"
                aria-label={`Remove preset ${p.application}`}
                onClick={() =>
                  void edit(`Remove preset ${p.application}`, (s) => ({
                    ...s,
                    startPresets: s.startPresets.filter((x) => x.application !== p.application),
                  }))
                }
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
