import type { Term } from '#core/glossary';
import type { Context } from '../context';
import { type Queries, glossaries } from '../db';
import { beginList, writeTerms } from './termList';

type Row = typeof glossaries.$inferSelect;
type NewGlossary = Omit<typeof glossaries.$inferInsert, 'list' | 'termCount'>;

/** The list of general English that comes with the pages: every team begins with it. */
export const GENERAL_ENGLISH: NewGlossary = {
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

/** Writes a glossary with its terms, as the demo and a new team begin with. */
export async function insertGlossary(
  context: Context,
  db: Queries,
  row: NewGlossary,
  some: readonly Term[],
): Promise<Row> {
  const list = await beginList(context, db);
  const [made] = await db
    .insert(glossaries)
    .values({ ...row, list, termCount: some.length })
    .returning();
  await writeTerms(db, list, some);
  return made!;
}
