import { useState } from "react";
import { api, type SetSweepAnswer } from "../../api/client";
import { amber, blue, plum, red } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { VerdictMark } from "../../components/VerdictMark";
import { Failed, Loading } from "../../components/States";
import { n } from "../../lib/format";
import { useLab } from "../lineups/useLab";

/** The generator in other sizes against all checks that its size can change. */
export function SetSizes() {
  const [asked, setAsked] = useState(false);
  return (
    <section aria-label="Other sizes">
      <h3 className="section-title flex items-center gap-2">
        Other sizes
        {!asked && (
          <button type="button" className="button font-normal" onClick={() => setAsked(true)}>
            Sweep sizes
          </button>
        )}
      </h3>
      {asked && <Swept />}
    </section>
  );
}

function Swept() {
  const found = useLab<SetSweepAnswer>(["set-sweep"], (id) =>
    api.GET("/api/projects/{id}/generator/sweep", { params: { path: { id } } }),
  );
  if (found.isPending) {
    return <Loading what="sizes" />;
  }
  if (found.isError) {
    return <Failed what="The sizes could not be computed." detail={found.error.message} />;
  }
  const { sizes, leastKva, alwaysFails, alwaysNeedsData } = found.data;
  const always = alwaysFails.length + alwaysNeedsData.length > 0;
  return (
    <>
      <p className="font-semibold">
        {leastKva === null
          ? "None of these sizes is enough."
          : always
            ? `From ${n(leastKva)} kVA on nothing fails but what a larger set does not mend.`
            : `Everything holds, or is tight, from ${n(leastKva)} kVA on.`}
      </p>
      {alwaysFails.length > 0 && (
        <p className="max-w-[860px] border-l-4 border-fails pl-2 text-[12px]">
          <b>Fails at every size:</b> {alwaysFails.join("; ")}.
        </p>
      )}
      {alwaysNeedsData.length > 0 && (
        <p className="max-w-[860px] border-l-4 border-soft pl-2 text-[12px]">
          <b>Needs data at every size:</b> {alwaysNeedsData.join("; ")}.
        </p>
      )}
      <Chart
        title="Loading, distortion and dip over the size of the set"
        width={640}
        rows={sizes.map((s) => ({
          kva: s.kva,
          loading: s.loadingPct,
          distortion: s.distortionPct === null ? null : 10 * s.distortionPct,
          dip: s.dipPct,
        }))}
        along={{ key: "kva", kind: "number", label: "kVA", domain: [0, "auto"] }}
        left={{ label: "% of the limit", domain: [0, "auto"] }}
        series={[
          { key: "loading", name: "loading", unit: "%", colour: plum },
          { key: "distortion", name: "THDv, of 10 %", unit: "%", colour: blue },
          { key: "dip", name: "dip of the largest start", unit: "%", colour: amber },
        ]}
        levels={[{ y: 100, colour: red, dash: "5 3", name: "limit" }]}
      />
      <table className="table max-w-[980px]">
        <thead>
          <tr>
            <th className="num">kVA</th>
            <th className="num">kW</th>
            <th className="num">loading</th>
            <th className="num">THDv</th>
            <th className="num">dip, of limit</th>
            <th>fails</th>
            <th>needs data</th>
            <th className="num">tight</th>
          </tr>
        </thead>
        <tbody>
          {sizes.map((s) => (
            <tr key={s.kva} className={s.isPresent ? "bg-plum-wash font-semibold" : ""}>
              <td className="num">
                {n(s.kva, 4)}
                {s.isPresent ? ", now" : ""}
              </td>
              <td className="num">{s.kw === null ? "–" : n(s.kw, 4)}</td>
              <td className="num">{s.loadingPct === null ? "–" : `${n(s.loadingPct)} %`}</td>
              <td className="num">{s.distortionPct === null ? "–" : `${n(s.distortionPct)} %`}</td>
              <td className="num">{s.dipPct === null ? "–" : `${n(s.dipPct)} %`}</td>
              <td>
                <span className="inline-flex items-center gap-1 font-normal">
                  <VerdictMark
                    verdict={
                      s.fails.length > 0
                        ? "fails"
                        : s.needsData.length > 0
                          ? "needs-data"
                          : s.tight > 0
                            ? "tight"
                            : "holds"
                    }
                    size={9}
                    labelled
                  />
                  {s.fails.length > 0 ? s.fails.join("; ") : "nothing"}
                </span>
              </td>
              <td className="font-normal">{s.needsData.length > 0 ? s.needsData.join("; ") : "nothing"}</td>
              <td className="num">{s.tight}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
