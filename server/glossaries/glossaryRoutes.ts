import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Router } from 'express';
import type { Glossary, Member } from '#contracts';
import { readingWordList, writeWordList, type Term } from '#core/glossary';
import type { Context } from '../context';
import { type Queries, glossaries, terms } from '../db';
import { bind, inTurns, notFound, Refusal } from '../http';
import { writeTrail } from '../trail';
import { deleteGlossary } from '../wastebasket';
import { importTerms, isSameTerm, insertGlossary, keepsGlossary, readTerms, writeTerms } from '../termLists';

type Row = typeof glossaries.$inferSelect;

const rightOf = (row: Row, member: Member): Glossary['right'] =>
  keepsGlossary(row, member) ? 'keep' : 'contribute';

const toGlossary = ({ madeBy, deletion, list, termCount, ...row }: Row, member: Member): Glossary => ({
  ...row,
  count: row.shipped ? null : termCount,
  right: rightOf({ madeBy, deletion, list, termCount, ...row }, member),
});

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
      'This list comes with Elderleaf. Save terms of your own in another glossary.',
    );
}

function mustBeAt(row: Row, version: number): void {
  if (row.version !== version)
    throw new Refusal(
      'moved-on',
      'Someone changed this glossary meanwhile. Look at it again, then change it.',
    );
}

async function nextVersion(tx: Queries, row: Row, termCount = row.termCount): Promise<Row> {
  const [next] = await tx
    .update(glossaries)
    .set({ version: row.version + 1, termCount })
    .where(eq(glossaries.id, row.id))
    .returning();
  return next!;
}

const thisTerm = ({ list }: Row, text: string) => and(eq(terms.list, list), eq(terms.text, text));

const termOf = async (db: Queries, row: Row, text: string): Promise<Term | undefined> => {
  const [found] = await db
    .select({ text: terms.text, cue: terms.cue, weight: terms.weight, note: terms.note })
    .from(terms)
    .where(thisTerm(row, text));
  return found;
};

const READS = 5;

/**
 * All terms of a glossary as a word list, read in pieces between which others have their turn, all at one version of it.
 * Throws a `moved-on` Refusal where it changes again and again meanwhile.
 */
async function wordListOf(db: Queries, id: string): Promise<{ row: Row; words: string }> {
  for (let read = 0; read < READS; read += 1) {
    const row = await found(db, id);
    mustHaveTerms(row);
    let words = '';
    for await (const some of readTerms(db, row.list)) words += writeWordList(some);
    if ((await found(db, id)).version === row.version) return { row, words };
  }
  throw new Refusal('moved-on', 'This glossary is being changed at this moment. Try again.');
}

/** Tells all of a glossary that changed, and returns it. */
async function told({ events }: Context, glossary: Glossary): Promise<Glossary> {
  await events.tellAll({ type: 'glossary-changed', glossary: glossary.id });
  return glossary;
}

/** Glossaries: their settings, their terms, word lists in and out. */
export function glossaryRoutes(router: Router, context: Context): void {
  settingsRoutes(router, context);
  termRoutes(router, context);
}

function settingsRoutes(router: Router, context: Context): void {
  const { db } = context;
  const changed = (glossary: Glossary) => told(context, glossary);

  bind(router, context, 'glossaries', async ({ member }) => {
    const rows = await db
      .select()
      .from(glossaries)
      .where(isNull(glossaries.deletion))
      .orderBy(asc(glossaries.name));
    return rows.map((row) => toGlossary(row, member));
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
    const made = await db.transaction((tx) => insertGlossary(context, tx, row, []));
    return changed(toGlossary(made, member));
  });

  bind(router, context, 'saveGlossary', async ({ member, params, body, version }) =>
    changed(
      await db.transaction(async (tx) => {
        const row = await heldByKeeper(tx, params.glossary, member);
        mustBeAt(row, version);
        await tx.update(glossaries).set(body).where(eq(glossaries.id, row.id));
        return toGlossary(await nextVersion(tx, row), member);
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
}

function termRoutes(router: Router, context: Context): void {
  const { db } = context;
  const changed = (glossary: Glossary) => told(context, glossary);

  bind(router, context, 'terms', async ({ params, response }) => {
    const { row, words } = await wordListOf(db, params.glossary);
    // The address names the version, so that a browser need never ask again for one it has.
    if (params.version === String(row.version))
      response.set('Cache-Control', 'private, max-age=31536000, immutable');
    return { version: row.version, terms: words };
  });

  bind(router, context, 'importTerms', async ({ member, params, body }) => {
    const read = await inTurns(readingWordList(body.terms));
    const hold = async (tx: Queries) => {
      const row = await heldByKeeper(tx, params.glossary, member);
      mustHaveTerms(row);
      return row;
    };
    const done = await importTerms(context, read, body.replace, {
      hold,
      settle: async (tx, row, changes) => {
        const detail = `${changes.added} added, ${changes.changed} changed, ${changes.dropped} removed`;
        await writeTrail(tx, context.now(), {
          by: member.id,
          act: 'terms-imported',
          subject: row.name,
          detail,
        });
        const glossary = toGlossary(await nextVersion(tx, row), member);
        return { ...changes, faults: read.faults.slice(0, 100), glossary };
      },
    });
    await changed(done.glossary);
    return done;
  });

  bind(router, context, 'keepTerm', async ({ member, params, body }) =>
    changed(
      await db.transaction(async (tx) => {
        const row = await held(tx, params.glossary);
        mustHaveTerms(row);
        const before = await termOf(tx, row, body.text);
        if (before && isSameTerm(before, body)) return toGlossary(row, member);
        // Anyone adds a term; how one reads that is there already, its warning among it, is its keepers' to say.
        if (before && !keepsGlossary(row, member)) throw onlyKeepers();
        await writeTerms(tx, row.list, [body]);
        const act = before ? ('term-changed' as const) : ('term-added' as const);
        await writeTrail(tx, context.now(), { by: member.id, act, subject: body.text, detail: row.name });
        return toGlossary(await nextVersion(tx, row, row.termCount + (before ? 0 : 1)), member);
      }),
    ),
  );

  bind(router, context, 'dropTerm', async ({ member, params }) =>
    changed(
      await db.transaction(async (tx) => {
        const row = await heldByKeeper(tx, params.glossary, member);
        const gone = await tx.delete(terms).where(thisTerm(row, params.term)).returning({ text: terms.text });
        if (gone.length === 0) throw notFound();
        const done = { by: member.id, act: 'term-dropped' as const, subject: params.term, detail: row.name };
        await writeTrail(tx, context.now(), done);
        return toGlossary(await nextVersion(tx, row, row.termCount - 1), member);
      }),
    ),
  );
}
