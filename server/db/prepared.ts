import type { Database, Queries } from './openStore';

/**
 * A question asked so often that its words are put together once for each store, and its plan is kept by a PostgreSQL server:
 * `build` makes it with placeholders and ends in `.prepare(name)`. Placeholders are sent as they are: a moment as an ISO string.
 */
export function prepared<Query>(build: (db: Database) => Query): (db: Queries) => Query {
  const kept = new WeakMap<Queries, Query>();
  return (db) => {
    // A transaction is a database to what is asked within it.
    const query = kept.get(db) ?? build(db as Database);
    kept.set(db, query);
    return query;
  };
}
