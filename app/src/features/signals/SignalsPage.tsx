import { useSearchParams } from "react-router";
import { api, type CheckKey, type SignalAnswer } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { useProject } from "../../project/ProjectContext";
import { useLab } from "../lineups/useLab";
import { ControllerPart } from "./ControllerPart";
import { PointsPart } from "./PointsPart";
import { ScalingCalculator } from "./ScalingCalculator";

const parts = { points: "Drive points", controller: "Controller and channels", scaling: "Scaling" } as const;
type Part = keyof typeof parts;

/** Signals of the drive points, the controller at their other end, and what a signal is worth. */
export function SignalsPage({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { project } = useProject();
  const [search, setSearch] = useSearchParams();
  const wanted = search.get("part");
  const part: Part = wanted === "controller" || wanted === "scaling" ? wanted : "points";
  const found = useLab<SignalAnswer>(["signals"], (id) =>
    api.GET("/api/projects/{id}/signals", { params: { path: { id } } }),
  );
  const base = `/api/projects/${project.id}/lists`;
  return (
    <div className="p-4">
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 className="text-[17px] font-bold">Signals</h2>
        <nav aria-label="Parts of the signals" className="flex gap-2">
          {Object.entries(parts).map(([key, name]) => (
            <button
              key={key}
              type="button"
              className={`button ${key === part ? "border-plum font-semibold" : ""}`}
              aria-pressed={key === part}
              onClick={() => setSearch((before) => ({ ...Object.fromEntries(before), part: key }), { replace: true })}
            >
              {name}
            </button>
          ))}
        </nav>
        <span className="text-soft">
          Signal list{" "}
          <a className="text-plum underline" href={`${base}/signals.csv`} download>
            CSV
          </a>{" "}
          <a className="text-plum underline" href={`${base}/signals.pdf`} download>
            PDF
          </a>
          {" · "}terminal plan{" "}
          <a className="text-plum underline" href={`${base}/terminals.csv`} download>
            CSV
          </a>{" "}
          <a className="text-plum underline" href={`${base}/terminals.pdf`} download>
            PDF
          </a>
          {" · "}
          <a className="text-plum underline" href={`${base}.xlsx`} download>
            all lists, XLSX
          </a>
        </span>
      </div>
      {part === "scaling" ? (
        <ScalingCalculator />
      ) : found.isPending ? (
        <Loading what="signals" />
      ) : found.isError ? (
        <Failed
          what="The signals could not be placed."
          detail={found.error.message}
          retry={() => void found.refetch()}
        />
      ) : part === "controller" ? (
        <ControllerPart answer={found.data} onReason={onReason} />
      ) : (
        <PointsPart answer={found.data} onReason={onReason} />
      )}
    </div>
  );
}
