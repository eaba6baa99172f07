import { useQuery } from "@tanstack/react-query";
import { api, type DrivePoint, type InterferencePlan, type Routes, type Specification } from "../../api/client";
import { freeKeys } from "../../lib/columns";
import { useProject } from "../../project/ProjectContext";

type RouteList = "places" | "segments" | "cables" | "receivers";
type Listed<L extends RouteList> = Routes[L][number];

/** No trays yet. */
export const noRoutes: Routes = { places: [], segments: [], cables: [], ways: [], receivers: [] };

const allOf = (routes: Specification["routes"]): Routes => ({ ...noRoutes, ...routes });

/** A key that is free in a list as it stands when its turn comes. */
export const freeKeyIn = (routes: Routes, list: RouteList, prefix: string): string =>
  freeKeys(prefix, new Set(routes[list].map((x) => x.id)))();

/** Places, trays and cables entered by hand, and how they are edited. */
export function useRoutes() {
  const { project, edit } = useProject();
  const routes = allOf(project.specification.routes);
  const change = (what: string, next: (routes: Routes) => Routes) =>
    edit(what, (s: Specification) => ({ ...s, routes: next(allOf(s.routes)) }));
  return {
    routes,
    change,
    /** Changes one of a list by its key. */
    part: <L extends RouteList>(list: L, id: string, what: string, by: Partial<Listed<L>>) =>
      change(what, (r) => ({ ...r, [list]: r[list].map((x) => (x.id === id ? { ...x, ...by } : x)) })),
    /** Takes a place away, with all that says something stands there. */
    removePlace: (id: string, name: string) => {
      const gone = (at: string | undefined) => (at === id ? "" : (at ?? ""));
      const left = (p: DrivePoint): DrivePoint =>
        p.interference
          ? {
              ...p,
              interference: {
                ...p.interference,
                placeId: gone(p.interference.placeId),
                motorPlaceId: gone(p.interference.motorPlaceId),
              },
            }
          : p;
      return edit(`Remove ${name}`, (s: Specification) => ({
        ...s,
        routes: {
          ...(s.routes ?? noRoutes),
          places: (s.routes ?? noRoutes).places.filter((p) => p.id !== id),
          cables: (s.routes ?? noRoutes).cables.map((c) => ({
            ...c,
            fromPlaceId: gone(c.fromPlaceId),
            toPlaceId: gone(c.toPlaceId),
          })),
        },
        lineups: s.lineups.map((l) => ({
          ...l,
          placeId: gone(l.placeId),
          drivePoints: l.drivePoints.map(left),
          setAside: l.setAside.map((v) => ({ ...v, drivePoints: v.drivePoints.map(left) })),
        })),
      }));
    },
  };
}

/** Ways, clashes and earth currents as the server finds them. */
export function useInterference() {
  const { project } = useProject();
  return useQuery({
    queryKey: ["interference", project.id, project.edit],
    placeholderData: (previous: InterferencePlan | undefined) => previous,
    queryFn: async (): Promise<InterferencePlan> => {
      const { data } = await api.GET("/api/projects/{id}/interference", { params: { path: { id: project.id } } });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}
