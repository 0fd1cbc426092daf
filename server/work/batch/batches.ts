import { and, asc, count, eq, inArray, max, ne, sql } from 'drizzle-orm';
import type { Batch, BatchRow, RowChange, WayOut } from '#contracts';
import { TABLE_LIMITS, type BatchSetup } from '#core/batch';
import type { DraftDocument } from '#core/draft';
import { givenCase, tellOfCase } from '../../cases';
import type { Context } from '../../context';
import { batches, batchRows, sendings, type Queries } from '../../db';
import { notFound, Refusal } from '../../http';

/** A row as it is stored. */
export type StoredRow = typeof batchRows.$inferSelect;

/** The letters of rows that went out by mail, or are on their way: those that were taken back are none. */
async function sendingsOf(db: Queries, of: string, rows?: readonly string[]) {
  const found = await db
    .select({
      id: sendings.id,
      row: sendings.row,
      state: sendings.state,
      reason: sendings.reason,
      goesAt: sendings.goesAt,
      stateAt: sendings.stateAt,
    })
    .from(sendings)
    .where(
      and(
        eq(sendings.case, of),
        ne(sendings.state, 'taken-back'),
        rows ? inArray(sendings.row, [...rows]) : sql`${sendings.row} is not null`,
      ),
    );
  return new Map(found.map((one) => [one.row, one]));
}

function toRow(row: StoredRow, sent: Awaited<ReturnType<typeof sendingsOf>>): BatchRow {
  const { case: _, document, base, gone, goneAt, ...told } = row;
  const sending = sent.get(row.id);
  return {
    ...told,
    byHand: document && base ? { document, base } : null,
    gone: gone as WayOut | null,
    goneAt: goneAt?.toISOString() ?? null,
    sending: sending
      ? {
          ...{ id: sending.id, state: sending.state, reason: sending.reason },
          at: (sending.state === 'waiting' ? sending.goesAt : sending.stateAt).toISOString(),
        }
      : null,
  };
}

/** The batch of a case that the member has; without a table as long as there is none. */
export async function readBatch(context: Context, member: string, id: string): Promise<Batch> {
  const { db, courier } = context;
  const { id: of } = await givenCase(db, member, id);
  const [own] = await db.select().from(batches).where(eq(batches.case, of));
  const rows = await db
    .select()
    .from(batchRows)
    .where(eq(batchRows.case, of))
    .orderBy(asc(batchRows.position), asc(batchRows.id));
  const sent = await sendingsOf(db, of);
  return {
    ...{ version: own?.version ?? 0, setup: own?.setup ?? null, byServer: courier.byServer },
    rows: rows.map((row) => toRow(row, sent)),
  };
}

/** How a batch makes its letters. Throws a Refusal where there is no batch yet. */
export async function setupOf(db: Queries, of: string): Promise<BatchSetup> {
  const [own] = await db.select({ setup: batches.setup }).from(batches).where(eq(batches.case, of));
  if (!own) throw notFound();
  return own.setup;
}

/** Keeps how a batch makes its letters. Throws a `moved-on` Refusal where somebody else did meanwhile. */
export async function keepSetup(
  context: Context,
  member: string,
  id: string,
  version: number,
  setup: BatchSetup,
): Promise<{ version: number }> {
  const { db } = context;
  const { id: of } = await givenCase(db, member, id);
  const row = { case: of, setup, version: version + 1 };
  const kept =
    version === 0
      ? await db.insert(batches).values(row).onConflictDoNothing().returning()
      : await db
          .update(batches)
          .set(row)
          .where(and(eq(batches.case, of), eq(batches.version, version)))
          .returning();
  if (kept.length === 0)
    throw new Refusal(
      'moved-on',
      'Somebody else changed this batch meanwhile, and what you did was not saved. This page now shows theirs.',
    );
  await tellOfCase(context, of);
  return { version: version + 1 };
}

/** Adds rows behind those that are there; sent again, a row is the one it was. Throws a Refusal where there would be too many. */
export async function addRows(
  context: Context,
  member: string,
  id: string,
  rows: readonly { id: string; cells: string[]; enquiry: string | null; file: string | null }[],
): Promise<{ rows: number }> {
  const { db } = context;
  const { id: of } = await givenCase(db, member, id);
  // What one has not been given cannot be answered.
  for (const { enquiry } of rows) if (enquiry !== null) await givenCase(db, member, enquiry);
  const total = await db.transaction(async (tx) => {
    // One after the other: two that add at the same moment would give the same places.
    const [own] = await tx.select().from(batches).where(eq(batches.case, of)).for('update');
    if (!own) throw notFound();
    const [before] = await tx
      .select({ rows: count(), last: max(batchRows.position) })
      .from(batchRows)
      .where(eq(batchRows.case, of));
    const had = before?.rows ?? 0;
    // Rows that were taken out leave their numbers behind.
    const first = (before?.last ?? -1) + 1;
    const ids = rows.map((row) => row.id);
    const there = await tx.select({ id: batchRows.id }).from(batchRows).where(inArray(batchRows.id, ids));
    const known = new Set(there.map((row) => row.id));
    const fresh = rows.filter((row) => !known.has(row.id));
    if (had + fresh.length > TABLE_LIMITS.rows)
      throw new Refusal(
        'too-many',
        `A batch takes ${TABLE_LIMITS.rows.toLocaleString('en-GB')} rows at the most. These were not added.`,
      );
    if (fresh.length > 0)
      await tx.insert(batchRows).values(
        fresh.map((row, at) => ({
          ...{ id: row.id, case: of, position: first + at, cells: row.cells },
          ...{ enquiry: row.enquiry, file: row.file },
          ...{ entry: null, isHeld: false, checked: null, document: null, base: null },
          ...{ gone: null, goneAt: null, version: 1 },
        })),
      );
    return had + fresh.length;
  });
  await tellOfCase(context, of);
  return { rows: total };
}

