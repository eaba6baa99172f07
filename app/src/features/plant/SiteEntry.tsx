import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { ConventionEntry } from "./ConventionEntry";
import { useProject } from "../../project/ProjectContext";

/** Site, tariff and how ways are compared. */
export function SiteEntry() {
  const { project, edit } = useProject();
  const { site, tariff } = project.specification;
  return (
    <section>
      <ConventionEntry />
      <h3 className="section-title">Site</h3>
      <Entries
        of={fields.Site}
        value={site}
        keys={["altitudeM", "ambientMaxC", "cabinetAirRiseK"]}
        change={(part) => edit("Site", (x) => ({ ...x, site: { ...x.site, ...part } }))}
      />
      <h3 className="section-title">Tariff and comparison</h3>
      <Entries
        of={fields.Tariff}
        value={tariff}
        keys={[
          "currency",
          "energyPerKwh",
          "demandPerKwYear",
          "reactivePerKvarh",
          "freePowerFactor",
          "co2KgPerKwh",
          "currencyPerIndexPoint",
          "years",
          "discountRatePct",
        ]}
        change={(part) => edit("Tariff", (x) => ({ ...x, tariff: { ...x.tariff, ...part } }))}
      />
    </section>
  );
}
