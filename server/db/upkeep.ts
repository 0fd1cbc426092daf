import { sql } from 'drizzle-orm';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';

/**
 * When a table is due: the settings that a PostgreSQL server's own upkeep (autovacuum) begins with, for rows left behind by
 * changes, for rows added, and for changes since they were last counted.
 */
const DUE = {
  left: sql`50 + 0.2 * greatest(reltuples, 0)`,
  added: sql`1000 + 0.2 * greatest(reltuples, 0)`,
  changed: sql`50 + 0.1 * greatest(reltuples, 0)`,
};

/**
 * Frees the room of rows that were changed or deleted and counts anew what questions are planned by, in tables where enough is
 * another; one table at a time, so that nobody waits for all of them. The embedded store has nobody else who does it. Returns
 * the names of the tables, those that changed most first.
 */
export async function upkeep(db: Pick<PgDatabase<PgQueryResultHKT>, 'execute'>): Promise<string[]> {
  // What was counted is told at most once a second otherwise.
  await db.execute(sql`select pg_stat_force_next_flush()`);
  const { rows } = (await db.execute(sql`
    select relname as name, n_dead_tup > ${DUE.left} or n_ins_since_vacuum > ${DUE.added} as vacuum
    from pg_stat_user_tables join pg_class using (relname) where pg_class.oid = relid
      and (n_dead_tup > ${DUE.left} or n_ins_since_vacuum > ${DUE.added} or n_mod_since_analyze > ${DUE.changed})
    order by n_mod_since_analyze desc`)) as { rows: { name: string; vacuum: boolean }[] };
  for (const { name, vacuum } of rows)
    await db.execute(sql`${sql.raw(vacuum ? 'vacuum analyze' : 'analyze')} ${sql.identifier(name)}`);
  return rows.map(({ name }) => name);
}
