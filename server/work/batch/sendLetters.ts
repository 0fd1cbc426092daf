import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq, inArray, isNotNull, isNull, ne } from 'drizzle-orm';
import { MOST_LETTERS_AT_ONCE, type LetterFault, type Member } from '#contracts';
import { columnFilling, cellIn, recordOfRow, type BatchSetup } from '#core/batch';
import type { DraftDocument } from '#core/draft';
import { gapsOf } from '#core/fill';
import { doubtInWords, doubtsOf, letterOf, usualHead, type OutgoingLetter } from '#core/letter';
import { isEmptyPassage } from '#core/passage';
import { filesInSight } from '../../bank';
import { enquiryFollows, givenCase, tellOfCase } from '../../cases';
import type { Context } from '../../context';
import { batchRows, fileContents, messages, sendings, type Queries } from '../../db';
import { Refusal } from '../../http';
import { deliverAfter, houseDoubts, readySending, receiverFaults, type FileAlong } from '../../sendings';
import { rowsOf, setupOf, type StoredRow } from './batches';

/** A letter that a page asks to have sent. */
interface Asked {
  row: string;
  document: DraftDocument;
}

/** A letter that nothing keeps from going. */
interface Ready {
  row: StoredRow;
  document: DraftDocument;
  letter: OutgoingLetter;
  along: FileAlong[];
}

/** Who is written to in the rows of a batch, by row. */
async function namesByRow(db: Queries, of: string, setup: BatchSetup): Promise<Map<string, string>> {
  const column = columnFilling(setup, 'customer') ?? columnFilling(setup, 'name');
  const rows = await db
    .select({ id: batchRows.id, cells: batchRows.cells })
    .from(batchRows)
    .where(eq(batchRows.case, of));
  return new Map(rows.map(({ id, cells }) => [id, cellIn(setup, cells, column).trim()]));
}

/** What goes along with a letter. Throws a Refusal where its writer has no right to one of the files. */
async function alongWith(db: Queries, member: string, { files }: OutgoingLetter): Promise<FileAlong[]> {
  if (files.length === 0) return [];
  const hashes = files.map(({ hash }) => hash);
  const inSight = await filesInSight(db, member, hashes);
  const lost = files.find(({ hash }) => !inSight.has(hash));
  if (lost)
    throw new Refusal('not-allowed', `The file “${lost.name}” is not here any more, or not yours to send.`);
  const rows = await db.select().from(fileContents).where(inArray(fileContents.hash, hashes));
  const held = new Map(rows.map((row) => [row.hash, row]));
  return files.map(({ hash, name }) => {
    const { media, bytes } = held.get(hash)!;
    return { hash, name, media, bytes };
  });
}

/** Why a letter cannot go at all: a sentence each. */
function faultsOf(row: StoredRow, document: DraftDocument, letter: OutgoingLetter): string[] {
  const gaps = gapsOf(document);
  return [
    ...(row.isHeld ? ['It is held back.'] : []),
    ...(row.gone !== null ? ['It has gone out already.'] : []),
    ...(isEmptyPassage(document) ? ['There is nothing in it.'] : []),
    ...gaps.map(({ name, kind }) =>
      kind === 'confirm' ? `“${name}” is not confirmed.` : `“${name}” is not answered.`,
    ),
    ...(gaps.length === 0 ? receiverFaults(letter) : []),
  ];
}

