import { and, asc, count, eq, isNull, sql } from 'drizzle-orm';
import type { Router } from 'express';
import type { Glossary, Member } from '#contracts';
import { readingWordList, writeWordList, type Term, type WordList } from '#core/glossary';
import type { Context } from '../context';
import type { Queries } from '../db/openStore';
import { glossaries, terms } from '../db/schema';
import { bind } from '../http/bind';
import { inTurns } from '../http/longWork';
import { notFound, Refusal } from '../http/refusal';
import { record } from '../people/trail';
import { deleteGlossary } from '../wastebasket/deleting';
import { insertGlossary, writeTerms } from './insertGlossary';
import { keepsGlossary } from './keepsGlossary';

type Row = typeof glossaries.$inferSelect;

const rightOf = (row: Row, member: Member): Glossary['right'] =>
  keepsGlossary(row, member) ? 'keep' : 'contribute';

const toGlossary = ({ madeBy, deletion, ...row }: Row, terms: number, member: Member): Glossary => ({
  ...row,
  count: row.shipped ? null : terms,
  right: rightOf({ madeBy, deletion, ...row }, member),
});

async function countOf(db: Queries, id: string): Promise<number> {
  const [row] = await db.select({ count: count() }).from(terms).where(eq(terms.glossary, id));
  return row?.count ?? 0;
}

/** The glossary of an id, unless it lies in the wastebasket. */
const there = (id: string) => and(eq(glossaries.id, id), isNull(glossaries.deletion));

async function found(db: Queries, id: string): Promise<Row> {
  const [row] = await db.select().from(glossaries).where(there(id));
  if (!row) throw notFound();
  return row;
}

/** The glossary, held for this transaction, so that of two changes at once the second sees the first. */
async function held(tx: Queries, id: string): Promise<Row> {
  const [row] = await tx.select().from(glossaries).where(there(id)).for('update');
  if (!row) throw notFound();
  return row;
}

async function heldByKeeper(tx: Queries, id: string, member: Member): Promise<Row> {
  const row = await held(tx, id);
  if (rightOf(row, member) === 'keep') return row;
  throw onlyKeepers();
}

const onlyKeepers = () =>
  new Refusal(
    'not-allowed',
    'Only an owner or the person who made this glossary changes it. Everyone may add a new term.',
  );

function mustHaveTerms(row: Row): void {
  if (row.shipped)
    throw new Refusal(
      'not-allowed',
      'This list comes with Elderleaf. Keep terms of your own in another glossary.',
    );
}

function mustBeAt(row: Row, version: number): void {
  if (row.version !== version)
    throw new Refusal('moved-on', 'Someone changed this glossary meanwhile. Look again, then change it.');
}

async function nextVersion(tx: Queries, row: Row): Promise<Row> {
  const [next] = await tx
    .update(glossaries)
    .set({ version: row.version + 1 })
    .where(eq(glossaries.id, row.id))
    .returning();
  return next!;
}

const termsOf = (db: Queries, glossary: string, only?: string): Promise<Term[]> =>
  db
    .select({ text: terms.text, cue: terms.cue, weight: terms.weight, note: terms.note })
    .from(terms)
    .where(and(eq(terms.glossary, glossary), only === undefined ? undefined : eq(terms.text, only)))
    .orderBy(asc(terms.text));

const isSame = (a: Term, b: Term) => a.cue === b.cue && a.weight === b.weight && a.note === b.note;

/** Takes a word list over into a glossary, all or nothing of what can be read. */
async function takeOver(tx: Queries, row: Row, read: WordList, replace: boolean) {
  const before = new Map((await termsOf(tx, row.id)).map((term) => [term.text, term]));
  const added = read.terms.filter(({ text }) => !before.has(text));
  const changed = read.terms.filter((term) => before.has(term.text) && !isSame(before.get(term.text)!, term));
  const kept = new Set(read.terms.map(({ text }) => text));
  const dropped = replace ? [...before.keys()].filter((text) => !kept.has(text)) : [];
  if (dropped.length > 0) {
    await tx.delete(terms).where(eq(terms.glossary, row.id));
    await writeTerms(tx, row.id, read.terms);
  } else {
    await writeTerms(tx, row.id, [...added, ...changed]);
  }
  const counts = { added: added.length, changed: changed.length, dropped: dropped.length };
  return { ...counts, faults: read.faults.slice(0, 100) };
}

