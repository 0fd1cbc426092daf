import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/** Where the changes of the schema are, in their order. */
export const migrationsFolder = path.join(import.meta.dirname, 'migrations');

interface Journal {
  entries: { tag: string }[];
}

const readJournal = (): Journal =>
  JSON.parse(fs.readFileSync(path.join(migrationsFolder, 'meta', '_journal.json'), 'utf8')) as Journal;

/** How many changes of the schema this Elderleaf knows. */
export const schemaKnown = (): number => readJournal().entries.length;

/** The statements of one change of the schema, as they are written down. @param schema counted from 1 */
export const migrationOf = (schema: number): string =>
  fs.readFileSync(path.join(migrationsFolder, `${readJournal().entries[schema - 1]!.tag}.sql`), 'utf8');

/**
 * A folder with the first changes of the schema alone, for a store as an earlier Elderleaf had it; and what takes the folder away again.
 * @param count how many of them
 */
export function migrationsUpTo(count: number): { folder: string; drop: () => void } {
  const journal = readJournal();
  const entries = journal.entries.slice(0, count);
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-schema-'));
  fs.mkdirSync(path.join(folder, 'meta'));
  fs.writeFileSync(path.join(folder, 'meta', '_journal.json'), JSON.stringify({ ...journal, entries }));
  for (const { tag } of entries)
    fs.copyFileSync(path.join(migrationsFolder, `${tag}.sql`), path.join(folder, `${tag}.sql`));
  return { folder, drop: () => fs.rmSync(folder, { recursive: true, force: true }) };
}
