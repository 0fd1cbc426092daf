import { and, asc, desc, eq, inArray, isNull, or } from 'drizzle-orm';
import type { Router } from 'express';
import type { Note } from '#contracts';
import type { Context } from '../context';
import { type Queries, entries, members, noteAnswers, notes } from '../db';
import { bind, notFound } from '../http';
import { rightsFor, visibleEntry } from './rights';

/** So many of one's own that are closed are shown, newest first. */
const CLOSED_SHOWN = 50;

/**
 * Notes as a member sees them: those on entries they keep, and those they wrote on entries they still may see. With `only`,
 * that one alone.
 */
async function seenNotes(db: Queries, member: string, only?: string): Promise<Note[]> {
  const rights = await rightsFor(db, member);
  const kept = [...rights].flatMap(([id, right]) => (right === 'keep' ? [id] : []));
  const rows = await db
    .select({ note: notes, collection: entries.collection, by: members.name })
    .from(notes)
    .innerJoin(entries, and(eq(entries.id, notes.entry), isNull(entries.deletion)))
    .innerJoin(members, eq(members.id, notes.by))
    .where(
      and(
        only === undefined ? undefined : eq(notes.id, only),
        or(
          eq(notes.by, member),
          only === undefined
            ? and(eq(notes.closed, false), inArray(entries.collection, ['', ...kept]))
            : inArray(entries.collection, ['', ...kept]),
        ),
      ),
    )
    .orderBy(desc(notes.at), desc(notes.id));
  let closed = 0;
  const seen = rows.filter(({ note, collection }) => {
    if (!rights.has(collection)) return false;
    if (!note.closed || only !== undefined) return true;
    closed += 1;
    return closed <= CLOSED_SHOWN;
  });
  const said = await db
    .select({ answer: noteAnswers, by: members.name })
    .from(noteAnswers)
    .innerJoin(members, eq(members.id, noteAnswers.by))
    .where(inArray(noteAnswers.note, ['', ...seen.map(({ note }) => note.id)]))
    .orderBy(asc(noteAnswers.id));
  return seen.map(({ note: { id, entry, text, by: writer, at, closed: isClosed }, collection, by }) => ({
    id,
    entry,
    text,
    by,
    at: at.toISOString(),
    closed: isClosed,
    own: writer === member,
    keeps: rights.get(collection) === 'keep',
    answers: said
      .filter(({ answer }) => answer.note === id)
      .map(({ answer, by: who }) => ({ text: answer.text, by: who, at: answer.at.toISOString() })),
  }));
}

/** The open note of just these words by a member: it is sent again, because the answer to the first was lost. */
async function notedBefore(
  db: Queries,
  by: string,
  entry: string,
  text: string,
): Promise<string | undefined> {
  const own = and(eq(notes.entry, entry), eq(notes.by, by), eq(notes.text, text), eq(notes.closed, false));
  const [row] = await db.select({ id: notes.id }).from(notes).where(own);
  return row?.id;
}

/** Whether what was said to a note last is just this, by the same member: it is sent again. */
async function isSaidLast(db: Queries, by: string, note: string, text: string): Promise<boolean> {
  const [last] = await db
    .select()
    .from(noteAnswers)
    .where(eq(noteAnswers.note, note))
    .orderBy(desc(noteAnswers.id))
    .limit(1);
  return last?.by === by && last.text === text;
}

/** Notes: written by any who may use an entry, seen and answered by its keepers and who wrote them. */
export function noteRoutes(router: Router, context: Context): void {
  const { db, events } = context;

  const one = async (member: string, id: string): Promise<Note> => {
    const [found] = await seenNotes(db, member, id);
    if (!found) throw notFound();
    return found;
  };
  const tell = async (id: string) => {
    const [row] = await db
      .select({ by: notes.by, collection: entries.collection })
      .from(notes)
      .innerJoin(entries, eq(entries.id, notes.entry))
      .where(eq(notes.id, id));
    if (!row) return;
    await events.tellKeepers(row.collection, { type: 'notes-changed' });
    await events.tell(row.by, { type: 'notes-changed' });
  };

  bind(router, context, 'notes', ({ member }) => seenNotes(db, member.id));

  bind(router, context, 'note', async ({ member, params, body }) => {
    const entry = await visibleEntry(db, member.id, params.entry);
    const before = await notedBefore(db, member.id, entry.id, body.text);
    if (before !== undefined) return one(member.id, before);
    const id = context.newId();
    await db.insert(notes).values({ id, entry: entry.id, text: body.text, by: member.id, at: context.now() });
    await tell(id);
    return one(member.id, id);
  });

  bind(router, context, 'answerNote', async ({ member, params, body }) => {
    const { id } = await one(member.id, params.note);
    if (await isSaidLast(db, member.id, id, body.text)) return one(member.id, id);
    await db.insert(noteAnswers).values({ note: id, text: body.text, by: member.id, at: context.now() });
    await tell(id);
    return one(member.id, id);
  });

  bind(router, context, 'closeNote', async ({ member, params, body }) => {
    const { id } = await one(member.id, params.note);
    await db.update(notes).set({ closed: body.closed }).where(eq(notes.id, id));
    await tell(id);
    return one(member.id, id);
  });
}
