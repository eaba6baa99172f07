import { useQuery } from "@tanstack/react-query";
import { api, type InterferencePlan, type Routes, type Specification } from "../../api/client";
import { freeKeys } from "../../lib/columns";
import { useProject } from "../../project/ProjectContext";

/** No trays yet. */
export const noRoutes: Routes = { places: [], segments: [], cables: [], ways: [] };

/** Places, trays and cables entered by hand, and how they are edited. */
export function useRoutes() {
  const { project, edit } = useProject();
  const routes = project.specification.routes ?? noRoutes;
  const change = (what: string, next: (routes: Routes) => Routes) =>
    edit(what, (s: Specification) => ({ ...s, routes: next(s.routes ?? noRoutes) }));
  return {
    routes,
    change,
    /** Changes one of a list by its key. */
    part: <L extends "places" | "segments" | "cables">(
      list: L,
      id: string,
      what: string,
      by: Partial<Routes[L][number]>,
    ) => change(what, (r) => ({ ...r, [list]: r[list].map((x) => (x.id === id ? { ...x, ...by } : x)) })),
    /** Takes a place away, with all that says something stands there. */
    removePlace: (id: string, name: string) => {
      const gone = (at: string | undefined) => (at === id ? "" : (at ?? ""));
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
          drivePoints: l.drivePoints.map((p) =>
            p.interference
              ? {
                  ...p,
                  interference: {
                    ...p.interference,
                    placeId: gone(p.interference.placeId),
                    motorPlaceId: gone(p.interference.motorPlaceId),
                  },
                }
              : p,
          ),
        })),
      }));
    },
    /** A key that is free in a list. */
    key: (list: "places" | "segments" | "cables", prefix: string) =>
      freeKeys(prefix, new Set(routes[list].map((x) => x.id)))(),
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
