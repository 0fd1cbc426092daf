import { eq } from 'drizzle-orm';
import type { Term, WordList } from '#core/glossary';
import type { Context } from '../context';
import { type Queries, glossaries } from '../db';
import { Refusal } from '../http';
import { beginList, dropList, readTerms, TERMS_AT_ONCE, writeTerms } from './termList';

type Row = typeof glossaries.$inferSelect;

/** What taking a word list over does to a glossary. */
export interface TermChanges {
  added: number;
  changed: number;
  dropped: number;
}

const TRIES = 4;

/** Whether two terms of one text say the same. */
export const isSameTerm = (a: Term, b: Term) => a.cue === b.cue && a.weight === b.weight && a.note === b.note;

interface Planned extends TermChanges {
  /** Terms to be written over what is there. */
  written: Term[];
  /** Terms that are there and go on as they are. */
  kept: Term[];
}

/**
 * Holds a word list against the terms that a glossary has, in the order they come. Those that the word list has no word about go
 * on, or where it replaces all, go.
 */
export async function planImport(
  before: AsyncIterable<Term[]>,
  read: readonly Term[],
  replace: boolean,
): Promise<Planned> {
  const wanted = new Map(read.map((term) => [term.text, term]));
  const plan: Planned = { written: [], kept: [], added: 0, changed: 0, dropped: 0 };
  for await (const some of before)
    for (const term of some) {
      const now = wanted.get(term.text);
      wanted.delete(term.text);
      if (!now && replace) plan.dropped += 1;
      else if (!now || isSameTerm(now, term)) plan.kept.push(term);
      else {
        plan.changed += 1;
        plan.written.push(now);
      }
    }
  plan.added = wanted.size;
  // Not pushed as arguments: a call takes some 120,000 at the most.
  for (const term of wanted.values()) plan.written.push(term);
  return plan;
}

/** What an import asks of its glossary, in the transactions that read and change it. */
interface Held<Done> {
  /** Holds the glossary as it stands; throws where it may not be changed. */
  hold: (tx: Queries) => Promise<Row>;
  /** Does what else belongs to the change, such as its line in the trail; `row` has its new list already. */
  settle: (tx: Queries, row: Row, changes: TermChanges) => Promise<Done>;
}

/** One try of `importTerms`; null where somebody changed the glossary meanwhile. */
async function importOnce<Done>(
  context: Context,
  read: WordList,
  replace: boolean,
  { hold, settle }: Held<Done>,
): Promise<{ done: Done } | null> {
  const { db, log } = context;
  const before = await db.transaction(hold);
  const { written, kept, ...changes } = await planImport(readTerms(db, before.list), read.terms, replace);
  const isSmall = changes.dropped === 0 && written.length <= TERMS_AT_ONCE;
  const list = isSmall ? before.list : await beginList(context, db);
  let unused = isSmall ? null : list;
  try {
    if (!isSmall) await writeTerms(db, list, [...kept, ...written]);
    return await db.transaction(async (tx) => {
      const row = await hold(tx);
      if (row.version !== before.version) return null;
      if (isSmall) await writeTerms(tx, list, written);
      const termCount = kept.length + written.length;
      await tx.update(glossaries).set({ list, termCount }).where(eq(glossaries.id, row.id));
      const done = await settle(tx, { ...row, list, termCount }, changes);
      if (!isSmall) unused = before.list;
      return { done };
    });
  } finally {
    // What is left here is dropped within a day.
    if (unused)
      await dropList(db, unused).catch((error: unknown) =>
        log.error({ name: (error as Error).name }, 'a term list that is not used could not be dropped'),
      );
  }
}

/**
 * Takes a word list over into a glossary, all or nothing of what can be read. Few terms are written where they are; many into
 * a list of their own, in pieces between which others have their turn, and one short transaction gives it to the glossary.
 * When somebody changes the glossary meanwhile it is begun again; throws a `moved-on` Refusal after some tries.
 */
export async function importTerms<Done>(
  context: Context,
  read: WordList,
  replace: boolean,
  held: Held<Done>,
): Promise<Done> {
  for (let tried = 0; tried < TRIES; tried += 1) {
    const one = await importOnce(context, read, replace, held);
    if (one) return one.done;
  }
  throw new Refusal('moved-on', 'Others were changing this glossary. Nothing was brought in; try again.');
}
