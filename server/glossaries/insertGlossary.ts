import { sql } from 'drizzle-orm';
import type { Term } from '#core/glossary';
import type { Queries } from '../db/openStore';
import { glossaries } from '../db/schema';

type Row = typeof glossaries.$inferInsert;

/** The list of general English that comes with the pages: every team begins with it. */
export const GENERAL_ENGLISH: Row = {
  id: 'english',
  name: 'General English',
  language: 'en-GB',
  kindsOfWork: [],
  priority: 0,
  careful: false,
  shipped: 'english',
  version: 1,
  madeBy: null,
};

const STEP = 2000;

/** Writes terms over those with the same text, some thousands at a time. */
export async function writeTerms(tx: Queries, glossary: string, some: readonly Term[]): Promise<void> {
  for (let at = 0; at < some.length; at += STEP) {
    const rows = JSON.stringify(some.slice(at, at + STEP));
    await tx.execute(sql`
      insert into terms (glossary, text, cue, weight, note)
      select ${glossary}, term.text, term.cue, term.weight, term.note
      from jsonb_to_recordset(${rows}::jsonb) as term(text text, cue text, weight int, note text)
      on conflict (glossary, text) do update
        set cue = excluded.cue, weight = excluded.weight, note = excluded.note`);
  }
}

/** Writes a glossary with its terms, as the demo and a new team begin with. */
export async function insertGlossary(db: Queries, row: Row, some: readonly Term[]): Promise<void> {
  await db.insert(glossaries).values(row);
  await writeTerms(db, row.id, some);
}
