import { sql, type SQL } from 'drizzle-orm';
import type { Database, Queries } from '../db';
import { named, storedTables, type StoredTable } from './tables';

/** A row of the store, by its columns. */
export type StoredRow = Record<string, unknown>;

/** The store as it was at one moment, whatever is saved meanwhile. */
export interface Snapshot {
  tables: StoredTable[];
  /** The rows of a table, some at a time; others have their turn between two of these. */
  rows: (table: StoredTable) => AsyncIterable<StoredRow[]>;
}

const ROWS_AT_ONCE = 200;
const keyOf = ({ key }: StoredTable, row: StoredRow): string =>
  JSON.stringify(Object.fromEntries(key!.map((column) => [column, row[column]])));

const columnsOf = (key: readonly string[], of: string): SQL =>
  sql.join(
    key.map((column) => sql`${sql.raw(of)}.${named(column)}`),
    sql`, `,
  );

/** "Behind this key", in the order of the keys themselves; everything where there is none. */
const behind = (table: StoredTable, of: string, last: string | null): SQL =>
  last === null
    ? sql`true`
    : sql`(${columnsOf(table.key!, of)}) > (select ${columnsOf(table.key!, 'k')} from jsonb_populate_record(null::${named(table.name)}, ${last}::jsonb) as k)`;
const upTo = (table: StoredTable, of: string, end: string | null): SQL =>
  end === null
    ? sql`true`
    : sql`(${columnsOf(table.key!, of)}) <= (select ${columnsOf(table.key!, 'k')} from jsonb_populate_record(null::${named(table.name)}, ${end}::jsonb) as k)`;

const jsonRows = async (db: Queries, query: SQL): Promise<StoredRow[]> =>
  ((await db.execute(query)) as { rows: { row: StoredRow }[] }).rows.map(({ row }) => row);

async function* allRows(db: Queries, table: StoredTable): AsyncIterable<StoredRow[]> {
  if (table.key === null) {
    yield await jsonRows(db, sql`select to_jsonb(t) as row from ${named(table.name)} t`);
    return;
  }
  for (let last: string | null = null; ;) {
    const rows: StoredRow[] = await jsonRows(
      db,
      sql`select to_jsonb(t) as row from ${named(table.name)} t where ${behind(table, 't', last)}
        order by ${columnsOf(table.key, 't')} limit ${ROWS_AT_ONCE}`,
    );
    if (rows.length > 0) yield rows;
    if (rows.length < ROWS_AT_ONCE) return;
    last = keyOf(table, rows.at(-1)!);
  }
}

/** On a PostgreSQL server one reading transaction sees one moment, and holds nobody up. */
export function serverSnapshot<T>(db: Database, work: (snapshot: Snapshot) => Promise<T>): Promise<T> {
  return db.transaction(
    async (tx) => {
      const tables = await storedTables(tx);
      return work({ tables, rows: (table) => allRows(tx, table) });
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
}

/** What was before: each row that somebody changed since a backup began, as it was then; none for one that was not there yet. */
const BEFORE = sql`"backup"."before"`;

/** What a backup that was killed left behind is taken away. */
export const dropBefore = (db: Queries) => db.execute(sql`drop schema if exists "backup" cascade`);

async function noteBefore(tx: Queries, tables: readonly StoredTable[]): Promise<void> {
  await dropBefore(tx);
  await tx.execute(sql`create schema "backup"`);
  await tx.execute(
    sql`create table ${BEFORE} (of_table text, key jsonb, row jsonb, primary key (of_table, key))`,
  );
  // The first that is noted of a row is how it was when the backup began: what comes later changes nothing of it.
  await tx.execute(sql`
    create function "backup".note() returns trigger language plpgsql as $$
    declare
      was jsonb := case when tg_op <> 'INSERT' then to_jsonb(old) end;
      is_now jsonb := case when tg_op <> 'DELETE' then to_jsonb(new) end;
    begin
      if was is not null then
        insert into "backup"."before" values (tg_table_name,
          (select jsonb_object_agg(k, was -> k) from unnest(tg_argv) as k), was) on conflict do nothing;
      end if;
      if is_now is not null then
        insert into "backup"."before" values (tg_table_name,
          (select jsonb_object_agg(k, is_now -> k) from unnest(tg_argv) as k), null) on conflict do nothing;
      end if;
      return null;
    end $$`);
  for (const { name, key } of tables) {
    if (key === null) continue;
    const keys = sql.raw(key.map((column) => `'${column.replaceAll("'", "''")}'`).join(', '));
    await tx.execute(sql`
      create trigger backup_note after insert or update or delete on ${named(name)}
      for each row execute function "backup".note(${keys})`);
  }
}

/** Rows of a table as they were when the backup began, by a key: those nobody touched, and what is noted of the others. */
async function* rowsBefore(db: Database, table: StoredTable): AsyncIterable<StoredRow[]> {
  const name = named(table.name);
  for (let last: string | null = null; ;) {
    const from: string | null = last;
    const piece: { end: string | null; rows: StoredRow[] } = await db.transaction(async (tx) => {
      const rows = (
        (await tx.execute(sql`
          select to_jsonb(t) as row, b.key is not null as noted
          from (select * from ${name} t where ${behind(table, 't', from)} order by ${columnsOf(table.key!, 't')} limit ${ROWS_AT_ONCE}) t
          left join ${BEFORE} b on b.of_table = ${table.name}
            and b.key = jsonb_build_object(${sql.join(
              table.key!.map((column) => sql`${column}::text, to_jsonb(t.${named(column)})`),
              sql`, `,
            )})
          order by ${columnsOf(table.key!, 't')}`)) as { rows: { row: StoredRow; noted: boolean }[] }
      ).rows;
      const end = rows.length < ROWS_AT_ONCE ? null : keyOf(table, rows.at(-1)!.row);
      const noted = await jsonRows(
        tx,
        sql`select b.row from ${BEFORE} b cross join lateral jsonb_populate_record(null::${name}, b.key) as t
          where b.of_table = ${table.name} and b.row is not null and ${behind(table, 't', from)} and ${upTo(table, 't', end)}`,
      );
      return { end, rows: [...rows.flatMap((one) => (one.noted ? [] : [one.row])), ...noted] };
    });
    if (piece.rows.length > 0) yield piece.rows;
    if (piece.end === null) return;
    last = piece.end;
  }
}

/**
 * The embedded store does one thing at a time: a transaction as long as a backup would hold everybody up. So it is read in many short ones,
 * and what somebody changes meanwhile is noted beside, as it was before.
 */
export async function embeddedSnapshot<T>(
  db: Database,
  work: (snapshot: Snapshot) => Promise<T>,
): Promise<T> {
  const begun = await db.transaction(async (tx) => {
    const tables = await storedTables(tx);
    await noteBefore(tx, tables);
    // Few tables have no key, and these are short.
    const whole = new Map<string, StoredRow[]>();
    for (const table of tables.filter(({ key }) => key === null))
      for await (const rows of allRows(tx, table)) whole.set(table.name, rows);
    return { tables, whole };
  });
  async function* given(rows: StoredRow[] | undefined): AsyncIterable<StoredRow[]> {
    await Promise.resolve();
    if (rows && rows.length > 0) yield rows;
  }
  try {
    return await work({
      tables: begun.tables,
      rows: (table) => (table.key === null ? given(begun.whole.get(table.name)) : rowsBefore(db, table)),
    });
  } finally {
    await dropBefore(db);
  }
}
