import { sql } from 'drizzle-orm';
import type { Queries } from '../db';

/** A table as it is backed up: its columns, and what its rows are told apart by. */
export interface StoredTable {
  name: string;
  columns: string[];
  /** Columns of a key none of which is ever empty; null where it has none, and is read in one go. */
  key: string[] | null;
}

/**
 * What is not backed up: what is worked out anew (words that entries are found by), what is of one run of a server alone, and bytes of
 * files, which are files of a backup themselves.
 */
const LEFT_OUT = new Set([
  'entry_words',
  'vocabulary',
  'file_pieces',
  'jobs',
  'presences',
  'sessions',
  'reach_stamp',
  'server_clock',
]);

/** The tables of the store, in the order of their names, as the store itself describes them. */
export async function storedTables(db: Queries): Promise<StoredTable[]> {
  const { rows } = (await db.execute(sql`
    select c.relname as name,
      (select json_agg(a.attname order by a.attnum) from pg_attribute a
        where a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped and a.attgenerated = '') as columns,
      (select json_agg(a.attname order by k.at)
        from unnest((
          select i.indkey::int2[] from pg_index i
          where i.indrelid = c.oid and i.indisunique and i.indpred is null and i.indexprs is null
            and not exists (
              select from pg_attribute e where e.attrelid = c.oid and e.attnum = any(i.indkey::int2[]) and not e.attnotnull)
          order by i.indisprimary desc limit 1)) with ordinality as k(attribute, at)
        join pg_attribute a on a.attrelid = c.oid and a.attnum = k.attribute) as key
    from pg_class c
    where c.relnamespace = 'public'::regnamespace and c.relkind = 'r'
    order by c.relname`)) as { rows: StoredTable[] };
  return rows.filter(({ name }) => !LEFT_OUT.has(name));
}

/** A name of a table or column, safely within a statement. */
export const named = (name: string) => sql.identifier(name);
