import type { DrivePoint, SunAnswer } from "../../api/client";
import { Button } from "../../components/Button";
import { VerdictMark } from "../../components/VerdictMark";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";

/** Ways to connect modules against every limit; the usual ones first, what passes a limit is not to be chosen. */
export function StringTable({ point, answer }: { readonly point: DrivePoint; readonly answer: SunAnswer }) {
  const { run } = useProject();
  const { ways, limits } = answer;
  if (ways.length === 0) {
    return null;
  }
  return (
    <section aria-label="Strings">
      <h3 className="section-title">Strings</h3>
      <div className="max-h-[22rem] overflow-auto" tabIndex={0} role="region" aria-label="Strings, scrolls">
        <table className="table w-auto">
          <thead>
            <tr>
              <th>strings × modules</th>
              <th className="num">array</th>
              <th className="num">over pump</th>
              <th className="num">cold, of {limits?.limitV ? `${n(limits.limitV)} V` : "limit"}</th>
              <th className="num">motor hot</th>
              <th className="num">full flux to</th>
              <th className="num">fuses</th>
              <th className="num">worst month</th>
              <th>
                <span className="sr-only">choose</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {ways.map((w) => (
              <tr key={`${w.inSeries}x${w.inParallel}`} className={w.isChosen ? "bg-plum-wash font-semibold" : ""}>
                <td>
                  {w.inParallel} × {w.inSeries}
                </td>
                <td className="num">{n(w.arrayKw)} kW</td>
                <td className="num">{w.arrayPu === null ? "–" : n(w.arrayPu)}</td>
                <td className="num">
                  <span className="inline-flex items-center gap-1">
                    <VerdictMark verdict={w.holds ? "holds" : "fails"} size={9} labelled />
                    {n(w.coldV)} V
                  </span>
                </td>
                <td className="num">{w.motorV === null ? "–" : `${n(w.motorV)} V`}</td>
                <td className="num">{w.fullFluxRpm === null ? "–" : `${n(w.fullFluxRpm, 4)} rpm`}</td>
                <td className="num">
                  {w.needsFuses ? (w.fuseA === null ? "none fits" : `${n(w.fuseA)} A`) : "not needed"}
                </td>
                <td className="num">{typeof w.worstShare !== "number" ? "–" : `${n(100 * w.worstShare)} %`}</td>
                <td>
                  {w.isChosen ? (
                    <span className="text-[12px]">chosen</span>
                  ) : (
                    <Button
                      aria-label={`Choose ${w.inSeries} in series, ${w.inParallel} strings`}
                      why={!w.holds && "It passes the limit on a cold dawn."}
                      onClick={() =>
                        void run({
                          kind: "choose-string",
                          pointId: point.id,
                          inSeries: w.inSeries,
                          inParallel: w.inParallel,
                        })
                      }
                    >
                      {w.isUsual ? "Choose, usual" : "Choose"}
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
