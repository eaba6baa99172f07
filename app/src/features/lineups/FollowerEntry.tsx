import type { Outcome } from "../../components/draft";
import type { RatioFollower } from "../../lib/arrangements";
import { Entries, Entry, type ChangePart } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { findPoint } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";

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
  const part: ChangePart<RatioFollower> = (p, what) => change(what, p);
  return (
    <>
      <Entries of={fields.ArrangementRatioFollower} value={ratio} keys={["name"]} change={part} />
      <Entry
        field={fields.ArrangementRatioFollower.wantedRatio}
        label={`Wanted, ${ratio.follower.unit} for each ${ratio.leader.unit}`}
        value={ratio.wantedRatio}
        onCommit={(wantedRatio: number | null) => change("wanted ratio", { wantedRatio })}
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
        <Entries
          of={fields.ArrangementRatioFollower}
          value={ratio}
          keys={[
            "impliedDecimals",
            "largestSetting",
            "inputLimitHz",
            "sampleTimeS",
            "leaderRampS",
            "followerRampS",
            "reason",
          ]}
          change={part}
        />
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
      <Entries of={fields.RatioAxis} value={axis} keys={["pulsesPerTurn", "gearRatio"]} change={onChange} />
      <Entry
        field={fields.RatioAxis.unitsPerMachineTurn}
        label={`${axis.unit} a turn of the machine`}
        value={axis.unitsPerMachineTurn}
        onCommit={(unitsPerMachineTurn: number | null) => onChange({ unitsPerMachineTurn })}
      />
      <Entries of={fields.RatioAxis} value={axis} keys={["unit", "leastRpm", "largestRpm"]} change={onChange} />
    </fieldset>
  );
}
