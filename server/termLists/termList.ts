import { and, asc, eq, gt, lt, lte, notInArray, sql } from 'drizzle-orm';
import type { Term } from '#core/glossary';
import type { Context } from '../context';
import { type Queries, glossaries, termLists, terms } from '../db';

/** So many terms at once: some ten milliseconds, then others have their turn. */
export const TERMS_AT_ONCE = 500;

const DAY_MS = 86_400_000;

/** Writes terms over those of the list with the same text, some hundreds at a time. */
export async function writeTerms(db: Queries, list: string, some: readonly Term[]): Promise<void> {
  for (let at = 0; at < some.length; at += TERMS_AT_ONCE) {
    const rows = JSON.stringify(some.slice(at, at + TERMS_AT_ONCE));
    await db.execute(sql`
      insert into terms (list, text, cue, weight, note)
      select ${list}, term.text, term.cue, term.weight, term.note
      from jsonb_to_recordset(${rows}::jsonb) as term(text text, cue text, weight int, note text)
      on conflict (list, text) do update
        set cue = excluded.cue, weight = excluded.weight, note = excluded.note`);
  }
}

/** The terms of a list in the order of their texts, some hundreds at a time. */
export async function* readTerms(db: Queries, list: string): AsyncGenerator<Term[], void> {
  let after: string | null = null;
  for (;;) {
    const some: Term[] = await db
      .select({ text: terms.text, cue: terms.cue, weight: terms.weight, note: terms.note })
      .from(terms)
      .where(and(eq(terms.list, list), after === null ? undefined : gt(terms.text, after)))
      .orderBy(asc(terms.text))
      .limit(TERMS_AT_ONCE);
    if (some.length > 0) yield some;
    if (some.length < TERMS_AT_ONCE) return;
    after = some.at(-1)!.text;
  }
}

/** Begins a list that no glossary has yet; returns its id. */
export async function beginList(context: Context, db: Queries): Promise<string> {
  const id = context.newId();
  await db.insert(termLists).values({ id, begunAt: context.now() });
  return id;
}

/** Drops a list that no glossary has, some hundreds of terms at a time. */
export async function dropList(db: Queries, list: string): Promise<void> {
  // From text to text: what was deleted stays in the index for a while, and would be walked through again for each piece.
  let after = '';
  for (;;) {
    const beyond = and(eq(terms.list, list), gt(terms.text, after));
    const [last] = await db
      .select({ text: terms.text })
      .from(terms)
      .where(beyond)
      .orderBy(asc(terms.text))
      .offset(TERMS_AT_ONCE - 1)
      .limit(1);
    if (!last) break;
    await db.delete(terms).where(and(beyond, lte(terms.text, last.text)));
    after = last.text;
  }
  await db.delete(terms).where(eq(terms.list, list));
  await db.delete(termLists).where(eq(termLists.id, list));
}

/** Drops the lists that no glossary has: of glossaries deleted for good, and of imports that a server's end broke off. */
export async function dropListsOfNone({ db, now }: Pick<Context, 'db' | 'now'>): Promise<void> {
  const left = await db
    .select({ id: termLists.id })
    .from(termLists)
    .where(
      and(
        lt(termLists.begunAt, new Date(now().getTime() - DAY_MS)),
        notInArray(termLists.id, db.select({ list: glossaries.list }).from(glossaries)),
      ),
    );
  for (const { id } of left) await dropList(db, id);
}
