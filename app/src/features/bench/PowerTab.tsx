import type { Bench } from "../../api/client";
import { Missing } from "./FigureList";
import { LineTab } from "./LineTab";
import { LossTab } from "./LossTab";
import type { Reasoned } from "./ReasonSheet";
import { TimeCurrent } from "../protection/TimeCurrent";

/** What the drive point draws from the supply and where it stays. */
export function PowerTab(props: { readonly bench: Bench; readonly onFigure: (subject: Reasoned) => void }) {
  const { bench } = props;
  if (!bench.lineCurrent && bench.chain.length === 0) {
    return (
      <>
        <Missing
          names={
            bench.missing.length > 0 ? bench.missing : ["fault level of the source, or a scenario in which it runs"]
          }
        />
        <TimeCurrent pointId={bench.drivePointId} />
      </>
    );
  }
  return (
    <>
      <LineTab {...props} />
      <LossTab {...props} />
      <TimeCurrent pointId={bench.drivePointId} />
    </>
  );
}
