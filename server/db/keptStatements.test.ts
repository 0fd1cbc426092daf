import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { PGlite } from '@electric-sql/pglite';
import fc from 'fast-check';
import { keptStatements } from './keptStatements';

let plain: PGlite;
let keeping: PGlite;

const TABLE =
  'create table owls (id int primary key, name text not null, weight numeric, seen jsonb, ringed timestamptz)';

beforeAll(async () => {
  plain = await PGlite.create();
  keeping = await PGlite.create();
  for (const store of [plain, keeping]) await store.exec(TABLE);
  keeping.execProtocolStream = keptStatements(keeping.execProtocolStream.bind(keeping));
});

afterAll(() => Promise.all([plain.close(), keeping.close()]));

type Question = [sql: string, values: unknown[]];

const id = fc.integer({ min: 0, max: 5 });
const name = fc.oneof(fc.string(), fc.constant(null));

/** Questions that answer, that answer nothing, and that fail: when read, when values are put in, and when carried out. */
const question: fc.Arbitrary<Question> = fc.oneof(
  fc
    .tuple(id, name)
    .map(([at, called]): Question => ['insert into owls (id, name) values ($1, $2)', [at, called]]),
  fc
    .tuple(id, fc.option(fc.double({ min: 0, max: 1e6, noNaN: true })))
    .map(([at, weight]): Question => [
      'update owls set weight = $2 where id = $1 returning id, weight',
      [at, weight],
    ]),
  id.map((at): Question => ['delete from owls where id = $1', [at]]),
  id.map((at): Question => ['update owls set seen = $2 where id = $1', [at, { at: [at, 'dusk'] }]]),
  fc.constant<Question>(['select * from owls order by id', []]),
  id.map((least): Question => ['select count(*)::int as many from owls where id >= $1', [least]]),
  id.map((by): Question => ['select 10 / $1::int as part', [by]]),
  fc.constantFrom('', 'three').map((word): Question => ['select $1::int as number', [word]]),
  fc.constant<Question>(['select nothing from nowhere', []]),
);

/** What a store answers to a question, or the code of what it refuses it with. */
async function said(store: Pick<PGlite, 'query'>, [sql, values]: Question): Promise<unknown> {
  try {
    const { rows, affectedRows, fields } = await store.query(sql, [...values]);
    return { rows, affectedRows, fields };
  } catch (error) {
    return { refused: (error as { code: string }).code };
  }
}

/** Questions one after another, some of them in a transaction that is kept or given up. */
const work = fc.array(
  fc.oneof(
    question.map((asked) => ({ asked: [asked], within: 'none' as const })),
    fc.record({
      asked: fc.array(question, { minLength: 1, maxLength: 6 }),
      within: fc.constantFrom('kept' as const, 'given up' as const),
    }),
  ),
  { minLength: 1, maxLength: 25 },
);

async function done(store: PGlite, steps: typeof work extends fc.Arbitrary<infer Steps> ? Steps : never) {
  const all: unknown[] = [];
  for (const { asked, within } of steps) {
    if (within === 'none') all.push(await said(store, asked[0]!));
    else
      await store
        .transaction(async (tx) => {
          for (const one of asked) all.push(await said(tx, one));
          if (within === 'given up') throw new Error('Given up');
        })
        .catch((error: Error) => all.push(error.message));
  }
  return all;
}

test('whatever is asked, in a transaction or not, is answered as it is by a database that reads each statement anew', () =>
  fc.assert(
    fc.asyncProperty(work, async (steps) => {
      for (const store of [plain, keeping]) await store.exec('delete from owls');
      expect(await done(keeping, steps)).toEqual(await done(plain, steps));
    }),
    { numRuns: 60 },
  ));

test('a statement is read twice and no more; of very many those asked for last are kept', async () => {
  const store = await PGlite.create();
  const kinds: string[] = [];
  const send = store.execProtocolStream.bind(store);
  store.execProtocolStream = keptStatements((message, options) => {
    kinds.push(String.fromCharCode(message[0]!));
    return send(message, options);
  }, 20);
  const parts = async (sql: string) => {
    kinds.length = 0;
    await store.query(sql, [1]);
    return kinds.join('');
  };
  expect(await parts('select $1::int')).toBe('PDBDES');
  expect(await parts('select $1::int')).toBe('PDB');
  // From now on one message, of values, what is wanted, and the end.
  expect(await parts('select $1::int')).toBe('B');
  for (let at = 0; at < 30; at += 1) for (const _ of [1, 2]) await store.query(`select ${at} + $1::int`, [1]);
  const { rows } = await store.query<{ count: number }>(
    'select count(*)::int as count from pg_prepared_statements',
  );
  expect(rows[0]!.count).toBe(20);
  expect(await parts('select 29 + $1::int')).toBe('B');
  expect(await parts('select $1::int')).toBe('PDBDES');
  await store.close();
});
