import type { Database, Queries } from './openStore';

/** What drizzle's sessions and prepared queries hold that a question is sent by: a connection, a pool, a transaction. */
interface Asking {
  client: unknown;
}

/**
 * A question asked so often that its words are put together once, and its plan is kept by the store: `build` makes it with
 * placeholders and ends in `.prepare(name)`. It is then asked of any database, or within any transaction. Placeholders
 * are sent as they are, unless they are values of a column: a moment as an ISO string.
 */
export function prepared<Query extends object>(build: (db: Database) => Query): (db: Queries) => Query {
  // The words are the same for all; how they are sent is the driver's, of which drizzle has a kind of session each.
  const built = new Map<unknown, Query>();
  return (db) => {
    const { session } = db as unknown as { session: Asking & { constructor: unknown } };
    let query = built.get(session.constructor);
    if (!query) {
      query = build(db as Database);
      // Only the words are kept, not the database that they were put together for.
      (query as unknown as Asking).client = undefined;
      built.set(session.constructor, query);
    }
    return Object.create(query, { client: { value: session.client } }) as Query;
  };
}
