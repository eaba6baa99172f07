import { Link } from "react-router";
import { useProject } from "../../project/ProjectContext";

/** What leaves the program. */
export function SheetsPage() {
  const { project } = useProject();
  const base = `/api/projects/${project.id}`;
  const link = "text-plum underline";
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">Sheets and files</h2>
      <h3 className="section-title">Specification sheet of a lineup</h3>
      <table className="table max-w-3xl">
        <tbody>
          {project.specification.lineups.map((l) => (
            <tr key={l.id}>
              <td>
                <span className="font-bold">{l.tag}</span> {l.name}
              </td>
              <td>{l.drivePoints.length} drive points</td>
              <td>
                <a className={link} href={`${base}/lineups/${l.id}/sheet.pdf`} download>
                  PDF
                </a>
              </td>
              <td>
                <Link className={link} to={`/plants/${project.id}/print/${l.id}`}>
                  Printable page
                </Link>
              </td>
              <td>
                <a className={link} href={`${base}/lineups/${l.id}/interference.pdf`} download>
                  Interference, for the fitter: PDF
                </a>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h3 className="section-title">Drive list</h3>
      <p className="flex gap-4">
        <a className={link} href={`${base}/drive-list.csv`} download>
          CSV
        </a>
        <a className={link} href={`${base}/drive-list.xlsx`} download>
          XLSX
        </a>
      </p>
      <h3 className="section-title">Project</h3>
      <p className="flex gap-4">
        <a className={link} href={`${base}/file`} download>
          Project file (*.cuadrilla.json)
        </a>
        <a className={link} href="/api/schema/project">
          Its JSON Schema
        </a>
      </p>
      <p className="mt-1 text-soft">
        Importing the file gives back the same project: start page, “Import a project file”.
      </p>
    </div>
  );
}
