import { useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type InstrumentsAnswer, type LineWaveAnswer, type PointReadings } from "../../../api/client";
import { useProject } from "../../../project/ProjectContext";

const every = 1000;

/** How instruments are reached, asked again every second while somebody looks. */
export function useInstruments() {
  const { project } = useProject();
  return useQuery({
    queryKey: ["instruments", project.id],
    refetchInterval: every,
    queryFn: async (): Promise<InstrumentsAnswer> => {
      const { data } = await api.GET("/api/projects/{id}/instruments", { params: { path: { id: project.id } } });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}

/** What instruments read at a drive point; nothing is asked while there are none. */
export function useReadings(pointId: string, isOn: boolean) {
  const { project } = useProject();
  return useQuery({
    queryKey: ["readings", project.id, pointId],
    enabled: isOn,
    refetchInterval: every,
    queryFn: async (): Promise<PointReadings> => {
      const { data } = await api.GET("/api/projects/{id}/instruments/points/{point}", {
        params: { path: { id: project.id, point: pointId } },
      });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}

/** The newest recorded cycle of a drive point's line current, read every other second. */
export function useLineWave(pointId: string, isOn: boolean) {
  const { project } = useProject();
  return useQuery({
    queryKey: ["line-wave", project.id, pointId],
    enabled: isOn,
    refetchInterval: 2 * every,
    queryFn: async (): Promise<LineWaveAnswer> => {
      const { data } = await api.GET("/api/projects/{id}/instruments/points/{point}/line-wave", {
        params: { path: { id: project.id, point: pointId } },
      });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}

/** Puts an answer of the server where the questions above find it. */
export function useAnswered() {
  const { project } = useProject();
  const client = useQueryClient();
  return {
    instruments: (answer: InstrumentsAnswer) => {
      client.setQueryData(["instruments", project.id], answer);
      // What was read of stand-ins that were stopped or started anew counts no more.
      client.removeQueries({ queryKey: ["readings", project.id] });
      client.removeQueries({ queryKey: ["line-wave", project.id] });
    },
    readings: (answer: PointReadings) => client.setQueryData(["readings", project.id, answer.pointId], answer),
  };
}
