import { useState } from "react";
import { api, type DrivePoint, type ParameterSheetAnswer, type ParameterRow } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { useUnits } from "../../fields/useUnits";
import { when } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { who } from "../../project/useProjectAccess";
import type { Selection } from "../board/selection";
import { useLab } from "../lineups/useLab";
import { ParameterLine } from "./ParameterLine";
import { LeftValues } from "./LeftValues";

const groups: Readonly<Record<ParameterRow["group"], string>> = {
  motor: "Motor as linked",
  control: "Control",
  limits: "Limits",
  running: "Starts, stops, ramps",
  reactions: "Faults and supply",
  together: "Together with others",
  signals: "Terminals",
  site: "Found on site",
};

/** Parameter sheet of a drive point. */
export function ParametersPart({
  point,
  onCell,
}: {
  readonly point: DrivePoint;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project } = useProject();
  const units = useUnits();
  const [answer, setAnswer] = useState<ParameterSheetAnswer>();
  const found = useLab<ParameterSheetAnswer>(["parameters", point.id], (id) =>
    api.GET("/api/projects/{id}/parameters/{point}", { params: { path: { id, point: point.id } } }),
  );
  if (found.isPending) {
    return <Loading what="parameters" />;
  }
  if (found.isError) {
    return (
      <Failed what="The sheet could not be made." detail={found.error.message} retry={() => void found.refetch()} />
    );
  }
  const sheet = answer && answer.edit === found.data.edit ? answer : found.data;
  const base = `/api/projects/${project.id}/parameters/${point.id}`;
  const changed = sheet.rows.filter((r) => r.was !== null).length + sheet.gone.length;
  const count = (basis: ParameterRow["basis"]) => sheet.rows.filter((r) => r.basis === basis).length;
  const issue = async () => {
    const { data } = await api.POST("/api/projects/{id}/parameters/{point}/issue", {
      params: { path: { id: project.id, point: point.id } },
      body: { who: who() },
    });
    if (data) {
      setAnswer(data);
    }
  };
  if (sheet.rows.length === 0) {
    return (
      <p className="text-soft">
        The unit of {point.tag} stands at another drive point of its group: its sheet is there.
      </p>
    );
  }
  return (
    <div className="min-w-0">
      <div className="flex flex-wrap items-baseline gap-3">
        <h3 className="text-[15px] font-bold">
          {point.tag} {point.name}
        </h3>
        <span>
          {sheet.rows.length} parameters, {count("proposed")} proposed, {count("needs-data")} need data; edit{" "}
          {sheet.edit}
        </span>
        <span className="text-soft">
          <a className="text-plum underline" href={`${base}.pdf`} download>
            PDF
          </a>{" "}
          <a className="text-plum underline" href={`${base}.csv`} download>
            CSV
          </a>{" "}
          <a className="text-plum underline" href={`${base}.xlsx`} download>
            XLSX
          </a>
        </span>
        <button type="button" className="button" onClick={() => void issue()}>
          Note as issued
        </button>
        {sheet.issue && (
          <span role="status" className={changed > 0 ? "font-semibold" : "text-soft"}>
            issued on edit {sheet.issue.edit}, {when(sheet.issue.atUtc ?? "")}:{" "}
            {changed > 0 ? `${changed} changed since` : "nothing changed since"}
          </span>
        )}
      </div>
      <LeftValues point={point} onTaken={setAnswer} />
      <table className="table mt-2" aria-label={`Parameters of ${point.tag}`}>
        <thead>
          <tr>
            <th className="w-44">parameter</th>
            <th className="w-40">value</th>
            <th>basis</th>
            <th>origin</th>
            <th>own number</th>
            <th className="num">factor</th>
            <th className="num">own value</th>
            <th className="w-20">as left</th>
          </tr>
        </thead>
        {Object.entries(groups).map(([group, name]) => {
          const rows = sheet.rows.filter((r) => r.group === group);
          return rows.length === 0 ? null : (
            <tbody key={group}>
              <tr>
                <th colSpan={8} className="pt-2 text-left text-plum">
                  {name}
                </th>
              </tr>
              {rows.map((row) => (
                <ParameterLine
                  key={row.id}
                  row={row}
                  product={sheet.product}
                  tag={point.tag}
                  onKept={() => void found.refetch().then(() => setAnswer(undefined))}
                  onCell={() =>
                    onCell({ point: point.id, row: row.row === "plant" ? "supply" : row.row, columns: [point.id] })
                  }
                />
              ))}
            </tbody>
          );
        })}
      </table>
      {sheet.gone.length > 0 && (
        <p className="mt-2">
          No longer on the sheet: {sheet.gone.map((g) => units.sentence(`${g.name} (${g.was} ${g.unit})`)).join(", ")}
        </p>
      )}
      <p className="mt-2 text-soft">
        {sheet.product === ""
          ? "Own numbers of a product can be kept once the converter or starter is chosen."
          : `Own numbers are kept for “${sheet.product}” and serve every drive point with such a unit, in every plant.`}
      </p>
    </div>
  );
}
