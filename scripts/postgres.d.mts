/** Whether a PostgreSQL server can be started here. */
export function hasPostgres(): boolean;
/** Starts a server; comes back with its URL and what ends it. */
export function startPostgres(port?: number): { url: string; stop: () => void };
