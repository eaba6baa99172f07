/** Key of a project among the queries. */
export const projectKey = (id: string) => ["project", id] as const;
