import { useState } from "react";
import type { Outcome } from "../../components/draft";
import { ListEntry } from "../lists/ListEntry";
import { motorNameHeads, listFields, readMotors, type OwnMotor } from "./plate";
import { FormChoice } from "../../fields/FormChoice";
import { fields } from "../../fields/table";

/** Motors from a list. */
export function MotorListEntry({
  taken,
  onTake,
  onCancel,
}: {
  readonly taken: readonly OwnMotor[];
  readonly onTake: (motors: readonly OwnMotor[]) => Promise<Outcome>;
  readonly onCancel: () => void;
}) {
  const [technology, setTechnology] = useState<OwnMotor["technology"]>("cage-induction");
  return (
    <ListEntry
      what="motors"
      fields={listFields}
      nameHeads={motorNameHeads}
      read={(rows, mapping) => readMotors(rows, mapping, technology, new Set(taken.map((m) => m.id)))}
      onTake={onTake}
      onCancel={onCancel}
    >
      <FormChoice field={fields.OwnMotor.technology} value={technology} onChange={setTechnology} />
    </ListEntry>
  );
}
