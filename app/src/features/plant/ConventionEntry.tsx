import { ChoiceField } from "../../components/Fields";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { InstallationEntry } from "../protection/InstallationEntry";
import { useCatalogue } from "../../project/useCatalogue";

const keys: ReadonlySet<string> = new Set(["least-motor-ie", "least-motor-ie-75-200-kw"]);

/** Units, installation code, and the law on motors where the plant stands. */
export function ConventionEntry() {
  const { project, edit, run } = useProject();
  const catalogue = useCatalogue();
  const { conventions, overrides } = project.specification;
  if (!conventions) {
    return null;
  }
  const regions = catalogue.data?.regions ?? [];
  const set = overrides.filter((o) => keys.has(o.key));
  const region = regions.find((r) => set.length > 0 && set.every((o) => o.reason === `${r.name}: ${r.source}`));
  return (
    <>
      <h3 className="section-title">Units and codes</h3>
      <ChoiceField
        label={fields.Conventions.units.name}
        help={fields.Conventions.units.help}
        value={conventions.units}
        choices={fields.Conventions.units.choices}
        note="Every unit is understood where it is typed with the number. Installation and harmonics code follow, each can be changed."
        onCommit={(units) => run({ kind: "use-units", units }).then(() => undefined)}
      />
      <Entries
        of={fields.Conventions}
        value={conventions}
        keys={["installation"]}
        change={(part) =>
          edit("Installation code", (x) => ({ ...x, conventions: { ...(x.conventions ?? conventions), ...part } }))
        }
      />
      <InstallationEntry
        isPlant
        own={project.specification.cables}
        onChange={(next, what) => edit(`Cables of the plant: ${what}`, (x) => ({ ...x, cables: next(x.cables) }))}
      />
      <ChoiceField
        label="Law on motors"
        help="Least efficiency class of new cage motors where the plant stands."
        value={region?.key ?? "as-set"}
        choices={{
          "as-set": set.length > 0 ? "as set below" : "as the catalogue: European Union",
          ...Object.fromEntries(regions.map((r) => [r.key, r.name])),
        }}
        note={region?.source}
        onCommit={(key) =>
          key === "as-set" ? Promise.resolve(undefined) : run({ kind: "use-region", region: key }).then(() => undefined)
        }
      />
    </>
  );
}
