import { Failed, Loading } from "../../components/States";
import { CellQuantity } from "../../components/CellFields";
import { showQuantity, type Quantity } from "../../fields/units";
import { useUnits } from "../../fields/useUnits";
import { useCatalogue } from "../../project/useCatalogue";
import { useProject } from "../../project/ProjectContext";

// A size that has a name stands as a number here, beside its unit.
const bare = ({ unit, factor, offset, accepts }: Quantity): Quantity => ({ unit, factor, offset, accepts });

/** Limits and constants in force: the catalogue's value with its source, and the project's own where it differs. */
export function DefaultsTable() {
  const { project, edit } = useProject();
  const catalogue = useCatalogue();
  const units = useUnits();
  if (catalogue.isPending) {
    return <Loading what="defaults" />;
  }
  if (catalogue.isError) {
    return <Failed what="The defaults could not be read." detail={catalogue.error.message} />;
  }
  const { overrides } = project.specification;
  const set = (key: string, name: string, value: number, reason: string, catalogueValue: number) =>
    edit(`Limit: ${name}`, (s) => {
      const others = s.overrides.filter((o) => o.key !== key);
      return {
        ...s,
        overrides: value === catalogueValue && reason === "" ? others : [...others, { key, value, reason }],
      };
    });
  return (
    <section aria-label="Limits and constants">
      <h3 className="section-title">Limits and constants</h3>
      <table className="table">
        <thead>
          <tr>
            <th>what</th>
            <th className="num">catalogue</th>
            <th>project</th>
            <th>unit</th>
            <th>source, or reason for the project’s value</th>
          </tr>
        </thead>
        <tbody>
          {catalogue.data.defaults.map((d) => {
            const own = overrides.find((o) => o.key === d.key);
            return (
              <tr key={d.key} className={own ? "bg-plum-wash" : ""}>
                <td>{d.name}</td>
                <td className="num">{showQuantity(d.value, bare(units.quantity(d.unit)))}</td>
                <td>
                  <CellQuantity
                    label={`${d.name}, project value`}
                    quantity={bare(units.quantity(d.unit))}
                    value={own?.value ?? d.value}
                    onCommit={(value) => set(d.key, d.name, value, own?.reason ?? "", d.value)}
                  />
                </td>
                <td>{units.unit(d.unit)}</td>
                <td>
                  {own ? (
                    <input
                      className="entry"
                      aria-label={`Reason for the project’s ${d.name}`}
                      placeholder="Why does the project differ?"
                      defaultValue={own.reason}
                      key={own.reason}
                      onBlur={(e) => {
                        const reason = e.target.value.trim();
                        if (reason !== own.reason) {
                          void set(d.key, d.name, own.value, reason, d.value);
                        }
                      }}
                    />
                  ) : (
                    <span className="text-soft">{d.source}</span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
