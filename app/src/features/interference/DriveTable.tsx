import { useMemo, useState } from "react";
import type { Check, CheckKey, DrivePoint, InterferencePlan, Lineup } from "../../api/client";
import { CellChoice } from "../../components/CellFields";
import { CellEntry } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { worst } from "../../lib/verdict";
import { partOf, type PartOf } from "../../lib/within";
import { VerdictMark } from "../../components/VerdictMark";
import { useProject } from "../../project/ProjectContext";
import { notStated, type Interference } from "./interference";
import { placeNames } from "./RouteTables";
import { useRoutes } from "./useRoutes";

const MOST = 60;

/** What each drive emits and leaks, with the entries it follows from; lineups first, their drive points below. */
export function DriveTable({
  plan,
  onReason,
}: {
  readonly plan: InterferencePlan;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { project, edit } = useProject();
  const { routes } = useRoutes();
  const units = useUnits();
  const { lineups } = project.specification;
  // Of a large plant one lineup at a time: that is how they are worked on, and how they answer at once.
  const [wanted, setWanted] = useState<string>();
  const many = lineups.reduce((count, l) => count + l.drivePoints.length, 0) > MOST;
  const shown = wanted ?? (many ? (lineups[0]?.id ?? "") : "");
  const checks = useMemo(() => {
    const byPoint = new Map<string, Check[]>();
    for (const check of project.assessment.checks.filter((c) => c.id.startsWith("emc."))) {
      byPoint.set(check.drivePointId, [...(byPoint.get(check.drivePointId) ?? []), check]);
    }
    return byPoint;
  }, [project.assessment.checks]);
  const found = new Map(plan.points.map((p) => [p.pointId, p]));
  const places = placeNames(routes, "–");
  const changeLineup = (l: Lineup, part: PartOf<Lineup>) =>
    edit(l.tag, (s) => ({
      ...s,
      lineups: s.lineups.map((x) => (x.id === l.id ? { ...x, ...partOf(x, part) } : x)),
    }));
  const interferenceOf = (now: Interference, part: PartOf<Interference>) => ({ ...now, ...partOf(now, part) });
  const change = (p: DrivePoint, part: PartOf<Interference>) =>
    edit(`${p.tag}: interference`, (s) => ({
      ...s,
      lineups: s.lineups.map((l) => ({
        ...l,
        drivePoints: l.drivePoints.map((x) =>
          x.id === p.id ? { ...x, interference: interferenceOf(x.interference ?? notStated, part) } : x,
        ),
      })),
    }));
  return (
    <section aria-label="Drives">
      <h3 className="section-title flex items-center gap-2">
        Drives <span className="text-[12px] font-normal text-soft">what they emit, what leaks to earth</span>
        {lineups.length > 1 && (
          <select
            className="entry w-auto font-normal"
            aria-label="Lineup whose drives are shown"
            value={shown}
            onChange={(e) => setWanted(e.target.value)}
          >
            <option value="">all lineups</option>
            {lineups.map((l) => (
              <option key={l.id} value={l.id}>
                {l.tag} {l.name}
              </option>
            ))}
          </select>
        )}
      </h3>
      <div className="max-h-[520px] overflow-auto" tabIndex={0} role="region" aria-label="Drives, scrolls">
        <table className="table text-[12px]">
          <thead className="sticky top-0 z-10 bg-ground">
            <tr>
              {[
                "",
                "drive point",
                "converter at",
                "motor at",
                "EMC filter",
                "declared",
                "links open",
                "residual-current device",
                "I_Δn, mA",
                "leaks, mA",
                "second PE",
                "PE watched",
                "edge, A",
                "charging, A · W",
                "bonded",
                "ring",
                "cores",
              ].map((h) => (
                <th key={h} className="whitespace-nowrap">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          {lineups
            .filter((l) => shown === "" || l.id === shown)
            .map((l) => (
              <tbody key={l.id}>
                <tr className="bg-panel">
                  <td />
                  <th scope="row" className="text-left whitespace-nowrap">
                    {l.tag} {l.name}
                  </th>
                  <td>
                    <CellChoice
                      label={`Place of ${l.tag}`}
                      value={l.placeId ?? ""}
                      choices={places}
                      onCommit={(placeId) => changeLineup(l, { placeId })}
                    />
                  </td>
                  <td colSpan={4} />
                  <Residual
                    whose={l.tag}
                    device={l.residual ?? notStated.residual}
                    onCommit={(part) =>
                      changeLineup(l, (now) => ({ residual: { ...(now.residual ?? notStated.residual), ...part } }))
                    }
                  />
                  <td className="num font-bold" title="Sum of its drive points as a bound">
                    {sum(l.drivePoints.map((p) => found.get(p.id)?.leakageMa))}
                  </td>
                  <td colSpan={7} />
                </tr>
                {l.drivePoints.map((p) => {
                  const i = p.interference ?? notStated;
                  const row = found.get(p.id);
                  const own = checks.get(p.id) ?? [];
                  const verdict = worst(own.map((c) => c.verdict));
                  const leading = own.find((c) => c.verdict === verdict);
                  const entry = (key: keyof Interference & keyof typeof fields.PointInterference) => (
                    <CellEntry
                      field={fields.PointInterference[key]}
                      whose={p.tag}
                      value={i[key]}
                      onCommit={(v: unknown) => change(p, { [key]: v })}
                    />
                  );
                  return (
                    <tr key={p.id}>
                      <td>
                        {verdict && leading && (
                          <button
                            type="button"
                            aria-label={`Reason: ${leading.title} of ${p.tag}`}
                            onClick={() => onReason(leading)}
                          >
                            <VerdictMark verdict={verdict} size={11} labelled />
                          </button>
                        )}
                      </td>
                      <td className="font-bold whitespace-nowrap">
                        {p.tag} <span className="font-normal">{p.name}</span>
                      </td>
                      {(["placeId", "motorPlaceId"] as const).map((key) => (
                        <td key={key}>
                          <CellChoice
                            label={`${fields.PointInterference[key].name} of ${p.tag}`}
                            value={i[key]}
                            choices={key === "placeId" ? { ...places, "": "lineup" } : places}
                            onCommit={(id) => change(p, { [key]: id })}
                          />
                        </td>
                      ))}
                      <td>{row ? entry("filter") : <span className="text-soft">on the line</span>}</td>
                      <td className="whitespace-nowrap">
                        {row?.declared
                          ? `${row.declared.toUpperCase()} to ${units.say(row.declaredToM, "m")}, ${n(row.declaredToKhz)} kHz`
                          : "–"}
                      </td>
                      <td>{row && entry("linksOpen")}</td>
                      <Residual
                        whose={p.tag}
                        device={i.residual}
                        onCommit={(part) => change(p, (now) => ({ residual: { ...now.residual, ...part } }))}
                      />
                      <td className="num">{row?.leakageMa == null ? "–" : n(row.leakageMa)}</td>
                      <td>{entry("earthDouble")}</td>
                      <td>{entry("earthMonitored")}</td>
                      <td className="num">{row?.edgeA == null ? "–" : n(row.edgeA)}</td>
                      <td className="num whitespace-nowrap">
                        {row?.chargingA == null ? "–" : `${n(row.chargingA)} · ${n(row.chargingLossW)}`}
                      </td>
                      <td>{entry("frameBonded")}</td>
                      <td>{entry("shaftRing")}</td>
                      <td>{entry("commonModeCores")}</td>
                    </tr>
                  );
                })}
              </tbody>
            ))}
        </table>
      </div>
    </section>
  );
}

function Residual({
  whose,
  device,
  onCommit,
}: {
  readonly whose: string;
  readonly device: Interference["residual"];
  readonly onCommit: (part: Partial<Interference["residual"]>) => Promise<string | undefined>;
}) {
  return (
    <>
      <td>
        <CellEntry
          field={fields.ResidualDevice.kind}
          whose={whose}
          value={device.kind}
          onCommit={(kind: Interference["residual"]["kind"]) => onCommit({ kind })}
        />
      </td>
      <td>
        {device.kind !== "none" && device.kind !== "not-stated" && (
          <CellEntry
            field={fields.ResidualDevice.ratedMa}
            whose={whose}
            width="w-16"
            value={device.ratedMa}
            onCommit={(ratedMa: number | null) => onCommit({ ratedMa })}
          />
        )}
      </td>
    </>
  );
}

const sum = (values: readonly (number | null | undefined)[]) =>
  values.every((v) => v == null) ? "–" : n(values.reduce((a: number, v) => a + (v ?? 0), 0));
