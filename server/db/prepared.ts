import type { Database } from './openStore';

/**
 * A question asked so often that its words are put together once for each store, and its plan is kept by a PostgreSQL server:
 * `build` makes it with placeholders and ends in `.prepare(name)`. Placeholders are sent as they are: a moment as an ISO string.
 */
export function prepared<Query>(build: (db: Database) => Query): (db: Database) => Query {
  const kept = new WeakMap<Database, Query>();
  return (db) => {
    const query = kept.get(db) ?? build(db);
    kept.set(db, query);
    return query;
  };
}
