import { useId, useState } from "react";
import { useNavigate } from "react-router";
import { api } from "../../api/client";
import { useCatalogue } from "../../project/useCatalogue";
import { problemText, who } from "../../project/useProjectAccess";

const examples = [
  ["azulejos-valdecobre", "Tile works, 400 V 50 Hz"],
  ["tarn-hollow", "Water works, 480 V 60 Hz, US units"],
] as const;

/** A plant begun on a usual supply, or as a copy; an example opened. */
export function NewPlant({ plants }: { readonly plants: readonly { readonly id: string; readonly name: string }[] }) {
  const navigate = useNavigate();
  const catalogue = useCatalogue();
  const id = useId();
  const [name, setName] = useState("");
  const [supply, setSupply] = useState("");
  const [template, setTemplate] = useState("");
  const [problem, setProblem] = useState<string>();
  const create = async (wanted: { name: string; supply?: string; template?: string }, to: string) => {
    const { data, error } = await api.POST("/api/projects", { body: { who: who(), ...wanted } });
    if (data) {
      await navigate(`/plants/${data.id}${to}`);
    } else {
      setProblem(problemText(error));
    }
  };
  const begin = (to: string) => {
    if (name.trim() === "") {
      setProblem("A plant needs a name.");
      document.getElementById(id)?.focus();
      return;
    }
    void create({ name: name.trim(), supply, template }, to);
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        begin("/plant");
      }}
    >
      <h2 className="section-title">Begin a plant</h2>
      <label htmlFor={id} className="text-soft">
        Name of the plant
      </label>
      <input
        id={id}
        className="entry"
        value={name}
        aria-invalid={problem !== undefined}
        onChange={(e) => {
          setName(e.target.value);
          setProblem(undefined);
        }}
      />
      {problem && (
        <p role="alert" className="text-fails">
          {problem}
        </p>
      )}
      <label className="mt-1 block">
        <span className="text-soft">Copy of</span>
        <select className="entry" value={template} onChange={(e) => setTemplate(e.target.value)}>
          <option value="">nothing, empty</option>
          {plants.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      </label>
      {template === "" && (
        <label className="mt-1 block">
          <span className="text-soft">Supply to start from</span>
          <select className="entry" value={supply} onChange={(e) => setSupply(e.target.value)}>
            {(catalogue.data?.usualSupplies ?? []).map((s, i) => (
              <option key={s.key} value={i === 0 ? "" : s.key}>
                {s.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <p className="mt-2 flex gap-2">
        <button type="submit" className="button button-main">
          Begin
        </button>
        <button type="button" className="button" onClick={() => begin("/list?import")}>
          Begin with a drive list …
        </button>
      </p>
      <h2 className="section-title">Open an example</h2>
      <p className="flex flex-wrap gap-2">
        {examples.map(([key, words]) => (
          <button
            key={key}
            type="button"
            className="button"
            onClick={() => void create({ name: "", template: key }, "")}
          >
            {words}
          </button>
        ))}
      </p>
    </form>
  );
}
