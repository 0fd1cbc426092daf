import { sql } from 'drizzle-orm';
import { openStore, type Queries } from '../db';
import type { OpenBackup } from './readBackup';
import { loadBackup } from './restoreBackup';
import { named } from './tables';

/** What people know of a store, by the tables that hold it. */
const SHOWN = [
  ['collections', 'Collections'],
  ['entries', 'Entries'],
  ['cases', 'Cases'],
  ['drafts', 'Texts'],
  ['glossaries', 'Glossaries'],
  ['members', 'People'],
] as const;

/** How many of something a restore would bring, change and take away. */
export interface WouldChange {
  what: string;
  back: number;
  changed: number;
  gone: number;
}

/** Rows by their ids, each by a digest of what it holds; none of a store that is empty yet. */
async function digests(db: Queries, table: string): Promise<Map<string, string>> {
  const { rows } = (await db.execute(
    sql`select id, md5(to_jsonb(t)::text) as digest from ${named(table)} t`,
  )) as { rows: { id: string; digest: string }[] };
  return new Map(rows.map(({ id, digest }) => [id, digest]));
}

/** What a restore of a backup in place of a store would change. Nothing is changed by it. Throws a NotBackup where it is damaged. */
export async function showRestore(now: Queries, backup: OpenBackup): Promise<WouldChange[]> {
  const store = await openStore({ image: null }, undefined, { upTo: backup.manifest.schema });
  try {
    await loadBackup(store.db, backup, { files: null });
    await store.bringUpToDate();
    const all: WouldChange[] = [];
    for (const [table, what] of SHOWN) {
      const today = await digests(now, table);
      const then = await digests(store.db, table);
      const both = [...then].filter(([id]) => today.has(id));
      all.push({
        what,
        back: then.size - both.length,
        changed: both.filter(([id, digest]) => today.get(id) !== digest).length,
        gone: today.size - both.length,
      });
    }
    return all;
  } finally {
    await store.close();
  }
}
