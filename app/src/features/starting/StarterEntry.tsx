import type { DrivePoint } from "../../api/client";
import { ChoiceField, QuantityField, SwitchField, TextField } from "../../components/Fields";
import { quantities } from "../../lib/units";
import type { PointEdit } from "../bench/usePointEdit";
import { useProject } from "../project/ProjectContext";
import { useCatalogue } from "../project/useCatalogue";
import { KeepPreset } from "./KeepPreset";

type Choice = DrivePoint["converter"];
export type Starter = Exclude<Choice, { kind: "not-chosen" | "catalogue" | "of-group" }>;
type Soft = Extract<Choice, { kind: "soft-starter" }>;

const trips = { "class10-a": "10 A", class10: "10", class20: "20", class30: "30" } as const;

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
        <QuantityField
          label="Time in star"
          quantity={quantities.timeS}
          value={starter.changeOverS}
          onCommit={(v) => change("time in star", { changeOverS: v ?? 5 })}
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
      <ChoiceField
        label="Trip class"
        value={starter.trip}
        choices={trips}
        onCommit={(trip) => change("trip class", { trip })}
      />
      <QuantityField
        label="Starts an hour"
        quantity={quantities.plain}
        value={starter.startsPerHour}
        onCommit={(v) => change("starts an hour", { startsPerHour: v ?? 1 })}
      />
      <TextField
        label="Reason"
        value={starter.reason}
        onCommit={(reason) => change("reason for the starter", { reason })}
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
  return (
    <>
      <ChoiceField
        label="Raised by"
        value={s.mode}
        choices={{
          "voltage-ramp": "voltage ramp",
          "current-ramp": "current ramp",
          "current-limit": "current limit at once",
        }}
        onCommit={(mode) =>
          change("way of raising", {
            ...s,
            mode,
            initialPct: mode === "voltage-ramp" ? Math.min(s.initialPct, 100) : s.initialPct,
          })
        }
      />
      {s.mode !== "current-limit" && (
        <>
          <QuantityField
            label={s.mode === "voltage-ramp" ? "Initial voltage" : "Initial current"}
            quantity={quantities.percent}
            value={s.initialPct}
            onCommit={(v) => change("initial value", { ...s, initialPct: v ?? 0 })}
          />
          <QuantityField
            label="Ramp"
            quantity={quantities.timeS}
            value={s.rampS}
            onCommit={(v) => change("ramp", { ...s, rampS: v ?? 0 })}
          />
        </>
      )}
      <QuantityField
        label="Current limit"
        quantity={quantities.percent}
        value={s.currentLimitPct}
        note="Of the motor’s set current, not of the starter’s rating."
        onCommit={(v) => change("current limit", { ...s, currentLimitPct: v ?? 350 })}
      />
      <QuantityField
        label="Kick voltage"
        quantity={quantities.percent}
        value={s.kickPct}
        onCommit={(v) => change("kick", { ...s, kickPct: v ?? 0 })}
      />
      {s.kickPct > 0 && (
        <QuantityField
          label="Kick time"
          quantity={quantities.timeS}
          value={s.kickS}
          onCommit={(v) => change("kick time", { ...s, kickS: v ?? 0 })}
        />
      )}
      <SwitchField
        label="Inside the delta"
        value={s.insideDelta}
        onCommit={(insideDelta) => change("inside the delta", { ...s, insideDelta })}
      />
      <QuantityField
        label="Stop ramp"
        quantity={quantities.timeS}
        value={s.stopRampS}
        note="Voltage falls over this time, against water hammer; 0: coasting. See the stop under Start, stop."
        onCommit={(v) => change("stop ramp", { ...s, stopRampS: v ?? 0 })}
      />
    </>
  );
}