/** Glossaries: their settings, their terms, word lists in and out. */
export function glossaryRoutes(router: Router, context: Context): void {
  const { db } = context;
  const changed = async (glossary: Glossary) => {
    await context.events.tellAll({ type: 'glossary-changed', glossary: glossary.id });
    return glossary;
  };

  bind(router, context, 'glossaries', async ({ member }) => {
    const rows = await db
      .select({ glossary: glossaries, terms: count(terms.text) })
      .from(glossaries)
      .leftJoin(terms, eq(terms.glossary, glossaries.id))
      .where(isNull(glossaries.deletion))
      .groupBy(glossaries.id)
      .orderBy(asc(glossaries.name));
    return rows.map((row) => toGlossary(row.glossary, row.terms, member));
  });

  bind(router, context, 'makeGlossary', async ({ member, body }) => {
    const row = {
      ...body,
      id: context.newId(),
      shipped: null,
      version: 1,
      madeBy: member.id,
      deletion: null,
    };
    await insertGlossary(db, row, []);
    return changed(toGlossary(row, 0, member));
  });

  bind(router, context, 'saveGlossary', async ({ member, params, body, version }) =>
    changed(
      await db.transaction(async (tx) => {
        const row = await heldByKeeper(tx, params.glossary, member);
        mustBeAt(row, version);
        await tx.update(glossaries).set(body).where(eq(glossaries.id, row.id));
        return toGlossary(await nextVersion(tx, row), await countOf(tx, row.id), member);
      }),
    ),
  );

  bind(router, context, 'dropGlossary', async ({ member, params, version }) => {
    await db.transaction(async (tx) => {
      const row = await heldByKeeper(tx, params.glossary, member);
      mustBeAt(row, version);
      await deleteGlossary(context, tx, member.id, row);
    });
    await context.events.tellAll({ type: 'glossary-changed', glossary: params.glossary });
    return undefined;
  });

  bind(router, context, 'terms', async ({ params, response }) => {
    const row = await found(db, params.glossary);
    mustHaveTerms(row);
    // The address names the version, so that a browser need never ask again for one it has.
    if (params.version === String(row.version))
      response.set('Cache-Control', 'private, max-age=31536000, immutable');
    return { version: row.version, terms: writeWordList(await termsOf(db, row.id)) };
  });

  bind(router, context, 'importTerms', async ({ member, params, body }) => {
    const read = await inTurns(readingWordList(body.terms));
    const done = await db.transaction(async (tx) => {
      const row = await heldByKeeper(tx, params.glossary, member);
      mustHaveTerms(row);
      const taken = await takeOver(tx, row, read, body.replace);
      const next = await nextVersion(tx, row);
      const { added, changed: altered, dropped } = taken;
      const detail = `${added} added, ${altered} changed, ${dropped} removed`;
      await record(tx, context.now(), { by: member.id, act: 'terms-imported', subject: row.name, detail });
      return { ...taken, glossary: toGlossary(next, await countOf(tx, row.id), member) };
    });
    await changed(done.glossary);
    return done;
  });

  bind(router, context, 'keepTerm', async ({ member, params, body }) =>
    changed(
      await db.transaction(async (tx) => {
        const row = await held(tx, params.glossary);
        mustHaveTerms(row);
        const [before] = await termsOf(tx, row.id, body.text);
        if (before && isSame(before, body)) return toGlossary(row, await countOf(tx, row.id), member);
        // Anyone adds a term; how one reads that is there already, its warning among it, is its keepers' to say.
        if (before && !keepsGlossary(row, member)) throw onlyKeepers();
        await writeTerms(tx, row.id, [body]);
        const act = before ? ('term-changed' as const) : ('term-added' as const);
        await record(tx, context.now(), { by: member.id, act, subject: body.text, detail: row.name });
        return toGlossary(await nextVersion(tx, row), await countOf(tx, row.id), member);
      }),
    ),
  );

  bind(router, context, 'dropTerm', async ({ member, params }) =>
    changed(
      await db.transaction(async (tx) => {
        const row = await heldByKeeper(tx, params.glossary, member);
        const gone = await tx
          .delete(terms)
          .where(sql`${terms.glossary} = ${row.id} and ${terms.text} = ${params.term}`)
          .returning({ text: terms.text });
        if (gone.length === 0) throw notFound();
        const done = { by: member.id, act: 'term-dropped' as const, subject: params.term, detail: row.name };
        await record(tx, context.now(), done);
        return toGlossary(await nextVersion(tx, row), await countOf(tx, row.id), member);
      }),
    ),
  );
}
