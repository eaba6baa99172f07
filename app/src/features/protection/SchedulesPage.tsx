import { useState } from "react";
import type { ProtectionPlan } from "../../api/client";
import { Empty, Failed, Loading } from "../../components/States";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import type { Row } from "../board/selection";
import { useProtection } from "./useProtection";
import { arranged, type Order } from "./scheduleRows";

type CableRow = ProtectionPlan["cables"][number];
type DeviceRow = ProtectionPlan["devices"][number];

/** Cable and device schedules of the plant, sorted and filtered, each row leading to its cell. */
export function SchedulesPage({ onCell }: { readonly onCell: (point: string, row: Row) => void }) {
  const { project, run } = useProject();
  const [filter, setFilter] = useState("");
  const [open, setOpen] = useState(false);
  const found = useProtection();
  if (found.isPending) {
    return <Loading what="schedules" />;
  }
  if (found.isError) {
    return (
      <Failed what="The schedules could not be made." detail={found.error.message} retry={() => void found.refetch()} />
    );
  }
  const plan = found.data;
  const all = project.specification.lineups.flatMap((l) => l.drivePoints.map((p) => p.id));
  const base = `/api/projects/${project.id}`;
  const shown = <T extends { readonly verdict?: string }>(rows: readonly T[]) =>
    rows.filter(
      (r) =>
        (!open || r.verdict === "fails" || r.verdict === "tight" || r.verdict === "needs-data") &&
        JSON.stringify(Object.values(r)).toLowerCase().includes(filter.toLowerCase()),
    );
  if (plan.cables.length === 0) {
    return <Empty>No cables yet: they come with the first drive point.</Empty>;
  }
  return (
    <div className="min-w-0 overflow-auto p-4">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="text-[17px] font-bold">Schedules</h2>
        <input
          className="entry w-52"
          aria-label="Filter the schedules"
          placeholder="tag, place, section …"
          value={filter}
          onChange={(e) => setFilter(e.target.value)}
        />
        <label className="flex items-center gap-1">
          <input type="checkbox" checked={open} onChange={(e) => setOpen(e.target.checked)} />
          open points only
        </label>
        <button
          type="button"
          className="button"
          onClick={() => void run({ kind: "size-protection", pointIds: all, part: "devices", device: "usual" })}
        >
          Propose all devices
        </button>
        <button
          type="button"
          className="button"
          onClick={() => void run({ kind: "size-protection", pointIds: all, part: "cables", device: "usual" })}
        >
          Propose all sections
        </button>
        <span className="ml-auto flex gap-3">
          {[
            ["Cables CSV", "cable-schedule.csv"],
            ["Devices CSV", "device-schedule.csv"],
            ["Both XLSX", "schedules.xlsx"],
          ].map(([name, file]) => (
            <a key={file} className="text-plum underline" href={`${base}/${file ?? ""}`} download>
              {name}
            </a>
          ))}
        </span>
      </div>
      {plan.missing.length > 0 && <p className="mt-1 text-soft">Not all can be computed: {plan.missing.join(", ")}.</p>}
      <p className="mt-1 text-[12px] text-soft">
        Protection is settled by licensed people after local codes and the makers’ instructions.
      </p>
      <Cables rows={shown(plan.cables)} onCell={onCell} />
      <Devices rows={shown(plan.devices)} onCell={onCell} />
    </div>
  );
}

function Heads({
  heads,
  order,
  onOrder,
}: {
  readonly heads: readonly (readonly [string, string])[];
  readonly order: Order | undefined;
  readonly onOrder: (order: Order) => void;
}) {
  return (
    <thead>
      <tr>
        {heads.map(([key, head]) => (
          <th
            key={key}
            aria-sort={order?.key === key ? (order.falling ? "descending" : "ascending") : "none"}
            className="whitespace-nowrap"
          >
            <button
              type="button"
              className="font-semibold"
              aria-label={head === "" ? "verdict" : undefined}
              onClick={() => onOrder({ key, falling: order?.key === key && !order.falling })}
            >
              {head === "" ? "▾" : head}
              {order?.key === key ? (order.falling ? " ↓" : " ↑") : ""}
            </button>
          </th>
        ))}
      </tr>
    </thead>
  );
}

