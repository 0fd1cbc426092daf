import fs from 'node:fs/promises';
import { sql } from 'drizzle-orm';
import type { Room } from '#contracts';
import type { Context } from '../context';

/** Tables by what people know them as; others are told together. */
const PARTS: Record<string, readonly string[]> = {
  'Entries and what they are found by': ['entries', 'cues', 'entry_words', 'vocabulary', 'departures'],
  'History of entries': ['revisions', 'entry_moves'],
  'Cases and texts': [
    'cases',
    'drafts',
    'draft_states',
    'followings',
    'submissions',
    'enquiries',
    'messages',
  ],
  Batches: ['batches', 'batch_rows', 'sendings'],
  Trays: ['trays', 'tray_lines'],
  Glossaries: ['glossaries', 'term_lists', 'terms'],
  Usage: ['uses', 'ways_brought', 'practised'],
  Trail: ['trail'],
};
const PART_OF = new Map(
  Object.entries(PARTS).flatMap(([part, tables]) => tables.map((table) => [table, part])),
);
const OTHER = 'All else';
const FILES = 'Files';
const rank = ({ name }: { name: string }) => (name === OTHER ? 1 : 0);

/** What takes how much room in the store, in bytes, the largest first, and how much is free where it is. */
export async function roomOf({ db, settings }: Context): Promise<Room> {
  const { rows } = (await db.execute(sql`
    select c.relname as name, pg_total_relation_size(c.oid)::float8 as bytes
    from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and c.relname <> 'file_pieces'`)) as {
    rows: { name: string; bytes: number }[];
  };
  const files = (await db.execute(
    sql`select coalesce(sum(bytes), 0)::float8 as bytes from file_contents`,
  )) as { rows: { bytes: number }[] };
  const parts = new Map<string, number>([[FILES, files.rows[0]!.bytes]]);
  for (const { name, bytes } of rows) {
    const part = PART_OF.get(name) ?? OTHER;
    parts.set(part, (parts.get(part) ?? 0) + bytes);
  }
  // Where a PostgreSQL server keeps its files is not this machine's to tell.
  const disk = settings.databaseUrl === null ? await fs.statfs(settings.dataFolder).catch(() => null) : null;
  return {
    parts: [...parts]
      .map(([name, bytes]) => ({ name, bytes }))
      .sort((one, other) => rank(one) - rank(other) || other.bytes - one.bytes),
    free: disk && disk.bavail * disk.bsize,
    total: disk && disk.blocks * disk.bsize,
    mostFileBytes: settings.fileBytes,
  };
}
