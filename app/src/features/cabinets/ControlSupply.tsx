import { api, type CheckKey, type ControlAnswer, type Lineup, type Specification } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { Failed, Loading } from "../../components/States";
import { CellEntry, Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { CheckList } from "../bench/CellChecks";
import { Missing } from "../bench/FigureList";
import { useLab } from "../lineups/useLab";

type Control = NonNullable<Lineup["control"]>;
type Branch = NonNullable<Control["branches"]>[number];
type Change = (what: string, next: (control: Control) => Control | null) => Promise<Outcome>;

const uses = fields.ControlBranchBuild.use.choices;
const columns = ["protection", "protectionA", "lengthM", "sectionMm2", "furtherA"] as const;
const branchesOf = (control: Control): readonly Branch[] => control.branches ?? [];

/** Control supply of a lineup: what hangs on 24 V, its branches, the auxiliary transformer. */
export function ControlSupply({
  lineup,
  onReason,
}: {
  readonly lineup: Lineup;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { edit } = useProject();
  const change: Change = (what, next) =>
    edit(`${lineup.tag}: ${what}`, (s: Specification): Specification => ({
      ...s,
      lineups: s.lineups.map((l) => (l.id === lineup.id ? { ...l, control: next(l.control ?? {}) } : l)),
    }));
  return (
    <section aria-label="Control supply" className="mt-4 border-t border-rule pt-2">
      <h3 className="section-title flex items-center gap-3">
        Control supply, 24 V
        <button
          type="button"
          className="button font-normal"
          onClick={() =>
            void change(lineup.control ? "no control supply" : "control supply", (c) => (lineup.control ? null : c))
          }
        >
          {lineup.control ? "No control supply" : "Add a control supply"}
        </button>
      </h3>
      {lineup.control && <Entered lineup={lineup} control={lineup.control} change={change} onReason={onReason} />}
    </section>
  );
}

function Entered({
  lineup,
  control,
  change,
  onReason,
}: {
  readonly lineup: Lineup;
  readonly control: Control;
  readonly change: Change;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { project } = useProject();
  const found = useLab<ControlAnswer>(["control", lineup.id], (id) =>
    api.GET("/api/projects/{id}/lineups/{lineup}/control", { params: { path: { id, lineup: lineup.id } } }),
  );
  const checks = project.assessment.checks.filter(
    (c) => c.id === "cabinet.control-supply" && c.elementId.split("/")[0] === lineup.id,
  );
  return (
    <>
      <div className="grid grid-cols-[19rem_minmax(0,1fr)] gap-x-6">
        <div>
          <Entries
            of={fields.ControlSupplyBuild}
            value={control}
            keys={["ratedA", "peakA", "lowestV", "transformerVa", "furtherW"]}
            change={(part, what) => change(what, (c) => ({ ...c, ...part }))}
          />
        </div>
        <div className="min-w-0">
          <CheckList columns={2} checks={checks} onReason={onReason} />
        </div>
      </div>
      {found.isPending ? (
        <Loading what="control supply" />
      ) : found.isError ? (
        <Failed what="The control supply could not be computed." detail={found.error.message} />
      ) : (
        <>
          {found.data.missing.length > 0 && <Missing names={found.data.missing} />}
          <BranchTable control={control} answer={found.data} change={change} />
          <p className="mt-2 text-soft">
            {found.data.steadyA === null
              ? "Sums follow once the supply and its branches are known."
              : `${n(found.data.steadyA)} A steady, ${n(found.data.inrushA ?? 0)} A in the worst moment; ${n(found.data.transformerVa ?? 0)} VA on the auxiliary transformer.`}
          </p>
          <details className="mt-1">
            <summary className="cursor-pointer text-soft">What hangs on it</summary>
            <dl>
              {found.data.loads.map((l) => (
                <div key={l.use}>
                  <dt className="inline font-semibold">{uses[l.use]}: </dt>
                  <dd className="inline">{l.items.join("; ")}</dd>
                </div>
              ))}
            </dl>
          </details>
        </>
      )}
    </>
  );
}

function BranchTable({
  control,
  answer,
  change,
}: {
  readonly control: Control;
  readonly answer: ControlAnswer;
  readonly change: Change;
}) {
  const set = (branch: Branch, part: Partial<Branch>, what: string) =>
    change(`branch ${branch.name}, ${what}`, (c) => ({
      ...c,
      branches: branchesOf(c).map((b) => (b.id === branch.id ? { ...b, ...part } : b)),
    }));
  const add = (use: Branch["use"]) =>
    change("branch", (c) => ({
      ...c,
      branches: [...branchesOf(c), { id: freeKey(branchesOf(c)), name: uses[use], use, protection: "electronic" }],
    }));
  return (
    <>
      {branchesOf(control).length > 0 && (
        <table className="table" aria-label="Branches">
          <thead>
            <tr>
              <th>branch</th>
              <th>feeds</th>
              {columns.map((key) => (
                <th key={key}>{fields.ControlBranchBuild[key].name}</th>
              ))}
              <th className="num">steady</th>
              <th className="num">moment</th>
              <th className="num">at its end</th>
              <th className="num">fault / trips at</th>
              <th>
                <span className="sr-only">remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {branchesOf(control).map((branch) => {
              const row = answer.branches.find((b) => b.id === branch.id);
              const never = row && row.faultA !== null && row.tripNeedsA !== null && row.faultA < row.tripNeedsA;
              return (
                <tr key={branch.id}>
                  <td>
                    <CellEntry
                      field={fields.ControlBranchBuild.name}
                      value={branch.name}
                      whose={branch.name}
                      onCommit={(name: string) => set(branch, { name }, "name")}
                    />
                  </td>
                  <td className="text-soft">{uses[branch.use]}</td>
                  {columns.map((key) => (
                    <td key={key}>
                      <CellEntry
                        field={fields.ControlBranchBuild[key]}
                        value={branch[key] ?? null}
                        whose={branch.name}
                        width={key === "sectionMm2" ? "w-24" : "w-16"}
                        onCommit={(value) => set(branch, { [key]: value }, fields.ControlBranchBuild[key].name)}
                      />
                    </td>
                  ))}
                  <td className="num">{row ? `${n(row.steadyA)} A` : "–"}</td>
                  <td className="num">{row ? `${n(row.inrushA)} A` : "–"}</td>
                  <td className="num">{row?.endV === null || row === undefined ? "–" : `${n(row.endV)} V`}</td>
                  <td className={`num ${never ? "text-fails" : ""}`}>
                    {row && row.faultA !== null && row.tripNeedsA !== null
                      ? `${n(row.faultA)} / ${n(row.tripNeedsA)} A`
                      : "–"}
                  </td>
                  <td>
                    <button
                      type="button"
                      className="button"
                      aria-label={`Remove branch ${branch.name}`}
                      onClick={() =>
                        void change(`no branch ${branch.name}`, (c) => ({
                          ...c,
                          branches: branchesOf(c).filter((b) => b.id !== branch.id),
                        }))
                      }
                    >
                      ×
                    </button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {answer.withoutBranch.map((use) => (
          <button key={use} type="button" className="button" onClick={() => void add(use)}>
            Branch for {uses[use]}
          </button>
        ))}
        <button type="button" className="button" onClick={() => void add("further")}>
          Further branch
        </button>
      </div>
    </>
  );
}

const freeKey = (branches: readonly Branch[]) =>
  Array.from({ length: branches.length + 1 }, (_, i) => `b${i + 1}`).find((k) => !branches.some((b) => b.id === k)) ??
  "b";
