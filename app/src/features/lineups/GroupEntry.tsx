import { ChoiceField, SwitchField } from "../../components/Fields";
import type { Outcome } from "../../components/draft";
import type { MotorGroup } from "../../lib/arrangements";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { findPoint } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";

type Member = MotorGroup["members"][number];

/** Entries of a group: how many of each motor, what protects each, what is switched late. */
export function GroupEntry({
  group,
  change,
}: {
  readonly group: MotorGroup;
  readonly change: (
    what: string,
    part: Partial<MotorGroup> | ((now: MotorGroup) => Partial<MotorGroup>),
  ) => Promise<Outcome>;
}) {
  const { project } = useProject();
  const withMember = (member: Member, part: Partial<Member>) =>
    change("members", (now) => ({
      members: now.members.map((m) => (m.pointId === member.pointId ? { ...m, ...part } : m)),
    }));
  return (
    <>
      <Entries
        of={fields.ArrangementMotorGroup}
        value={group}
        keys={["name", "simultaneityPct", "reason"]}
        change={(part, what) => change(what, part)}
      />
      {group.members.map((m, i) => {
        const tag = findPoint(project.specification, m.pointId)?.tag ?? m.pointId;
        return (
          <fieldset key={m.pointId} className="mt-2 border-t border-rule pt-1">
            <legend className="pr-2 font-semibold">
              {tag}
              {i === 0 ? ", its converter feeds all" : ""}
            </legend>
            <Entries of={fields.GroupMember} value={m} keys={["count"]} change={(part) => withMember(m, part)} />
            <ChoiceField
              label="Overload protection"
              value={m.protection}
              choices={{ none: "none of its own", "overload-relay": "overload relay", thermistor: "thermistors" }}
              onCommit={(protection) => withMember(m, { protection })}
            />
            {m.protection === "overload-relay" && (
              <ChoiceField
                label="Trip class"
                value={m.trip}
                choices={{ "class10-a": "10 A", class10: "10", class20: "20", class30: "30" }}
                onCommit={(trip) => withMember(m, { trip })}
              />
            )}
            <SwitchField
              label="Branch fused or rated"
              value={m.branchFuse}
              onCommit={(branchFuse) => withMember(m, { branchFuse })}
            />
            <SwitchField
              label="Switched on while others run"
              value={m.switchedLate}
              onCommit={(switchedLate) => withMember(m, { switchedLate })}
            />
          </fieldset>
        );
      })}
    </>
  );
}
