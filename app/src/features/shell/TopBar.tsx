import { Button } from "../../components/Button";
import { useContext } from "react";
import { Link } from "react-router";
import { SavingContext, useProject } from "../../project/ProjectContext";
import { may, useSession } from "../../project/session";
import { AccountButton } from "../accounts/AccountButton";

const closedWords: Readonly<Record<string, string>> = {
  open: "Your account reads and calculates; it changes nothing.",
  archived: "It is opened again on the page of plants.",
  binned: "It is taken back on the page of plants.",
};

/** Name of the plant, the way to everything, and what has been saved. */
export function TopBar({ onPalette, onHelp }: { readonly onPalette: () => void; readonly onHelp: () => void }) {
  const { project, undo, redo } = useProject();
  const saving = useContext(SavingContext);
  const session = useSession();
  const isClosed = project.state !== "open" || !may(session, "engineer");
  const closed = isClosed ? closedWords[project.state] : undefined;
  return (
    <header className="flex h-10 shrink-0 items-center gap-4 border-b border-rule bg-panel px-3">
      <Link to="/" className="text-[16px] font-bold text-plum">
        Cuadrilla
      </Link>
      <h1 className="truncate font-semibold">{project.specification.name}</h1>
      <button type="button" className="button w-64 text-left text-soft" onClick={onPalette}>
        Find or do … <kbd className="float-right">Ctrl K</kbd>
      </button>
      {isClosed && (
        <span className="rounded border border-tight bg-card px-2 text-tight-ink" title={closed}>
          {project.state === "archived"
            ? "Archived, read only"
            : project.state === "binned"
              ? "In the bin, read only"
              : "Read only"}
        </span>
      )}
      <span className="ml-auto text-soft" role="status">
        {saving ? "Saving …" : `Edit ${project.edit} saved`}
      </span>
      <Button
        why={closed ?? (project.undoLabel === null && "Nothing was changed yet that could be taken back.")}
        title={project.undoLabel ?? undefined}
        onClick={undo}
      >
        Undo
      </Button>
      <Button
        why={closed ?? (project.redoLabel === null && "Nothing was taken back that could be brought back.")}
        title={project.redoLabel ?? undefined}
        onClick={redo}
      >
        Redo
      </Button>
      <button type="button" className="button" aria-label="Keys" onClick={onHelp}>
        ?
      </button>
      <AccountButton />
    </header>
  );
}
