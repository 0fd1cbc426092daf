import { sql } from 'drizzle-orm';
import type { Database, Queries } from '../db';
import type { FileStore } from '../fileStore';
import { filePart, tablePart } from './manifest';
import { NotBackup, type OpenBackup } from './readBackup';
import { named, storedTables, type StoredTable } from './tables';

const ROWS_AT_ONCE = 200;
/** A line of a table: a row with the bytes of nothing but words, which no draft or submission comes near to. */
const MOST_LINE_BYTES = 200_000_000;

function rowOf(line: string, name: string): unknown {
  try {
    return JSON.parse(line);
  } catch (error) {
    throw new NotBackup(`${name} is damaged: ${(error as Error).message}. Nothing was restored.`);
  }
}

/** The lines of a part, as JSON. */
async function* rowsOf(source: AsyncIterable<Uint8Array>, name: string): AsyncIterable<unknown[]> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let rest = '';
  let some: unknown[] = [];
  for await (const piece of source) {
    rest += decoder.decode(piece, { stream: true });
    if (rest.length > MOST_LINE_BYTES)
      throw new NotBackup(`${name} has a line that is too long. Nothing was restored.`);
    const lines = rest.split('\n');
    rest = lines.pop()!;
    for (const line of lines) {
      some.push(rowOf(line, name));
      if (some.length < ROWS_AT_ONCE) continue;
      yield some;
      some = [];
    }
  }
  if (rest !== '') throw new NotBackup(`${name} ends within a line. Nothing was restored.`);
  if (some.length > 0) yield some;
}

interface Bond {
  table: string;
  name: string;
  definition: string;
}

/** What holds rows of tables together: taken off while they come in, in whatever order, and put on again, which looks at all of them. */
async function bondsOf(tx: Queries): Promise<Bond[]> {
  const { rows } = (await tx.execute(sql`
    select c.relname as table, k.conname as name, pg_get_constraintdef(k.oid) as definition
    from pg_constraint k join pg_class c on c.oid = k.conrelid
    where k.contype = 'f' and c.relnamespace = 'public'::regnamespace
    order by c.relname, k.conname`)) as { rows: Bond[] };
  return rows;
}

/** Numbers that the store gives itself go on behind those that came in. */
async function raiseNumbers(tx: Queries, tables: readonly StoredTable[]): Promise<void> {
  for (const { name, columns } of tables)
    for (const column of columns) {
      const { rows } = (await tx.execute(
        sql`select pg_get_serial_sequence(${name}, ${column}) as sequence`,
      )) as { rows: { sequence: string | null }[] };
      const sequence = rows[0]?.sequence;
      if (sequence)
        await tx.execute(
          sql`select setval(${sequence}::regclass, (select coalesce(max(${named(column)}), 0) + 1 from ${named(name)}), false)`,
        );
    }
}

async function loadTable(
  tx: Queries,
  table: StoredTable,
  backup: OpenBackup,
  tell: (rows: number) => void,
): Promise<void> {
  const said = backup.manifest.tables.find(({ name }) => name === table.name);
  // A table that came with a later Elderleaf is empty then.
  if (!said) return;
  const columns = said.columns.filter((column) => table.columns.includes(column));
  const list = sql.join(columns.map(named), sql`, `);
  let count = 0;
  for await (const rows of rowsOf(backup.read(tablePart(table.name)), tablePart(table.name))) {
    count += rows.length;
    tell(rows.length);
    await tx.execute(sql`
      insert into ${named(table.name)} (${list})
      select ${list} from jsonb_populate_recordset(null::${named(table.name)}, ${JSON.stringify(rows)}::jsonb)`);
  }
  if (count !== said.rows)
    throw new NotBackup(
      `${table.name} has ${count} rows and should have ${said.rows}. Nothing was restored.`,
    );
}

/** What is loaded of a backup. */
interface Loading {
  /** Where files go; null where their bytes are not wanted. */
  files: FileStore | null;
  /** Tables that are not wanted. */
  without?: ReadonlySet<string>;
  /** Hears how many rows more are in. */
  tell?: (rows: number) => void;
}

async function loadFiles(
  tx: Queries,
  files: FileStore,
  backup: OpenBackup,
  dropStaged: (() => Promise<void>)[],
): Promise<void> {
  for (const { name, bytes } of backup.manifest.parts.filter((part) => part.name.startsWith('files/'))) {
    const staged = await files.stage(backup.read(name), bytes);
    dropStaged.push(() => staged.drop());
    if (filePart(staged.hash) !== name)
      throw new NotBackup(`${name} is not the file that it says. Nothing was restored.`);
    await staged.keep(tx);
  }
}

/**
 * Loads a backup into a store whose schema is the backup's, in place of all that is there: all of it or nothing. Files that nothing names
 * after all are dropped as any. Throws a NotBackup where it is damaged.
 */
export async function loadBackup(
  db: Database,
  backup: OpenBackup,
  { files, without = new Set(), tell = () => undefined }: Loading,
): Promise<void> {
  const dropStaged: (() => Promise<void>)[] = [];
  try {
    await db.transaction(async (tx) => {
      const bonds = await bondsOf(tx);
      for (const { table, name } of bonds)
        await tx.execute(sql`alter table ${named(table)} drop constraint ${named(name)}`);
      const tables = await storedTables(tx);
      const all = sql.join(
        [...tables.map(({ name }) => named(name)), named('entry_words'), named('sessions')],
        sql`, `,
      );
      await tx.execute(sql`truncate ${all}`);
      for (const table of tables) if (!without.has(table.name)) await loadTable(tx, table, backup, tell);
      if (files) await loadFiles(tx, files, backup, dropStaged);
      await raiseNumbers(tx, tables);
      for (const { table, name, definition } of bonds)
        await tx.execute(
          sql`alter table ${named(table)} add constraint ${named(name)} ${sql.raw(definition)}`,
        );
    });
  } finally {
    for (const drop of dropStaged) await drop();
  }
}
