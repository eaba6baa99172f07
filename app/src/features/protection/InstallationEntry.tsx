import type { CableInstallation } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { ChoiceField } from "../../components/Fields";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";

/** What a cable is taken to be when somebody begins to say it. */
const begun: CableInstallation = {
  insulation: "xlpe",
  method: "e",
  ambientC: null,
  grouping: "perforated-tray",
  circuits: 1,
  cores: "three-phase",
};

type Installation = CableInstallation | null | undefined;

/** How a cable is made and laid: as the plant's cables, or its own. */
export function InstallationEntry({
  own,
  plant,
  isPlant = false,
  onChange,
}: {
  readonly own: Installation;
  readonly plant?: CableInstallation | null | undefined;
  /** True where the plant itself says it. */
  readonly isPlant?: boolean;
  /** What becomes of it; several cables may have theirs changed at once. */
  readonly onChange: (next: (own: Installation) => CableInstallation | null, what: string) => Promise<Outcome>;
}) {
  return (
    <>
      <ChoiceField
        label={isPlant ? "Cables of this plant" : "Laid"}
        help="Insulation, method and grouping decide what a cable carries (IEC 60364-5-52)."
        value={own ? "own" : "plant"}
        choices={
          isPlant
            ? { plant: "not stated", own: "laid as below" }
            : { plant: plant ? "as the plant’s cables" : "as the plant: not stated", own: "otherwise" }
        }
        note={
          isPlant
            ? "Holds for every cable that states nothing of its own."
            : own
              ? undefined
              : plant
                ? inWords(plant)
                : "State it once in Project settings, or here."
        }
        onCommit={(way) => onChange(() => (way === "own" ? (plant ?? begun) : null), "laying")}
      />
      {own && (
        <Entries
          of={fields.CableInstallation}
          value={own}
          keys={
            own.method === "d"
              ? ["insulation", "method", "soilC", "soilKmPerW", "circuits", "cores"]
              : ["insulation", "method", "ambientC", "grouping", "circuits", "cores"]
          }
          change={(part, what) => onChange((now) => ({ ...(now ?? own), ...part }), what)}
        />
      )}
    </>
  );
}

/** A way of laying in words. */
export function inWords(laid: CableInstallation): string {
  const { insulation, method, grouping } = fields.CableInstallation;
  return [
    insulation.choices[laid.insulation],
    method.choices[laid.method],
    ...(laid.method === "d" ? [] : [grouping.choices[laid.grouping]]),
    `${laid.circuits} together`,
  ].join(" · ");
}
