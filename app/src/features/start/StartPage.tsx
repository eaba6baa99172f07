import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import { Empty, Failed, Loading } from "../../components/States";
import { when } from "../../lib/format";
import { ImportPlant } from "./ImportPlant";
import { NewPlant } from "./NewPlant";
import { WayOfWork } from "./WayOfWork";

/** The plants on this machine: open one, begin one, bring one in. */
export function StartPage() {
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
  return (
    <main className="mx-auto max-w-5xl p-6">
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
          {list.data?.length === 0 && (
            <Empty>No plant yet. Begin one, open an example, or bring in a drive list or a project file.</Empty>
          )}
          {list.data && list.data.length > 0 && (
            <table className="table">
              <thead>
                <tr>
                  <th>plant</th>
                  <th className="num">lineups</th>
                  <th className="num">edit</th>
                  <th>last change</th>
                </tr>
              </thead>
              <tbody>
                {list.data.map((p) => (
                  <tr key={p.id}>
                    <td>
                      <Link className="font-bold text-plum underline" to={`/plants/${p.id}`}>
                        {p.name}
                      </Link>
                    </td>
                    <td className="num">{p.lineupCount}</td>
                    <td className="num">{p.edit}</td>
                    <td>{when(p.changedUtc)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </section>
        <div>
          <NewPlant plants={list.data ?? []} />
          <ImportPlant />
        </div>
      </div>
    </main>
  );
}
