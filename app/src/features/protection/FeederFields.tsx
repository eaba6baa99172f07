import type { CableInstallation, DrivePoint } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { ChoiceField } from "../../components/Fields";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { InstallationEntry } from "./InstallationEntry";

export type Feeder = DrivePoint["feeder"];
type ByCable = Extract<Feeder, { kind: "by-cable" }>;

/** Connection from a busbar: the busbar itself or a cable, with how it is laid. */
export function FeederFields({
  feeder,
  plant,
  change,
}: {
  readonly feeder: Feeder;
  readonly plant: CableInstallation | null | undefined;
  /** What becomes of a feeder; several drive points may have theirs changed at once. */
  readonly change: (next: (feeder: Feeder) => Feeder, what: string) => Promise<Outcome>;
}) {
  const part = (values: Partial<ByCable>, what: string) =>
    change((f) => (f.kind === "by-cable" ? { ...f, ...values } : f), `feeder ${what}`);
  return (
    <>
      <ChoiceField
        label="Connection"
        value={feeder.kind}
        choices={{ "on-busbar": "on the busbar", "by-cable": "by a cable of its own" }}
        onCommit={(kind) =>
          change(
            () =>
              kind === "on-busbar"
                ? { kind }
                : { kind, lengthM: null, crossSectionMm2: null, parallelRuns: 1, material: "copper" },
            "feeder",
          )
        }
      />
      {feeder.kind === "by-cable" && (
        <>
          <Entries
            of={fields.FeederByCable}
            value={feeder}
            keys={["lengthM", "crossSectionMm2", "parallelRuns", "material", "protectiveMm2"]}
            change={part}
          />
          <InstallationEntry
            own={feeder.installation}
            plant={plant}
            onChange={(next, what) =>
              change(
                (f) => (f.kind === "by-cable" ? { ...f, installation: next(f.installation) } : f),
                `feeder ${what}`,
              )
            }
          />
          <Entries of={fields.FeederByCable} value={feeder} keys={["reason"]} change={part} />
        </>
      )}
    </>
  );
}
