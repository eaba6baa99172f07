import type { DrivePoint } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import { Entries, Entry, type ChangePart } from "../../fields/Entries";
import { fields } from "../../fields/table";
import type { PointEdit } from "../bench/usePointEdit";
import { useProject } from "../../project/ProjectContext";
import { useCatalogue } from "../../project/useCatalogue";
import { KeepPreset } from "./KeepPreset";

type Choice = DrivePoint["converter"];
export type Starter = Exclude<Choice, { kind: "not-chosen" | "catalogue" | "of-group" }>;
type Soft = Extract<Choice, { kind: "soft-starter" }>;

/** Entries of a motor that starts and runs on the line. */
export function StarterEntry({ starter, edit }: { readonly starter: Starter; readonly edit: PointEdit }) {
  const { data } = useCatalogue();
  const { project } = useProject();
  const presets = [...(data?.startPresets ?? []), ...project.specification.startPresets];
  const change = (label: string, part: Partial<Starter>) =>
    edit(label, (p) => ({ ...p, converter: { ...p.converter, ...part } as Choice }));
  return (
    <>
      {starter.kind === "star-delta" && (
        <Entries
          of={fields.ConverterChoiceStarDelta}
          value={starter}
          keys={["changeOverS"]}
          change={(part, what) => change(what, part)}
        />
      )}
      {starter.kind === "soft-starter" && (
        <>
          <ChoiceField
            label="Soft starter"
            value={starter.itemId}
            choices={Object.fromEntries((data?.softStarters ?? []).map((s) => [s.id, `${s.ratedCurrentA} A`]))}
            onCommit={(itemId) => change("soft starter", { itemId })}
          />
          <ChoiceField
            label="Preset"
            value=""
            choices={{
              "": "take settings of …",
              ...Object.fromEntries(presets.map((p) => [p.application, p.application])),
            }}
            note="Starting points to be tried at the machine, not recommendations."
            onCommit={(application) => {
              const preset = presets.find((p) => p.application === application);
              return preset
                ? change(`settings of a ${application}`, { settings: preset.settings, trip: preset.trip })
                : Promise.resolve(undefined);
            }}
          />
          <SettingsEntry settings={starter.settings} change={(label, settings) => change(label, { settings })} />
          <KeepPreset starter={starter} />
        </>
      )}
      <Entries
        of={fields.ConverterChoiceAcrossTheLine}
        value={starter}
        keys={["trip", "startsPerHour", "reason"]}
        change={(part, what) => change(what, part)}
      />
    </>
  );
}

function SettingsEntry({
  settings: s,
  change,
}: {
  readonly settings: Soft["settings"];
  readonly change: (label: string, settings: Soft["settings"]) => Promise<string | undefined>;
}) {
  const part: ChangePart<Soft["settings"]> = (p, what) => change(what, { ...s, ...p });
  return (
    <>
      <Entry
        field={fields.SoftStarterSettings.mode}
        value={s.mode}
        onCommit={(mode: Soft["settings"]["mode"]) =>
          change("way of raising", {
            ...s,
            mode,
            initialPct: mode === "voltage-ramp" ? Math.min(s.initialPct, 100) : s.initialPct,
          })
        }
      />
      {s.mode !== "current-limit" && (
        <>
          <Entry
            field={fields.SoftStarterSettings.initialPct}
            label={s.mode === "voltage-ramp" ? "Initial voltage" : "Initial current"}
            value={s.initialPct}
            onCommit={(initialPct: number) => change("initial value", { ...s, initialPct })}
          />
          <Entries of={fields.SoftStarterSettings} value={s} keys={["rampS"]} change={part} />
        </>
      )}
      <Entries
        of={fields.SoftStarterSettings}
        value={s}
        keys={s.kickPct > 0 ? ["currentLimitPct", "kickPct", "kickS"] : ["currentLimitPct", "kickPct"]}
        change={part}
      />
      <Entries of={fields.SoftStarterSettings} value={s} keys={["insideDelta", "stopRampS"]} change={part} />
    </>
  );
}