/** Holds letters against all that may keep them from going: those that are ready, and what is wrong with the others. */
async function sifted(
  db: Queries,
  member: string,
  of: string,
  letters: readonly Asked[],
  { today, sure }: { today: string; sure: readonly string[] | 'all' },
): Promise<{ ready: Ready[]; faults: LetterFault[] }> {
  const setup = await setupOf(db, of);
  const rows = new Map(
    (
      await rowsOf(
        db,
        of,
        letters.map(({ row }) => row),
      )
    ).map((row) => [row.id, row]),
  );
  const names = await namesByRow(db, of, setup);
  const house = await houseDoubts(db);
  const everybody = [...new Set(names.values())].filter((name) => name !== '');
  const ready: Ready[] = [];
  const faults: LetterFault[] = [];
  for (const { row: id, document } of letters) {
    const row = rows.get(id)!;
    const letter = letterOf(
      document,
      usualHead(recordOfRow(setup, row.cells, []), today, row.enquiry !== null),
    );
    const words = faultsOf(row, document, letter);
    const isSure = sure === 'all' || sure.includes(id);
    const own = [names.get(id) ?? '', ...letter.to.map(({ name }) => name)].filter((name) => name !== '');
    const doubts =
      words.length > 0 || isSure
        ? []
        : [
            ...doubtsOf(
              letter,
              own,
              everybody.filter((name) => !own.includes(name)),
            ),
            ...house(letter, document),
          ];
    const said = words.length > 0 ? words : doubts.map(doubtInWords);
    if (said.length > 0) faults.push({ row: id, isDoubt: words.length === 0, words: said });
    else ready.push({ row, document, letter, along: await alongWith(db, member, letter) });
  }
  return { ready, faults };
}

/** The messages that the letter of a row answers, so that mail programs show them together. */
async function threadOf(
  db: Queries,
  { enquiry }: StoredRow,
): Promise<{ inReplyTo: string | null; references: string[] }> {
  if (enquiry === null) return { inReplyTo: null, references: [] };
  const rows = await db
    .select({ id: messages.id })
    .from(messages)
    .where(eq(messages.case, enquiry))
    .orderBy(asc(messages.cameAt), asc(messages.id));
  // One that had no id of its own is known by what it holds, which no mail program knows.
  const ids = rows.map(({ id }) => id).filter((id) => /^<[^<>\s]+>$/.test(id));
  return { inReplyTo: ids.at(-1) ?? null, references: ids.slice(-20) };
}

const MINUTE_MS = 60_000;

/** When the next letter of a batch may go: its pace behind the last that waits or went. */
async function nextPlace({ db, now }: Context, of: string, pace: number, wait: number): Promise<number> {
  const [last] = await db
    .select({ goesAt: sendings.goesAt })
    .from(sendings)
    .where(and(eq(sendings.case, of), isNotNull(sendings.row), ne(sendings.state, 'taken-back')))
    .orderBy(desc(sendings.goesAt))
    .limit(1);
  const soonest = now().getTime() + wait * 1000;
  return Math.max(soonest, last ? last.goesAt.getTime() + MINUTE_MS / pace : 0);
}

/**
 * Has letters of a batch sent, one behind the other by its pace. A row whose letter waits, goes or has gone is passed over as sent: asked
 * again, nothing goes twice (`sendings_of_a_row`).
 */
