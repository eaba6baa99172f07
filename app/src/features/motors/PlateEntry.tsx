import { useState } from "react";
import type { Outcome } from "../../components/draft";
import { parseQuantity } from "../../fields/units";
import { freeKeys } from "../../lib/columns";
import { useProject } from "../../project/ProjectContext";
import { emptyMotor, plateFields, type OwnMotor } from "./plate";
import { proposedPlate } from "./proposedPlate";
import { FormChoice } from "../../fields/FormChoice";
import { fields } from "../../fields/table";

/** A data plate typed by hand; it is checked as a whole when it is taken. */
export function PlateEntry({
  taken,
  onTake,
  onCancel,
}: {
  readonly taken: readonly OwnMotor[];
  readonly onTake: (motors: readonly OwnMotor[]) => Promise<Outcome>;
  readonly onCancel: () => void;
}) {
  const [name, setName] = useState("");
  const [technology, setTechnology] = useState<OwnMotor["technology"]>("cage-induction");
  const { specification } = useProject().project;
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>(() => proposedPlate(specification));
  const [stated, setStated] = useState<
    Required<Pick<OwnMotor, "forConverter" | "explosion" | "certifiedForConverter">>
  >({
    forConverter: false,
    explosion: "none",
    certifiedForConverter: false,
  });
  const [problem, setProblem] = useState<Outcome>();
  const submit = async () => {
    const key = freeKeys("own", new Set(taken.map((m) => m.id)))();
    const motor: Record<string, unknown> = { ...emptyMotor(key, name.trim(), technology), ...stated };
    for (const f of plateFields) {
      const text = texts[f.key]?.trim() ?? "";
      const parsed = text === "" ? undefined : parseQuantity(text, f.quantity);
      if (parsed ? !parsed.ok : f.needed) {
        setProblem(`${f.label}: ${parsed && !parsed.ok ? parsed.message : "a value is needed here."}`);
        return;
      }
      motor[f.key] = parsed?.ok ? parsed.value : null;
    }
    setProblem(await onTake([motor as unknown as OwnMotor]));
  };
  return (
    <form
      aria-label="Data plate"
      className="mt-3 border-l-4 border-plum bg-card p-3"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <div className="grid grid-cols-3 gap-x-6 gap-y-1">
        <label className="flex items-center justify-between gap-2">
          Name
          <input
            className="entry w-44"
            value={name}
            maxLength={80}
            autoFocus
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <FormChoice field={fields.OwnMotor.technology} value={technology} onChange={setTechnology} />
        <span />
        {plateFields.map((f) => (
          <label key={f.key} className="flex items-center justify-between gap-2">
            <span>{f.label}</span>
            <span className="flex w-44 items-center gap-1">
              <input
                className="entry w-28 text-right font-mono"
                aria-label={f.label}
                value={texts[f.key] ?? ""}
                placeholder={f.needed ? undefined : "open"}
                onChange={(e) => setTexts({ ...texts, [f.key]: e.target.value })}
              />
              <span className="text-soft">{f.quantity.unit}</span>
            </span>
          </label>
        ))}
        <label className="flex items-center justify-between gap-2">
          {fields.OwnMotor.forConverter.name}
          <input
            type="checkbox"
            checked={stated.forConverter}
            onChange={(e) => setStated({ ...stated, forConverter: e.target.checked })}
          />
        </label>
        <FormChoice
          field={fields.OwnMotor.explosion}
          value={stated.explosion}
          onChange={(explosion) => setStated({ ...stated, explosion })}
        />
        {stated.explosion !== "none" && (
          <label className="flex items-center justify-between gap-2">
            {fields.OwnMotor.certifiedForConverter.name}
            <input
              type="checkbox"
              checked={stated.certifiedForConverter}
              onChange={(e) => setStated({ ...stated, certifiedForConverter: e.target.checked })}
            />
          </label>
        )}
      </div>
      {problem !== undefined && (
        <p role="alert" className="mt-2 text-fails">
          {problem}
        </p>
      )}
      <div className="mt-3 flex gap-2">
        <button type="submit" className="button button-main">
          Take the motor
        </button>
        <button type="button" className="button" onClick={onCancel}>
          Leave it
        </button>
      </div>
    </form>
  );
}
