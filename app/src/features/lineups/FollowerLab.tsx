import { api, type Follower } from "../../api/client";
import { plum } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { Failed, Loading } from "../../components/States";
import type { RatioFollower } from "../../lib/arrangements";
import { n } from "../../lib/format";
import { Missing } from "../bench/FigureList";
import { useLab } from "./useLab";

type Setting = NonNullable<Follower["setting"]>;

/** The follower's calculator: what is entered at the display, the speeds that follow, pulses, resolution, ramps. */
export function FollowerLab({ ratio }: { readonly ratio: RatioFollower }) {
  const query = useLab<Follower>(["follower", ratio.id], (project) =>
    api.GET("/api/projects/{id}/followers/{follower}", { params: { path: { id: project, follower: ratio.id } } }),
  );
  return (
    <section aria-label="Calculator of the follower" className="min-w-0">
      {query.isPending ? (
        <Loading what="setting" />
      ) : query.isError ? (
        <Failed what="The setting could not be computed." detail={query.error.message} />
      ) : query.data.setting === null ? (
        <Missing names={query.data.missing} />
      ) : (
        <Answer ratio={ratio} setting={query.data.setting} />
      )}
    </section>
  );
}

function Answer({ ratio, setting: s }: { readonly ratio: RatioFollower; readonly setting: Setting }) {
  const rows: readonly (readonly [string, string])[] = [
    ["Ratio of the pulses", n(s.pulseRatio, 6)],
    ["Rounding by the display", `${n(s.roundingPct, 3)} %`],
    ["Ratio of the motor speeds", n(s.speedRatio, 6)],
    ["Leader moves a turn", `${n(s.leaderUnitsPerTurn, 4)} ${ratio.leader.unit}`],
    ["Follower moves a turn", `${n(s.followerUnitsPerTurn, 4)} ${ratio.follower.unit}`],
    [
      "Follower’s speeds",
      `${n(s.followerAtLeastRpm)} to ${n(s.followerAtLargestRpm)} rpm${s.withinSpeeds ? "" : ", beyond its limits"}`,
    ],
    ["Largest pulse frequency", `${n(s.largestPulseHz)} Hz${s.withinInput ? "" : ", more than the input counts"}`],
    [
      "One pulse in the sampling time",
      s.resolutionPct === null ? "no pulses at standstill" : `${n(s.resolutionPct, 3)} % of the minimum speed`,
    ],
    [
      "While the leader speeds up",
      s.missingUnits === null || s.reachS === null
        ? "a ramp is not known"
        : s.missingUnits > 0
          ? `${n(s.reachS, 3)} s, ${n(s.missingUnits, 3)} ${ratio.follower.unit} behind`
          : "it keeps up",
    ],
  ];
  return (
    <>
      <div className="flex items-baseline gap-3 border border-rule bg-card p-3">
        <span className="text-soft">Enter at the display</span>
        <output aria-label="Setting" className="font-mono text-[30px] font-bold text-plum">
          {String(s.displaySetting).padStart(ratio.impliedDecimals + 1, "0")}
        </output>
        <span className="text-soft">
          {ratio.impliedDecimals > 0 && `reads as ${n(s.displaySetting / 10 ** ratio.impliedDecimals, 6)}`}
          {!s.fitsDisplay && " · does not fit the display"}
        </span>
      </div>
      <table className="table mt-3" aria-label="What follows from the setting">
        <tbody>
          {rows.map(([name, value]) => (
            <tr key={name}>
              <td>{name}</td>
              <td className="num">{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Speeds ratio={ratio} setting={s} />
    </>
  );
}

function Speeds({ ratio, setting: s }: { readonly ratio: RatioFollower; readonly setting: Setting }) {
  const { leader, follower } = ratio;
  const most = leader.largestRpm ?? 0;
  const line = [0, most].map((rpm) => ({ leader: rpm, follower: rpm * s.speedRatio }));
  return (
    <Chart
      title="Speed of the follower over the leader’s"
      rows={line}
      along={{ key: "leader", kind: "number", label: "leader’s motor, rpm", domain: [0, most] }}
      left={{
        label: "follower’s motor, rpm",
        width: 62,
        domain: [0, Math.ceil((1.1 * Math.max(most * s.speedRatio, follower.largestRpm ?? 0)) / 100) * 100],
      }}
      series={[{ key: "follower", name: "ratio: follower’s motor", unit: "rpm", colour: plum, width: 2 }]}
      fields={[
        {
          x1: leader.leastRpm ?? 0,
          x2: most,
          y1: follower.leastRpm ?? 0,
          y2: follower.largestRpm ?? 0,
          colour: "#cfc6b2",
          name: "where both may run",
        },
      ]}
      points={s.scenarios.map((x) => ({ x: x.leaderRpm, y: x.followerRpm, name: x.scenario }))}
      width={700}
      height={250}
    />
  );
}