/** Rows of a batch by their ids, held for a change. Throws where one is not of this batch. */
export async function rowsOf(tx: Queries, of: string, ids: readonly string[]): Promise<StoredRow[]> {
  const found = await tx
    .select()
    .from(batchRows)
    .where(and(eq(batchRows.case, of), inArray(batchRows.id, [...new Set(ids)])))
    .orderBy(asc(batchRows.id))
    .for('update');
  if (found.length < new Set(ids).size) throw notFound();
  return found;
}

const GONE_ALREADY = 'This letter has gone out already: it stays as it went. Nothing was changed.';

/** Whether a change is about what a letter says, which one that went out keeps. */
const isOfWords = ({ cells, entry, byHand, checked, isHeld, drop }: RowChange) =>
  [cells, entry, byHand, checked, isHeld, drop].some((value) => value !== undefined);

/** What a change makes of a row. */
function changedRow(row: StoredRow, change: RowChange, now: Date): Partial<StoredRow> {
  const { cells, entry, isHeld, checked, byHand, gone } = change;
  return {
    ...(cells && { cells }),
    ...(entry !== undefined && { entry }),
    ...(isHeld !== undefined && { isHeld }),
    ...(checked !== undefined && { checked }),
    ...(byHand !== undefined && { document: byHand?.document ?? null, base: byHand?.base ?? null }),
    ...(gone && { gone: gone.way, goneAt: now, document: gone.document }),
    // What it was changed from tells a letter changed by hand from one kept as it went.
    ...(gone === null && { gone: null, goneAt: null, ...(row.base === null && { document: null }) }),
    // Of words alone: who checks a letter does not keep anybody from writing on it.
    version: row.version + (cells || entry !== undefined || byHand !== undefined ? 1 : 0),
  };
}

/** What of a row changes is written over by what is put in its place. */
const WRITTEN_OVER = {
  cells: sql`excluded.cells`,
  entry: sql`excluded.entry`,
  isHeld: sql`excluded.is_held`,
  checked: sql`excluded.checked`,
  document: sql`excluded.document`,
  base: sql`excluded.base`,
  gone: sql`excluded.gone`,
  goneAt: sql`excluded.gone_at`,
  version: sql`excluded.version`,
};

/** Changes rows, all or none. Throws a `moved-on` Refusal with the row as it is where somebody else changed it. */
export async function changeRows(
  context: Context,
  member: string,
  id: string,
  changes: readonly RowChange[],
): Promise<{ rows: BatchRow[] }> {
  const { db, now } = context;
  const { id: of } = await givenCase(db, member, id);
  const ids = changes.map(({ row }) => row);
  const changed = await db.transaction(async (tx) => {
    const before = new Map((await rowsOf(tx, of, ids)).map((row) => [row.id, row]));
    const sent = await sendingsOf(tx, of, ids);
    for (const change of changes) {
      const row = before.get(change.row)!;
      const isOut = row.gone !== null || sent.has(row.id);
      if (isOut && isOfWords(change)) throw new Refusal('not-allowed', GONE_ALREADY);
      if (sent.has(row.id) && change.gone) throw new Refusal('not-allowed', GONE_ALREADY);
      if (change.version !== undefined && change.version !== row.version)
        throw new Refusal('moved-on', 'Somebody else changed this letter meanwhile.', {
          current: toRow(row, sent),
        });
      const next = { ...row, ...changedRow(row, change, now()) };
      before.set(row.id, next);
    }
    const dropped = changes.filter(({ drop }) => drop).map(({ row }) => row);
    if (dropped.length > 0) await tx.delete(batchRows).where(inArray(batchRows.id, dropped));
    for (const row of dropped) before.delete(row);
    // All by one statement: a plain act lets hundreds go at once.
    if (before.size > 0)
      await tx
        .insert(batchRows)
        .values([...before.values()])
        .onConflictDoUpdate({ target: batchRows.id, set: WRITTEN_OVER });
    return [...before.values()].map((row) => toRow(row, sent));
  });
  await tellOfCase(context, of);
  return { rows: changed };
}

/** The letter of a row as it went out, or was changed by hand; null where it is made of its row alone. */
export async function keptLetter(
  db: Queries,
  member: string,
  id: string,
  row: string,
): Promise<{ document: DraftDocument | null }> {
  const { id: of } = await givenCase(db, member, id);
  const [found] = await db
    .select({ document: batchRows.document })
    .from(batchRows)
    .where(and(eq(batchRows.case, of), eq(batchRows.id, row)));
  if (!found) throw notFound();
  return found;
}
