import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import { Empty, Failed, Loading } from "../../components/States";
import { may, useSession } from "../../project/session";
import { ExerciseList } from "../training/ExerciseList";
import { AccountButton } from "../accounts/AccountButton";
import { ImportPlant } from "./ImportPlant";
import { NewPlant } from "./NewPlant";
import { PlantList } from "./PlantList";
import { WayOfWork } from "./WayOfWork";

/** The plants on this machine: open one, begin one, bring one in. */
export function StartPage() {
  const session = useSession();
  const list = useQuery({
    queryKey: ["projects"],
    staleTime: 0,
    queryFn: async () => {
      const { data } = await api.GET("/api/projects");
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  const open = list.data?.filter((p) => p.state === "open");
  return (
    <main className="mx-auto max-w-5xl p-6">
      <div className="float-right">
        <AccountButton />
      </div>
      <h1 className="text-[22px] font-bold text-plum">Cuadrilla</h1>
      <p className="text-soft">Drive lineups for plants: choose, prove, document.</p>
      <WayOfWork />
      <div className="mt-4 grid grid-cols-[minmax(0,1fr)_340px] gap-8">
        <section>
          <h2 className="section-title">Plants, last changed first</h2>
          {list.isPending && <Loading what="plants" />}
          {list.isError && (
            <Failed
              what="The list of plants could not be read."
              detail={list.error.message}
              retry={() => void list.refetch()}
            />
          )}
          {open?.length === 0 && (
            <Empty>No plant yet. Begin one, open an example, or bring in a drive list or a project file.</Empty>
          )}
          {open && open.length > 0 && <PlantList plants={open} state="open" />}
          {(["archived", "binned"] as const).map((state) => {
            const plants = list.data?.filter((p) => p.state === state) ?? [];
            return (
              plants.length > 0 && (
                <details key={state} className="mt-3">
                  <summary className="cursor-pointer font-bold">
                    {state === "archived" ? "Archive" : "Bin"} ({plants.length})
                  </summary>
                  <PlantList plants={plants} state={state} />
                </details>
              )
            );
          })}
        </section>
        <div>
          {may(session, "engineer") ? (
            <>
              <NewPlant plants={open ?? []} />
              <ImportPlant />
              <ExerciseList />
            </>
          ) : (
            <p className="text-soft">Your account reads and calculates; plants are begun by engineers.</p>
          )}
        </div>
      </div>
    </main>
  );
}
