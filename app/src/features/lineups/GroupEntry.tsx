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
            <Entries
              of={fields.GroupMember}
              value={m}
              keys={[
                "count",
                "protection",
                ...(m.protection === "overload-relay" ? (["trip"] as const) : []),
                "branchFuse",
                "switchedLate",
              ]}
              change={(part) => withMember(m, part)}
            />
          </fieldset>
        );
      })}
    </>
  );
}
