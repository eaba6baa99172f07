import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { api, type Check, type Sheet } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { VerdictWord } from "../../components/VerdictMark";
import { UnitsContext, unitsOf, useUnits } from "../../fields/useUnits";
import { figureText } from "../ledger/Ledger";
import { TorqueDrawing } from "./TorqueDrawing";

/** The specification sheet as a page to print. */
export default function PrintedSheet() {
  const { projectId = "", lineupId = "" } = useParams();
  const sheet = useQuery({
    queryKey: ["sheet", projectId, lineupId],
    staleTime: 0,
    queryFn: async (): Promise<Sheet> => {
      const { data } = await api.GET("/api/projects/{id}/lineups/{lineup}/sheet", {
        params: { path: { id: projectId, lineup: lineupId } },
      });
      if (!data) {
        throw new Error("There is no such lineup.");
      }
      return data;
    },
  });
  if (sheet.isPending) {
    return <Loading what="sheet" />;
  }
  return sheet.isError ? (
    <Failed what="The sheet could not be read." detail={sheet.error.message} />
  ) : (
    <UnitsContext.Provider value={unitsOf(sheet.data.units)}>
      <Page sheet={sheet.data} projectId={projectId} />
    </UnitsContext.Provider>
  );
}

function Page({ sheet, projectId }: { readonly sheet: Sheet; readonly projectId: string }) {
  return (
    <main className="mx-auto max-w-[800px] bg-white p-8">
      <p className="no-print mb-4 flex gap-2">
        <button type="button" className="button button-main" onClick={() => window.print()}>
          Print
        </button>
        <Link className="button" to={`/plants/${projectId}/sheets`}>
          Back
        </Link>
      </p>
      <p className="font-bold text-plum">Lineup specification</p>
      <h1 className="text-[22px] font-bold">
        {sheet.tag} {sheet.name}
      </h1>
      <p className="text-soft">
        {[sheet.plant, sheet.date, sheet.revision, sheet.catalogue].filter((part) => part).join(" · ")}
      </p>
      <Lines lines={sheet.supply} />
      <h2 className="section-title">Plant checks</h2>
      <Checks checks={sheet.plantChecks} />
      {sheet.drivePoints.map((p) => (
        <section key={p.tag} className="mt-5 break-inside-avoid border-t-2 border-ink pt-2">
          <h2 className="text-[16px] font-bold">
            {p.tag} {p.name}
          </h2>
          <div className="flex gap-6">
            <div className="flex-1">
              <Lines lines={p.lines} />
            </div>
            {p.torque && <TorqueDrawing torque={p.torque} />}
          </div>
          <Checks checks={p.checks} />
        </section>
      ))}
      {(sheet.schedules ?? [])
        .filter((t) => t.rows.length > 0)
        .map((t) => (
          <section key={t.title}>
            <h2 className="section-title">{t.title}</h2>
            <table className="table text-[12px]">
              <thead>
                <tr>
                  {t.heads.map((head) => (
                    <th key={head}>{head}</th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {t.rows.map((row) => (
                  <tr key={row.join("|")}>
                    {row.map((cell, i) => (
                      <td key={i}>{cell}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        ))}
      <h2 className="section-title">Notes and cautions</h2>
      <ul className="list-disc pl-5">
        {sheet.notes.map((note) => (
          <li key={note}>{note}</li>
        ))}
      </ul>
    </main>
  );
}

function Lines({ lines }: { readonly lines: Sheet["supply"] }) {
  return (
    <dl className="mt-2 grid grid-cols-[140px_1fr] gap-x-3 gap-y-0.5">
      {lines.map((l, i) => (
        <div key={i} className="contents">
          <dt className="text-soft">{l.name}</dt>
          <dd>{l.value}</dd>
        </div>
      ))}
    </dl>
  );
}

function Checks({ checks }: { readonly checks: readonly Check[] }) {
  const units = useUnits();
  return (
    <table className="table mt-1">
      <tbody>
        {checks.map((c) => (
          <tr key={`${c.id}|${c.elementId}`}>
            <td className="w-28">
              <VerdictWord verdict={c.verdict} />
            </td>
            <td>{c.title}</td>
            <td className="font-mono">{c.figure === null ? "" : figureText(c, units)}</td>
            <td className="text-[12px] text-soft">{c.id}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