function Cables({
  rows,
  onCell,
}: {
  readonly rows: readonly CableRow[];
  readonly onCell: (point: string, row: Row) => void;
}) {
  const units = useUnits();
  const [order, setOrder] = useState<Order>();
  const section = (mm2: number | null | undefined) => (mm2 == null ? "open" : units.entered(mm2, "mm²"));
  return (
    <>
      <h3 className="section-title">Cables</h3>
      <table className="table text-[12px]" aria-label="Cable schedule">
        <Heads
          order={order}
          onOrder={setOrder}
          heads={[
            ["verdict", ""],
            ["tag", "tag"],
            ["from", "from"],
            ["to", "to"],
            ["kind", "kind"],
            ["sectionMm2", "section"],
            ["lengthM", "length"],
            ["laid", "laid"],
            ["designA", "load, A"],
            ["capacityA", "carries, A"],
            ["dropPct", "drop, %"],
            ["largestFaultKa", "fault, kA"],
            ["leastFaultKa", "least, kA"],
            ["proposedMm2", "proposed"],
          ]}
        />
        <tbody>
          {arranged(rows, order).map((r) => (
            <tr key={`${r.drivePointId}|${r.elementId}|${r.role}`}>
              <td>
                <VerdictMark verdict={r.verdict ?? "not-applicable"} size={11} labelled />
              </td>
              <td className="whitespace-nowrap font-bold">
                {r.drivePointId ? (
                  <button
                    type="button"
                    className="text-plum underline"
                    onClick={() => onCell(r.drivePointId, r.role === "feeder" ? "supply" : "cable")}
                  >
                    {r.tag}
                  </button>
                ) : (
                  r.tag
                )}
              </td>
              <td>{r.from}</td>
              <td>{r.to}</td>
              <td>{r.kind}</td>
              <td className="font-mono whitespace-nowrap">
                {(r.count ?? 1) > 1 && `${String(r.count)} ×, each `}
                {(r.parallel ?? 1) > 1 && `${String(r.parallel)} × `}
                {section(r.sectionMm2)}
              </td>
              <td className="font-mono whitespace-nowrap">
                {r.lengthM == null ? "open" : units.entered(r.lengthM, "m")}
              </td>
              <td>{r.laid?.length ? units.sentence(r.laid) : "not stated"}</td>
              <td className="font-mono">{number(r.designA)}</td>
              <td className="font-mono">{number(r.capacityA)}</td>
              <td className="font-mono">{number(r.dropPct, 2)}</td>
              <td className="font-mono">{number(r.largestFaultKa)}</td>
              <td className="font-mono">{number(r.leastFaultKa)}</td>
              <td
                className="font-mono whitespace-nowrap"
                title={r.governs?.length ? `${r.governs} governs` : undefined}
              >
                {r.proposedMm2 == null ? "–" : `${section(r.proposedMm2)} · ${r.governs ?? ""}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function Devices({
  rows,
  onCell,
}: {
  readonly rows: readonly DeviceRow[];
  readonly onCell: (point: string, row: Row) => void;
}) {
  const [order, setOrder] = useState<Order>();
  return (
    <>
      <h3 className="section-title">Protective and switching devices</h3>
      <table className="table text-[12px]" aria-label="Device schedule">
        <Heads
          order={order}
          onOrder={setOrder}
          heads={[
            ["verdict", ""],
            ["tag", "protects"],
            ["place", "at"],
            ["device", "device"],
            ["designA", "load, A"],
            ["breakingKa", "breaks, kA"],
            ["largestFaultKa", "fault, kA"],
            ["peakKa", "peak, kA"],
            ["contactors", "contactors, relay"],
            ["tripClass", "class"],
            ["proposed", "proposed"],
          ]}
        />
        <tbody>
          {arranged(rows, order).map((r) => (
            <tr key={`${r.drivePointId}|${r.elementId}`}>
              <td>
                <VerdictMark verdict={r.verdict ?? "not-applicable"} size={11} labelled />
              </td>
              <td className="whitespace-nowrap font-bold">
                {r.drivePointId ? (
                  <button
                    type="button"
                    className="text-plum underline"
                    onClick={() => onCell(r.drivePointId, "supply")}
                  >
                    {r.tag}
                  </button>
                ) : (
                  r.tag
                )}
              </td>
              <td>{r.place}</td>
              <td>{r.device?.length ? r.device : "not chosen"}</td>
              <td className="font-mono">{number(r.designA)}</td>
              <td className="font-mono">{number(r.breakingKa)}</td>
              <td className="font-mono">{number(r.largestFaultKa)}</td>
              <td className="font-mono">{number(r.peakKa)}</td>
              <td>{[r.contactors, r.coordination && `coordination ${r.coordination}`].filter(Boolean).join("; ")}</td>
              <td>{r.tripClass}</td>
              <td>{r.proposed === r.device ? "as chosen" : r.proposed}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

const number = (value: number | null | undefined, digits = 3) => (value == null ? "–" : n(value, digits));
