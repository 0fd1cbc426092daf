import { and, eq, inArray, sql } from 'drizzle-orm';
import { languageOf, type DraftDocument } from '#core/draft';
import { newEntry } from '#core/entry';
import { plainPassage } from '#core/passage';
import { doubtsOf, type Doubt, type OutgoingLetter } from '#core/letter';
import { HouseFinder } from '#core/terms';
import { cases, casesGiven, sendings, type Queries } from '../db';
import { wordsOfHouse } from '../houseWords';

/** So many other cases are looked at for names, the last opened first. */
const MOST_OTHERS = 2000;

/** What stands in the details of a record that are somebody's name. */
const namesIn = sql<string[]>`(
  select coalesce(jsonb_agg(detail -> 'value' ->> 'text'), '[]')
  from jsonb_array_elements(${cases.record} -> 'details') as detail
  where detail ->> 'path' in ('customer', 'name', 'clinician') and detail -> 'value' ->> 'kind' = 'text'
)`;

/** The names in a case, and those in the member's other cases. */
async function namesAround(db: Queries, member: string, of: string) {
  const rows = await db
    .select({ id: cases.id, names: namesIn })
    .from(cases)
    .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member)))
    .orderBy(sql`${cases.openedAt} desc`)
    .limit(MOST_OTHERS);
  const [here] = rows.filter(({ id }) => id === of);
  return { own: here?.names ?? [], others: rows.flatMap(({ id, names }) => (id === of ? [] : names)) };
}

/** What finds words that the house avoids in the texts of letters. */
export async function houseDoubts(
  db: Queries,
): Promise<(letter: OutgoingLetter, document: DraftDocument) => Doubt[]> {
  const finder = new HouseFinder(await wordsOfHouse(db));
  return ({ text }, document) => avoidedIn(finder, text, languageOf(document) ?? 'en-GB');
}

function avoidedIn(finder: HouseFinder, text: string, language: string): Doubt[] {
  const entry = newEntry('-', language);
  const [wording] = entry.wordings;
  const parts = [{ ...wording!.parts[0]!, passage: plainPassage(text) }];
  const places = finder.in({ ...entry, wordings: [{ ...wording!, parts }] });
  return [...new Set(places.map(({ form }) => form))].map((words) => ({ kind: 'house-word', words }));
}

/** What is to be looked at before a draft is sent as a letter. */
export async function doubtsAbout(
  db: Queries,
  draft: { id: string; author: string; case: string; document: DraftDocument },
  letter: OutgoingLetter,
): Promise<Doubt[]> {
  const { own, others } = await namesAround(db, draft.author, draft.case);
  const before = await db
    .select({ id: sendings.id })
    .from(sendings)
    .where(and(eq(sendings.draft, draft.id), inArray(sendings.state, ['gone', 'perhaps-gone'])))
    .limit(1);
  return [
    ...(before.length > 0 ? [{ kind: 'sent-before' as const, words: '' }] : []),
    ...doubtsOf(letter, [...own, ...letter.to.map(({ name }) => name).filter((name) => name !== '')], others),
    ...(await houseDoubts(db))(letter, draft.document),
  ];
}
