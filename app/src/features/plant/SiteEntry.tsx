import { QuantityField, TextField } from "../../components/Fields";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";

/** Site, tariff and how ways are compared. */
export function SiteEntry() {
  const { project, edit } = useProject();
  const s = project.specification;
  const site = (change: Partial<typeof s.site>) => edit("Site", (x) => ({ ...x, site: { ...x.site, ...change } }));
  const tariff = (change: Partial<typeof s.tariff>) =>
    edit("Tariff", (x) => ({ ...x, tariff: { ...x.tariff, ...change } }));
  return (
    <section>
      <h3 className="section-title">Site</h3>
      <QuantityField
        label="Altitude"
        quantity={quantities.altitudeM}
        value={s.site.altitudeM}
        onCommit={(v) => site({ altitudeM: v ?? 0 })}
      />
      <QuantityField
        label="Ambient, highest"
        quantity={quantities.temperatureC}
        value={s.site.ambientMaxC}
        onCommit={(v) => site({ ambientMaxC: v ?? 0 })}
      />
      <QuantityField
        label="Cabinet air above it"
        quantity={quantities.riseK}
        value={s.site.cabinetAirRiseK}
        onCommit={(v) => site({ cabinetAirRiseK: v ?? 0 })}
      />
      <h3 className="section-title">Tariff and comparison</h3>
      <TextField label="Currency" value={s.tariff.currency} onCommit={(currency) => tariff({ currency })} />
      <QuantityField
        label="Energy, per kWh"
        quantity={quantities.plain}
        value={s.tariff.energyPerKwh}
        onCommit={(v) => tariff({ energyPerKwh: v ?? 0 })}
      />
      <QuantityField
        label="Demand, per kW and year"
        quantity={quantities.plain}
        value={s.tariff.demandPerKwYear}
        onCommit={(v) => tariff({ demandPerKwYear: v ?? 0 })}
      />
      <QuantityField
        label="Reactive energy, per kvarh"
        quantity={quantities.plain}
        value={s.tariff.reactivePerKvarh}
        onCommit={(v) => tariff({ reactivePerKvarh: v ?? 0 })}
      />
      <QuantityField
        label="Free down to power factor"
        quantity={quantities.plain}
        value={s.tariff.freePowerFactor}
        onCommit={(v) => tariff({ freePowerFactor: v ?? 0.95 })}
      />
      <QuantityField
        label="CO₂, kg per kWh"
        quantity={quantities.plain}
        value={s.tariff.co2KgPerKwh}
        onCommit={(v) => tariff({ co2KgPerKwh: v ?? 0 })}
      />
      <QuantityField
        label="Money per price point"
        quantity={quantities.plain}
        value={s.tariff.currencyPerIndexPoint}
        onCommit={(v) => tariff({ currencyPerIndexPoint: v ?? 0 })}
      />
      <QuantityField
        label="Years compared"
        quantity={quantities.plain}
        value={s.tariff.years}
        onCommit={(v) => tariff({ years: v ?? 0 })}
      />
      <QuantityField
        label="Discount rate"
        quantity={quantities.percent}
        value={s.tariff.discountRatePct}
        onCommit={(v) => tariff({ discountRatePct: v ?? 0 })}
      />
    </section>
  );
}
