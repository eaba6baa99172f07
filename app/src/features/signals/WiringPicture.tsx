import type { DrivePoint } from "../../api/client";
import { useProject } from "../../project/ProjectContext";

/** Wiring of a drive point as the server draws it: power to the terminal box, control to the far ends. */
export function WiringPicture({ point }: { readonly point: DrivePoint }) {
  const { project } = useProject();
  const base = `/api/projects/${project.id}/drive-points/${point.id}/wiring`;
  return (
    <section aria-label="Wiring">
      <h3 className="section-title flex items-center gap-3">
        Wiring
        <a className="button font-normal" href={`${base}.svg`} download={`${point.id}-wiring.svg`}>
          Save as SVG
        </a>
        <a className="button font-normal" href={`${base}.pdf`} download>
          PDF
        </a>
      </h3>
      <img
        className="max-h-[640px] max-w-full bg-white p-2"
        src={`${base}.svg?edit=${project.edit}`}
        alt={`Wiring of ${point.tag} ${point.name}: power circuit with the terminal box of the motor, control circuit with far ends`}
      />
    </section>
  );
}
