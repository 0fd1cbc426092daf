import path from 'node:path';
import { pathToFileURL } from 'node:url';

/** Does something with a PostgreSQL server of its own, which is taken away afterwards; null where none is installed. */
export async function withPostgres<T>(work: (databaseUrl: string) => Promise<T>): Promise<T | null> {
  // Plain Node, which the benchmarks are not bundled with.
  const { hasPostgres, startPostgres } = (await import(
    pathToFileURL(path.join(process.cwd(), 'scripts/postgres.mjs')).href
  )) as { hasPostgres: () => boolean; startPostgres: (port: number) => { url: string; stop: () => void } };
  if (!hasPostgres()) return null;
  const postgres = startPostgres(54_781);
  try {
    return await work(postgres.url);
  } finally {
    postgres.stop();
  }
}
