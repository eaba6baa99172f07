import { useMemo, type ReactNode } from "react";
import type { DrivePoint } from "../../api/client";
import { AssumedContext, byField } from "../../fields/assumed";
import { useProject } from "../../project/ProjectContext";
import { useBench } from "./useBench";

/** Entries of a drive point, those that stand assumed marked; a confirmation is for all that are selected. */
export function AssumedAround({
  point,
  columns,
  children,
}: {
  readonly point: DrivePoint;
  readonly columns: readonly string[];
  readonly children: ReactNode;
}) {
  const { run } = useProject();
  const { data } = useBench(point.id, (point.assumed?.length ?? 0) > 0);
  const assumed = useMemo(
    () => ({
      of: byField(data?.assumed ?? []),
      confirm: (key: string) => void run({ kind: "confirm-assumed", pointIds: [...columns], keys: [key] }),
    }),
    [data?.assumed, columns, run],
  );
  return <AssumedContext value={assumed}>{children}</AssumedContext>;
}
