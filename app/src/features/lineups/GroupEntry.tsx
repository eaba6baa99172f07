import { ChoiceField, QuantityField, SwitchField, TextField } from "../../components/Fields";
import type { Outcome } from "../../components/draft";
import type { MotorGroup } from "../../lib/arrangements";
import { findPoint } from "../../lib/specification";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";

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
      <TextField label="Name" value={group.name} onCommit={(name) => change("name", { name })} />
      <QuantityField
        label="Simultaneity"
        optional
        placeholder="all at once"
        quantity={quantities.percent}
        value={group.simultaneityPct}
        onCommit={(simultaneityPct) => change("simultaneity", { simultaneityPct })}
      />
      <TextField label="Reason" value={group.reason} onCommit={(reason) => change("reason", { reason })} />
      {group.members.map((m, i) => {
        const tag = findPoint(project.specification, m.pointId)?.tag ?? m.pointId;
        return (
          <fieldset key={m.pointId} className="mt-2 border-t border-rule pt-1">
            <legend className="pr-2 font-semibold">
              {tag}
              {i === 0 ? ", its converter feeds all" : ""}
            </legend>
            <QuantityField
              label="Motors alike"
              quantity={quantities.plain}
              value={m.count}
              onCommit={(count) => withMember(m, { count: count ?? 1 })}
            />
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