export async function sendLetters(
  context: Context,
  member: Member,
  id: string,
  asked: { letters: readonly Asked[]; wait: number; sure: readonly string[]; today: string },
): Promise<{ sent: string[]; faults: LetterFault[] }> {
  const { db } = context;
  const { id: of } = await givenCase(db, member.id, id);
  const { pace } = await setupOf(db, of);
  const there = await db
    .select({ row: sendings.row })
    .from(sendings)
    .where(and(eq(sendings.case, of), isNotNull(sendings.row), ne(sendings.state, 'taken-back')));
  const known = new Set(there.map(({ row }) => row));
  const fresh = asked.letters.filter(({ row }) => !known.has(row));
  const already = asked.letters.filter(({ row }) => known.has(row)).map(({ row }) => row);
  if (fresh.length === 0) return { sent: already, faults: [] };
  const { ready, faults } = await sifted(db, member.id, of, fresh, asked);
  const first = await nextPlace(context, of, pace, asked.wait);
  const waiting: (typeof sendings.$inferInsert)[] = [];
  for (const [at, { row, letter, along }] of ready.entries()) {
    const goesAt = new Date(first + (at * MINUTE_MS) / pace);
    const where = { draft: null, case: of, row: row.id, along, goesAt, ...(await threadOf(db, row)) };
    waiting.push(await readySending(context, member, letter, { id: randomUUID(), ...where }));
  }
  if (waiting.length > 0)
    await db.transaction(async (tx) => {
      const rows = await rowsOf(
        tx,
        of,
        ready.map(({ row }) => row.id),
      );
      // Held back or taken away by somebody else while these were composed.
      const may = new Set(rows.filter(({ isHeld, gone }) => !isHeld && gone === null).map((row) => row.id));
      const going = waiting.filter(({ row }) => may.has(row!));
      if (going.length === 0) return;
      const put = await tx
        .insert(sendings)
        .values(going)
        .onConflictDoNothing()
        .returning({ row: sendings.row });
      for (const { row } of put) {
        const { document } = ready.find((one) => one.row.id === row)!;
        await tx.update(batchRows).set({ document }).where(eq(batchRows.id, row!));
        const { enquiry } = ready.find((one) => one.row.id === row)!.row;
        await enquiryFollows(tx, enquiry, 'waiting', context.now());
      }
    });
  // Of parts that others follow pages are not told: each time they would ask for the whole table.
  if (asked.letters.length < MOST_LETTERS_AT_ONCE) await tellOfCase(context, of);
  await context.events.tell(member.id, { type: 'sendings-changed' });
  if (waiting.length > 0) deliverAfter(context, Math.max(0, (first - context.now().getTime()) / 1000));
  return { sent: [...already, ...ready.map(({ row }) => row.id)], faults };
}

/** The enquiries that letters of rows answer. */
async function enquiriesOf(db: Queries, rows: readonly string[]): Promise<string[]> {
  if (rows.length === 0) return [];
  const found = await db
    .select({ enquiry: batchRows.enquiry })
    .from(batchRows)
    .where(and(inArray(batchRows.id, [...rows]), isNotNull(batchRows.enquiry)));
  return found.flatMap(({ enquiry }) => enquiry ?? []);
}

/** Takes back what waits to go of a batch, whoever had it sent. */
export async function stopLetters(
  context: Context,
  member: string,
  id: string,
): Promise<{ stopped: number }> {
  const { db, now } = context;
  const { id: of } = await givenCase(db, member, id);
  const stopped = await db
    .update(sendings)
    .set({ state: 'taken-back', stateAt: now() })
    .where(and(eq(sendings.case, of), isNotNull(sendings.row), eq(sendings.state, 'waiting')))
    .returning({ row: sendings.row });
  const rows = stopped.map(({ row }) => row!);
  // What is kept as it was to go is no letter changed by hand.
  for (let at = 0; at < rows.length; at += 500)
    await db
      .update(batchRows)
      .set({ document: null })
      .where(and(inArray(batchRows.id, rows.slice(at, at + 500)), isNull(batchRows.base)));
  for (const row of await enquiriesOf(db, rows)) await enquiryFollows(db, row, 'taken-back', now());
  await tellOfCase(context, of);
  return { stopped: stopped.length };
}

/** Letters of a batch as messages of RFC 5322, to be taken away. Nothing is sent. */
export async function lettersAsMessages(
  context: Context,
  member: Member,
  id: string,
  { letters, today }: { letters: readonly Asked[]; today: string },
): Promise<{ messages: { row: string; message: string }[]; faults: LetterFault[] }> {
  const { db } = context;
  const { id: of } = await givenCase(db, member.id, id);
  const { ready, faults } = await sifted(db, member.id, of, letters, { today, sure: 'all' });
  const messages: { row: string; message: string }[] = [];
  for (const { row, letter, along } of ready) {
    const where = { draft: null, case: of, row: row.id, along, ...(await threadOf(db, row)) };
    const made = await readySending(context, member, letter, {
      id: randomUUID(),
      ...where,
      goesAt: context.now(),
    });
    messages.push({ row: row.id, message: made.message });
  }
  return { messages, faults };
}
