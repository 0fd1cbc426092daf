import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import type { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { rightsFor, writeMissingWords } from '../bank';
import { wording } from '../testing/entryCalls';
import { casesGiven, drafts, entries, members, openStore, revisions, schemaKnown, type Store } from '.';
import { migrationOf, migrationsUpTo } from './migrationsUpTo';

/**
 * A small store as each earlier Elderleaf made it, brought up to date. What is written down here has the columns that any of them asked
 * for; those that a schema does not have yet, or no more, are left out.
 */

const AT = '2026-01-02T03:04:05.000Z';
const content = wording('Weight today', 'She weighs enough.', 'wt');
const saved = { saved_at: AT, saved_by: 'odile', reason: 'new' };
const ROWS: [table: string, row: Record<string, unknown>][] = [
  [
    'members',
    {
      ...{ id: 'odile', name: 'Odile Brandt', email: 'odile@hollin.example', role: 'owner' },
      ...{ job: 'Nurse', password_hash: 'x', created_at: AT },
    },
  ],
  [
    'collections',
    {
      ...{ id: 'ward', name: 'Ward notes', lead_in: ',', cue_rules: {}, kinds_of_work: [] },
      ...{ language: 'en-GB', position: 0, changes: 1 },
    },
  ],
  ['grants', { collection: 'ward', member: 'odile', right: 'keep' }],
  ['entries', { id: 'weight', collection: 'ward', revision: 1, content, change: 1, ...saved }],
  ['revisions', { entry: 'weight', revision: 1, content, ...saved }],
  ['cues', { collection: 'ward', typed: 'wt', entry: 'weight' }],
  [
    'cases',
    {
      ...{ id: 'swan', kind: 'admission', title: 'Swan', number: '7', summary: '', opened_at: AT },
      record: { details: [], measurements: [], medicines: [], problems: [] },
    },
  ],
  ['cases_given', { case: 'swan', member: 'odile' }],
  [
    'drafts',
    {
      ...{ id: 'note', case: 'swan', author: 'odile', state: 'open', version: 3, excerpt: 'Swims.' },
      document: {
        type: 'doc',
        attrs: { placements: {} },
        content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Swims.' }] }],
      },
      ...{ title: '', begun_at: AT, words: 'swims', saved_at: AT },
    },
  ],
];

let store: Store;
beforeAll(async () => {
  store = await openStore({ image: null });
});
afterAll(() => store.close());

/** Empties the store, and makes it as it was after so many changes of the schema. */
async function asEarlier(schema: number): Promise<void> {
  for (const statement of [
    sql`drop schema public cascade`,
    sql`drop schema drizzle cascade`,
    sql`create schema public`,
  ])
    await store.db.execute(statement);
  const { folder, drop } = migrationsUpTo(schema);
  await migrate(store.db as unknown as ReturnType<typeof drizzle>, { migrationsFolder: folder });
  drop();
}

async function insertKnown(table: string, row: Record<string, unknown>): Promise<void> {
  const { rows } = (await store.db.execute(sql`
    select column_name as name from information_schema.columns
    where table_schema = 'public' and table_name = ${table}`)) as { rows: { name: string }[] };
  const known = rows.filter(({ name }) => name in row).map(({ name }) => name);
  const columns = sql.join(
    known.map((name) => sql.identifier(name)),
    sql`, `,
  );
  await store.db.execute(sql`
    insert into ${sql.identifier(table)} (${columns})
    select ${columns} from jsonb_populate_record(null::${sql.identifier(table)}, ${JSON.stringify(row)}::jsonb)`);
}

const known = ROWS.map(([table]) => table).join('|');
/** A statement that makes or changes nothing but a table in which nothing is written down here. */
const OF_OTHERS = new RegExp(
  `^\\s*(?:CREATE TABLE|ALTER TABLE|CREATE (?:UNIQUE )?INDEX "\\w+" ON) "(?!(?:${known})")`,
);
/** Whether a change of the schema does anything to what is written down here: before any other, a store is as it was before that one. */
const concerns = (schema: number): boolean =>
  migrationOf(schema)
    .split('--> statement-breakpoint')
    .some((statement) => !OF_OTHERS.test(statement));

const EARLIER = Array.from({ length: schemaKnown() - 1 }, (_, at) => at + 1).filter((schema) =>
  concerns(schema + 1),
);

test.each(EARLIER)(
  'what a team had after %i changes of the schema is there, whole, after it is brought up to date',
  async (schema) => {
    await asEarlier(schema);
    for (const [table, row] of ROWS) await insertKnown(table, row);
    await store.bringUpToDate();
    await writeMissingWords(store.db);
    const [entry] = await store.db.select().from(entries);
    expect(entry).toMatchObject({
      id: 'weight',
      collection: 'ward',
      revision: 1,
      content,
      deletion: null,
      savedBy: 'odile',
    });
    expect(await store.db.select().from(revisions)).toMatchObject([{ entry: 'weight', content }]);
    expect(await store.db.select().from(members)).toMatchObject([{ id: 'odile', role: 'owner' }]);
    expect(await store.db.select().from(casesGiven)).toEqual([{ case: 'swan', member: 'odile' }]);
    expect(await store.db.select().from(drafts)).toMatchObject([
      { id: 'note', version: 3, title: '', excerpt: 'Swims.', deletion: null, author: 'odile' },
    ]);
    expect([...(await rightsFor(store.db, 'odile'))]).toEqual([['ward', 'keep']]);
    const found = (await store.db.execute(
      sql`select entry from entry_words where words @@ 'weight'::tsquery`,
    )) as { rows: object[] };
    expect(found.rows).toEqual([{ entry: 'weight' }]);
  },
);
