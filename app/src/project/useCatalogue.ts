import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { api, type Catalogue } from "../api/client";
import type { Items } from "../features/board/cellText";
import { useProject } from "./ProjectContext";

/** The catalogue in force; it does not change while the program runs. */
export function useCatalogue() {
  return useQuery({
    queryKey: ["catalogue"],
    staleTime: Infinity,
    queryFn: async (): Promise<Catalogue> => {
      const { data } = await api.GET("/api/catalogue");
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}

/** Catalogue items by key; empty until they have come. */
export function useItems(): Items {
  const { data } = useCatalogue();
  const { ownMotors, ownConverters } = useProject().project.assessment;
  return useMemo(
    () => ({
      motors: new Map([...(data?.motors ?? []), ...ownMotors.map((o) => o.item)].map((m) => [m.id, m])),
      converters: new Map([...(data?.converters ?? []), ...ownConverters].map((c) => [c.id, c])),
    }),
    [data, ownMotors, ownConverters],
  );
}
