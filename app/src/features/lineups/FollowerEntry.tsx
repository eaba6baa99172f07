import { QuantityField, TextField } from "../../components/Fields";
import type { Outcome } from "../../components/draft";
import type { RatioFollower } from "../../lib/arrangements";
import { findPoint } from "../../lib/specification";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";

type Axis = RatioFollower["leader"];

/** Entries of a ratio follower: both axes, the wanted ratio, display and input. */
export function FollowerEntry({
  ratio,
  change,
}: {
  readonly ratio: RatioFollower;
  readonly change: (
    what: string,
    part: Partial<RatioFollower> | ((now: RatioFollower) => Partial<RatioFollower>),
  ) => Promise<Outcome>;
}) {
  return (
    <>
      <TextField label="Name" value={ratio.name} onCommit={(name) => change("name", { name })} />
      <QuantityField
        label={`Wanted, ${ratio.follower.unit} for each ${ratio.leader.unit}`}
        optional
        quantity={quantities.plain}
        value={ratio.wantedRatio}
        onCommit={(wantedRatio) => change("wanted ratio", { wantedRatio })}
      />
      <AxisEntry
        title="Leader"
        axis={ratio.leader}
        onChange={(part) => change("leader", (now) => ({ leader: { ...now.leader, ...part } }))}
      />
      <AxisEntry
        title="Follower"
        axis={ratio.follower}
        onChange={(part) => change("follower", (now) => ({ follower: { ...now.follower, ...part } }))}
      />
      <fieldset className="mt-2 border-t border-rule pt-1">
        <legend className="pr-2 font-semibold">Display and input</legend>
        <QuantityField
          label="Decimals not shown"
          quantity={quantities.plain}
          value={ratio.impliedDecimals}
          onCommit={(v) => change("decimals not shown", { impliedDecimals: v ?? 0 })}
        />
        <QuantityField
          label="Largest setting"
          optional
          quantity={quantities.plain}
          value={ratio.largestSetting}
          onCommit={(largestSetting) => change("largest setting", { largestSetting })}
        />
        <QuantityField
          label="Pulse input up to"
          optional
          quantity={quantities.frequencyHz}
          value={ratio.inputLimitHz}
          onCommit={(inputLimitHz) => change("pulse input", { inputLimitHz })}
        />
        <QuantityField
          label="Sampling time"
          optional
          quantity={quantities.timeS}
          value={ratio.sampleTimeS}
          onCommit={(sampleTimeS) => change("sampling time", { sampleTimeS })}
        />
        <QuantityField
          label="Leader’s ramp"
          optional
          quantity={quantities.timeS}
          value={ratio.leaderRampS}
          onCommit={(leaderRampS) => change("leader’s ramp", { leaderRampS })}
        />
        <QuantityField
          label="Follower’s ramp"
          optional
          quantity={quantities.timeS}
          value={ratio.followerRampS}
          onCommit={(followerRampS) => change("follower’s ramp", { followerRampS })}
        />
        <TextField label="Reason" value={ratio.reason} onCommit={(reason) => change("reason", { reason })} />
      </fieldset>
    </>
  );
}

function AxisEntry({
  title,
  axis,
  onChange,
}: {
  readonly title: string;
  readonly axis: Axis;
  readonly onChange: (part: Partial<Axis>) => Promise<Outcome>;
}) {
  const { project } = useProject();
  return (
    <fieldset className="mt-2 border-t border-rule pt-1">
      <legend className="pr-2 font-semibold">
        {title} {findPoint(project.specification, axis.pointId)?.tag}
      </legend>
      <QuantityField
        label="Pulses a turn"
        optional
        quantity={quantities.plain}
        value={axis.pulsesPerTurn}
        onCommit={(pulsesPerTurn) => onChange({ pulsesPerTurn })}
      />
      <QuantityField
        label="Gear ratio"
        optional
        quantity={quantities.plain}
        value={axis.gearRatio}
        onCommit={(gearRatio) => onChange({ gearRatio })}
      />
      <QuantityField
        label={`${axis.unit} a turn of the machine`}
        optional
        quantity={quantities.plain}
        value={axis.unitsPerMachineTurn}
        onCommit={(unitsPerMachineTurn) => onChange({ unitsPerMachineTurn })}
      />
      <TextField label="Unit" value={axis.unit} onCommit={(unit) => onChange({ unit })} />
      <QuantityField
        label="Least speed"
        optional
        quantity={quantities.speedRpm}
        value={axis.leastRpm}
        onCommit={(leastRpm) => onChange({ leastRpm })}
      />
      <QuantityField
        label="Largest speed"
        optional
        quantity={quantities.speedRpm}
        value={axis.largestRpm}
        onCommit={(largestRpm) => onChange({ largestRpm })}
      />
    </fieldset>
  );
}
